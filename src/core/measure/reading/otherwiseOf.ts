import type { Metres, Share } from '../../units/quantities';
import { createCache, type Cache } from '../../light/scene/Cache';
import { lightThere, type LampOf, type ReadingPlace } from './lightThere';
import type { Around, LitLamp, Reading } from '../../site/reading/Reading';
import { over, type Otherwise } from './hypothesesOf';

/** How far a height is off when it is off. */
const OFF: Metres = 0.05; // our estimate

/** Another tier of the stand, where a reading may have been taken by mistake. */
export interface OtherTier {
  readonly lit: readonly LitLamp[];
  readonly around: Around;
}

/**
 * What a reading would have been if the sensor or the lamps had been otherwise than stated.
 *
 * @param lampOf  lamps as strong as they are known to be
 * @param others  the lamps of other tiers of the stand, from the middle of theirs
 */
export function otherwiseOf(
  reading: Reading,
  lampOf: LampOf,
  found: Readonly<Record<string, Share>> = {},
  others: readonly OtherTier[] = [],
  cache: Cache = createCache(),
): Otherwise {
  const { dx, dy, z, lit, around } = reading;
  const ppfdOf = (place: ReadingPlace) => lightThere(place, lampOf, found, cache).ppfd;
  const stated = ppfdOf(reading);
  const at = (height: Metres) => over(ppfdOf({ dx, dy, z: Math.max(0, height), lit, around }), stated);
  const top = Math.min(...lit.map((l) => l.face)) - 0.01;
  return {
    onShelf: z > OFF / 2 ? at(0) : null,
    lower: at(z - OFF),
    higher: at(Math.min(top, z + OFF)),
    unlit: lit.length > 1 ? lit.map((_, i) => over(ppfdOf({ dx, dy, z, around, lit: lit.filter((_, k) => k !== i) }), stated)) : [],
    otherTiers: others
      .filter((o) => o.lit.length > 0)
      .map((o) => {
        // As far below its lamps as was stated here.
        const height = Math.min(...o.lit.map((l) => l.face)) - (Math.min(...lit.map((l) => l.face)) - z);
        return over(ppfdOf({ dx, dy, z: Math.max(0, height), lit: o.lit, around: o.around }), stated);
      }),
  };
}
