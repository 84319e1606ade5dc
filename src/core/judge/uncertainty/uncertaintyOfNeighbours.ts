import type { Share } from '../../units/quantities';
import type { Uncertainty } from './Band';

/** Leaves take between half of what crosses them and nine tenths; seven tenths are reckoned with. */
const SPREAD = 0.29; // of what is taken: leaf areas of 1.2 to 3.8 times the floor, exp(−0.6 · LAI); our estimate

/**
 * How much the light may be off because nobody has measured how thick the leaves of taller neighbours stand.
 *
 * @param shadedShare  of the light without them, how much neighbours take, 0–1
 */
export function uncertaintyOfNeighbours(shadedShare: Share): Uncertainty {
  const off = Math.min(0.9, shadedShare < 1 ? (SPREAD * shadedShare) / (1 - shadedShare) : 0.9);
  return {
    why: 'neighbours',
    low: off,
    high: off,
    source: 'our estimate: leaves of neighbours take half to nine tenths of what crosses them',
  };
}
