'use client';
import { useState } from 'react';
import type { Opening } from '@/store/saved/keeping';
import { problemWords } from '../files/problemWords';
import { Button } from '../parts/Button';
import { saveFile } from '../parts/saveFile';

interface UnreadableProps {
  opening: Extract<Opening, { status: 'unreadable' }>;
  onBegin(with_: 'anew' | 'sound'): Promise<void>;
}

/** What was kept cannot be read. It is never overwritten; what is sound in it is offered. */
export function Unreadable({ opening: { problems, whole, sound }, onBegin }: UnreadableProps) {
  const [failed, setFailed] = useState(false);
  const begin = (with_: 'anew' | 'sound') => void onBegin(with_).catch(() => setFailed(true));
  const stands = sound?.site.stands ?? [];
  return (
    <section className="m-auto max-w-xl space-y-4 p-6" role="alert">
      <h1 className="text-2xl font-semibold">Part of what this browser kept can’t be read.</h1>
      <p>
        Nothing has been changed.{' '}
        {stands.length > 0 &&
          `${stands.length === 1 ? 'One set-up is' : `${stands.length} set-ups are`} sound: ${stands
            .map((s) => `“${s.name}”`)
            .slice(0, 6)
            .join(', ')}${stands.length > 6 ? ' and more' : ''}. `}
        Whatever you choose, all of it is set aside whole and can be exported later under Settings, Your data.
      </p>
      <ul className="max-h-40 list-disc overflow-auto pl-5 text-soft" aria-label="What can’t be read">
        {problems.slice(0, 20).map((p, i) => (
          <li key={i}>{problemWords(p)}</li>
        ))}
      </ul>
      {sound && sound.leftOut.length > 0 && (
        <p className="text-soft">
          Left out: {sound.leftOut.length === 1 ? 'this one thing' : `these and what depends on them, ${sound.leftOut.length} in all`}.
        </p>
      )}
      {failed && <p>This browser could not set it aside. Export it first, then load the page again.</p>}
      <div className="flex flex-wrap gap-3">
        {sound && (
          <Button kind="main" onClick={() => begin('sound')}>
            Open what is sound
          </Button>
        )}
        <Button onClick={() => saveFile('copper-noon-rescued.json', JSON.stringify(whole, null, 2))}>Export all of it</Button>
        <Button kind="quiet" onClick={() => begin('anew')}>
          Begin anew
        </Button>
      </div>
    </section>
  );
}
