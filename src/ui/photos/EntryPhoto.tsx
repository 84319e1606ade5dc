'use client';
import { useState } from 'react';
import type { Logged } from '@/core/site/stand/Logged';
import type { Batch } from '@/core/site/stand/Site';
import { dayWords } from '../season/dayWords';
import { PhotoSheet } from './PhotoSheet';
import { photosOf } from './photosOf';
import { PhotoThumb } from './PhotoThumb';

/** The photo of an entry, to be opened large among the others of its batch. */
export function EntryPhoto({ batch, entry, name }: { batch: Batch; entry: Logged; name: string }) {
  const list = photosOf(batch);
  const shown = list.find((l) => l.photoId === entry.photoId);
  const [at, setAt] = useState<string | null>(null);
  if (entry.photoId === undefined) return null;
  if (!shown) return <PhotoThumb id={entry.photoId} size="size-14" />;
  return (
    <>
      <button type="button" aria-label={`Photo of ${name}, ${dayWords(entry.day)}`} onClick={() => setAt(shown.id)}>
        <PhotoThumb id={shown.photoId} size="size-14" />
      </button>
      <PhotoSheet batch={batch} name={name} list={list} at={at} onAt={setAt} />
    </>
  );
}
