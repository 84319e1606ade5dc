import { MOL_SECONDS } from '../../judge/dli/dli';
import type { Stage } from '../../things/crop/Crop';
import type { Dli, Hours, Metres } from '../../units/quantities';
import type { CarryAt, TierCarry } from '../season/carryOf';

/** What plants of a stage want of a place. */
export type Wanted = Pick<Stage, 'dliMin' | 'dliTarget' | 'dliMax' | 'ppfdMax' | 'hoursMin' | 'hoursMax'>;

/** Lamps over a tier at one distance for so many hours, and what that gives. */
export interface LitFor {
  readonly distance: Metres;
  readonly hours: Hours;
  /** Of the place that gets least, daylight included. */
  readonly dli: Dli;
  readonly wh_per_day: number;
}

/** How well lamps serve plants. */
export interface Serving extends LitFor {
  /** The best dose, or at least enough, at every place; less than that; or however they hang too strong somewhere. */
  readonly reach: 'target' | 'enough' | 'short' | 'strong';
}

/** What lamps and daylight give over a tier. */
export type Lit = Pick<TierCarry, 'at' | 'daylight' | 'daylightPeak' | 'power'>;

/** Timers are set in quarters of an hour. */
const QUARTER: Hours = 0.25;
const up = (hours: Hours): Hours => Math.ceil(hours / QUARTER - 1e-9) * QUARTER;
const down = (hours: Hours): Hours => Math.floor(hours / QUARTER + 1e-9) * QUARTER;

const dliAt = (ppfd: number, hours: Hours, daylight: Dli): Dli => ppfd * hours * MOL_SECONDS + daylight;

/** The fewest hours for a dose at the place that gets least; at least as many as are usual for the plants. */
const hoursFor = (dose: Dli, a: CarryAt, daylight: Dli, { hoursMin }: Wanted): Hours =>
  up(Math.max(hoursMin, (dose - daylight) / (a.weakest * MOL_SECONDS)));

/** No leaf gets stronger light than the plants tolerate, with daylight as it usually is at its strongest beside the lamps. */
const isMild = (a: CarryAt, { daylightPeak }: Lit, { ppfdMax }: Wanted): boolean => a.spot + daylightPeak <= ppfdMax;

/** Whether nothing is too long or too strong for the plants. */
export const isTolerated = (a: CarryAt, hours: Hours, tier: Lit, wanted: Wanted): boolean =>
  hours <= wanted.hoursMax + 1e-9 && isMild(a, tier, wanted) && dliAt(a.strongest, hours, tier.daylight) <= wanted.dliMax + 1e-9;

/**
 * The shortest day that brings every place of a tier to a dose, at whichever distance; null where none does without being too long or
 * too strong for the plants.
 *
 * @param dose  mol/m²/day, at the place that gets least
 */
export function litFor(tier: Lit, dose: Dli, wanted: Wanted): LitFor | null {
  let best: { readonly a: CarryAt; readonly hours: Hours } | null = null;
  for (const a of tier.at) {
    if (!(a.weakest > 0)) continue;
    const hours = hoursFor(dose, a, tier.daylight, wanted);
    if (!isTolerated(a, hours, tier, wanted)) continue;
    // Of two days as long the more even light.
    if (!best || hours < best.hours - 1e-9 || (hours < best.hours + 1e-9 && a.strongest / a.weakest < best.a.strongest / best.a.weakest))
      best = { a, hours };
  }
  return best && lit(best.a, best.hours, tier);
}

/** @param hours  a day */
export const lit = (a: CarryAt, hours: Hours, { daylight, power }: Lit): LitFor => ({
  distance: a.distance,
  hours,
  dli: dliAt(a.weakest, hours, daylight),
  wh_per_day: power * hours,
});

/** What lamps can do for plants: the best dose if they can, else enough, else the most that the plants tolerate. */
export function servingOf(tier: Lit, wanted: Wanted): Serving {
  const best = litFor(tier, wanted.dliTarget, wanted);
  if (best) return { reach: 'target', ...best };
  const enough = litFor(tier, wanted.dliMin, wanted);
  if (enough) return { reach: 'enough', ...enough };
  const { at, daylight } = tier;
  const most = at
    .filter((a) => isMild(a, tier, wanted) && a.strongest > 0)
    .map((a) => lit(a, down(Math.max(0, Math.min(wanted.hoursMax, (wanted.dliMax - daylight) / (a.strongest * MOL_SECONDS)))), tier))
    .sort((a, b) => b.dli - a.dli)[0];
  if (most) return { reach: 'short', ...most };
  return { reach: at.length > 0 ? 'strong' : 'short', distance: 0, hours: 0, dli: daylight, wh_per_day: 0 };
}
