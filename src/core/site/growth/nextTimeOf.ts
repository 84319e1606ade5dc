import type { Site } from '../stand/Site';
import type { Logged } from '../stand/Logged';

/** What a person told themselves to do otherwise with a crop, from all its batches, those that have ended included; the newest first. */
export const nextTimeOf = (site: Pick<Site, 'batches'>, cropId: string): readonly Logged[] =>
  site.batches
    .filter((b) => b.cropId === cropId)
    .flatMap((b) => b.log.filter((l) => l.what === 'next-time' && l.text))
    .sort((a, b) => b.day - a.day);
