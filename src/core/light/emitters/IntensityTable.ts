import type { Radians } from '../../units/quantities';

/**
 * A far field: intensity by direction, for one unit of flux. γ is measured from the lamp's axis of shine (straight down
 * when level) to 180° straight up; C from the direction of the lamp's length, towards its own y, all the way round.
 */
export interface IntensityTable {
  /** Rising, from 0 to π at the widest; rad. */
  readonly gamma: readonly Radians[];
  /** Rising, 0 … below 2π; a single plane stands for all; rad. */
  readonly c: readonly Radians[];
  /** Plane after plane, `index = gammaIndex + gamma.length · cIndex`; sr⁻¹ per unit of flux. */
  readonly perFlux: readonly number[];
}

/**
 * Intensity in a direction, between the table's entries by straight lines; nothing outside its range of γ.
 *
 * @param along, across, down  direction away from the lamp in its own axes; need not be of unit length
 * @returns sr⁻¹ per unit of flux, ≥ 0
 */
export function intensityTowards({ gamma, c, perFlux }: IntensityTable, along: number, across: number, down: number): number {
  const aside = Math.hypot(along, across);
  const angle = Math.atan2(aside, down);
  const n = gamma.length;
  const last = gamma[n - 1]!;
  if (angle < gamma[0]! - 1e-9 || angle > last + 1e-9) return 0;
  const gi = Math.max(0, Math.min(n - 2, indexBelow(gamma, angle)));
  const gt = n < 2 ? 0 : Math.min(1, Math.max(0, (angle - gamma[gi]!) / (gamma[gi + 1]! - gamma[gi]!)));
  const within = (plane: number) => {
    const at = plane * n + gi;
    return n < 2 ? perFlux[at]! : perFlux[at]! * (1 - gt) + perFlux[at + 1]! * gt;
  };
  if (c.length === 1) return within(0);
  let turn = Math.atan2(across, along);
  if (turn < 0) turn += 2 * Math.PI;
  let ci = indexBelow(c, turn);
  if (ci < 0) ci = c.length - 1; // before the first plane: between the last and the first
  const from = c[ci]!;
  const next = ci + 1 < c.length ? c[ci + 1]! : c[0]! + 2 * Math.PI;
  const past = turn >= from ? turn - from : turn + 2 * Math.PI - from;
  const ct = next > from ? past / (next - from) : 0;
  return within(ci) * (1 - ct) + within((ci + 1) % c.length) * ct;
}

/** Index of the last entry that is not above the value; −1 before the first. */
function indexBelow(values: readonly number[], value: number): number {
  let low = 0, high = values.length; // prettier-ignore
  while (low < high) {
    const middle = (low + high) >> 1;
    if (values[middle]! <= value) low = middle + 1;
    else high = middle;
  }
  return low - 1;
}
