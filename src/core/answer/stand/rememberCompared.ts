import { compare, type Compared } from '../../measure/reading/calibrate';
import type { LampOf } from '../../measure/reading/lightThere';
import type { Reading } from '../../site/reading/Reading';
import type { Site } from '../../site/stand/Site';

/** Gives what readings say of the boxes of their lamps. */
export type CompareIn = (readings: readonly Reading[], lamps: Site['lamps'], lampOf: LampOf) => readonly Compared[];

export const compareAnew: CompareIn = (readings, _, lampOf) => compare(readings, lampOf);

/** Compares readings with the boxes, and gives the same answer again for as long as they and the lamps of one's own are the same. */
export function rememberCompared(): CompareIn {
  const known = new WeakMap<readonly Reading[], { lamps: Site['lamps']; compared: readonly Compared[] }>();
  return (readings, lamps, lampOf) => {
    const last = known.get(readings);
    if (last?.lamps === lamps) return last.compared;
    const compared = compare(readings, lampOf);
    known.set(readings, { lamps, compared });
    return compared;
  };
}
