'use client';
import { useState } from 'react';
import type { Batch } from '@/core/site/stand/Site';
import { briefDayWords, dayWords } from '../season/dayWords';
import { PhotoSheet } from './PhotoSheet';
import { PhotoThumb } from './PhotoThumb';
import { photosOf } from './photosOf';

/** A batch as it looked, picture beside picture; one opens large. */
export function PhotoStrip({ batch, name }: { batch: Batch; name: string }) {
  const list = photosOf(batch);
  const [at, setAt] = useState<string | null>(null);
  if (list.length === 0) return null;
  return (
    <section aria-label="Photos" className="space-y-2">
      <h3 className="font-semibold">
        Photos <span className="font-normal text-soft">{list.length}</span>
      </h3>
      <ol className="flex gap-2 overflow-x-auto pb-2">
        {list.map((l) => (
          <li key={l.id} className="shrink-0">
            <button
              type="button"
              className="block rounded-md text-left focus-visible:outline-2"
              aria-label={`Photo of ${dayWords(l.day)}`}
              onClick={() => setAt(l.id)}
            >
              <PhotoThumb id={l.photoId} />
              <span className="block pt-0.5 font-narrow text-sm text-soft">
                {briefDayWords(l.day)}
                {batch.sown !== null && ` · day ${l.day - batch.sown}`}
              </span>
            </button>
          </li>
        ))}
      </ol>
      <PhotoSheet batch={batch} name={name} list={list} at={at} onAt={setAt} />
    </section>
  );
}
