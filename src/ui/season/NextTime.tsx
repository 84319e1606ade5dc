'use client';
import { RotateCcw } from 'lucide-react';
import { nextTimeOf } from '@/core/site/growth/nextTimeOf';
import { useSite } from '../shell/WorkspaceContext';
import { longDayWords } from './dayWords';

/** What a person told themselves to do otherwise, where the same crop comes up again. */
export function NextTime({ cropId }: { cropId: string }) {
  const batches = useSite((s) => s.site.batches);
  const notes = nextTimeOf({ batches }, cropId);
  if (notes.length === 0) return null;
  return (
    <aside aria-label="Next time" className="rounded-md border-l-4 border-copper bg-sunk px-3 py-2">
      <p className="flex items-center gap-1.5 font-semibold">
        <RotateCcw size={16} aria-hidden /> You noted for next time
      </p>
      <ul className="space-y-1 pt-1">
        {notes.slice(0, 4).map((l) => (
          <li key={l.id}>
            {l.text} <span className="text-sm text-soft">{longDayWords(l.day)}</span>
          </li>
        ))}
      </ul>
    </aside>
  );
}
