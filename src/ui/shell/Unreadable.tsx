'use client';
import type { Opening } from '@/store/workspace';
import { Button } from '../parts/Button';
import { saveFile } from '../parts/saveFile';

/** What was kept cannot be read. It is never overwritten unless the person says so. */
export function Unreadable({ opening, onBeginAnew }: { opening: Extract<Opening, { status: 'unreadable' }>; onBeginAnew(): void }) {
  return (
    <section className="m-auto max-w-xl space-y-4 p-6" role="alert">
      <h1 className="text-2xl font-semibold">What this browser kept can’t be read.</h1>
      <p>Nothing has been changed. Save it as a file first; then you can begin anew.</p>
      <ul className="max-h-40 list-disc overflow-auto pl-5 text-soft">
        {opening.problems.slice(0, 20).map((p, i) => (
          <li key={i}>
            {p.at || 'the whole'}: {p.expected ?? p.code}
          </li>
        ))}
      </ul>
      <div className="flex gap-3">
        <Button onClick={() => saveFile('copper-noon-rescued.json', JSON.stringify(opening.kept, null, 2))}>Save it as a file</Button>
        <Button kind="quiet" onClick={onBeginAnew}>
          Begin anew
        </Button>
      </div>
    </section>
  );
}
