import type { Logged } from '@/core/site/stand/Logged';
import type { Batch } from '@/core/site/stand/Site';

export type PhotoEntry = Logged & { readonly photoId: string };

/** The photos of a batch through time, the oldest first. */
export const photosOf = (batch: Pick<Batch, 'log'>): readonly PhotoEntry[] =>
  batch.log.filter((l): l is PhotoEntry => l.what === 'photo' && l.photoId !== undefined).sort((a, b) => a.day - b.day);
