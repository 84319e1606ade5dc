import type { Crop, Stage } from '../../things/crop/Crop';
import type { Dli } from '../../units/quantities';

/**
 * By how much a wholly dark day lengthens a stem that stretches most: to four times its usual daily growth. Stems in the dark
 * grow two to five times as fast as in light; the line between is growers' consensus, the number our estimate.
 */
const MOST_IN_THE_DARK = 3;

/** Plants of the table that stretch most. */
const MOST_PRONE = 5;

/** From so many times its usual height on, a plant counts as leggy: growers' consensus. */
export const LEGGY_FROM = 1.3;

/** From so many times on it is on the way there. */
export const LONG_FROM = 1.15;

/**
 * How much faster a stem grows on a day with so much light than it usually does: 1 from the least dose of its stage on, growing
 * evenly towards darkness, the more the more its crop stretches.
 *
 *     s = 1 + 3 · (prone / 5) · max(0, 1 − DLI / DLI_min)
 *
 * @param dli  of the day at this plant, ≥ 0
 * @returns times its usual growth in height, ≥ 1
 */
export function stretchOf({ stretchProne }: Pick<Crop, 'stretchProne'>, { dliMin }: Pick<Stage, 'dliMin'>, dli: Dli): number {
  const short = dliMin > 0 ? Math.max(0, 1 - dli / dliMin) : 0;
  return 1 + MOST_IN_THE_DARK * (stretchProne / MOST_PRONE) * short;
}
