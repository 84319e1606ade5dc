import { MOL_SECONDS } from '../../judge/dose/dli';
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
  readonly dose: Dli;
  readonly wh_per_day: number;
}

/** How well lamps serve plants. */
export interface Serving extends LitFor {
  /** The best dose, or at least enough, at every place; less than that; or however they hang too strong somewhere. */
  readonly reach: 'target' | 'enough' | 'short' | 'strong';
}

/** Timers are set in quarters of an hour. */
const QUARTER: Hours = 0.25;
const up = (hours: Hours): Hours => Math.ceil(hours / QUARTER - 1e-9) * QUARTER;
const down = (hours: Hours): Hours => Math.floor(hours / QUARTER + 1e-9) * QUARTER;

const doseOf = (ppfd: number, hours: Hours, daylight: Dli): Dli => ppfd * hours * MOL_SECONDS + daylight;

/** The fewest hours for a dose at the place that gets least; at least as many as are usual for the plants. */
const hoursFor = (dose: Dli, a: CarryAt, daylight: Dli, { hoursMin }: Wanted): Hours =>
  up(Math.max(hoursMin, (dose - daylight) / (a.weakest * MOL_SECONDS)));

/** Whether nothing is too long or too strong for the plants. */
export const isBorne = (a: CarryAt, hours: Hours, daylight: Dli, { hoursMax, ppfdMax, dliMax }: Wanted): boolean =>
  hours <= hoursMax + 1e-9 && a.spot <= ppfdMax && doseOf(a.strongest, hours, daylight) <= dliMax + 1e-9;

/**
 * The shortest day that brings every place of a tier to a dose, at whichever distance; null where none does without being too long or
 * too strong for the plants.
 *
 * @param dose  mol/m²/day, at the place that gets least
 */
export function litFor({ at, daylight, power }: Pick<TierCarry, 'at' | 'daylight' | 'power'>, dose: Dli, wanted: Wanted): LitFor | null {
  let best: { readonly a: CarryAt; readonly hours: Hours } | null = null;
  for (const a of at) {
    if (!(a.weakest > 0)) continue;
    const hours = hoursFor(dose, a, daylight, wanted);
    if (!isBorne(a, hours, daylight, wanted)) continue;
    // Of two days as long the more even light.
    if (!best || hours < best.hours - 1e-9 || (hours < best.hours + 1e-9 && a.strongest / a.weakest < best.a.strongest / best.a.weakest))
      best = { a, hours };
  }
  return best && lit(best.a, best.hours, daylight, power);
}

export const lit = (a: CarryAt, hours: Hours, daylight: Dli, power: number): LitFor => ({
  distance: a.distance,
  hours,
  dose: doseOf(a.weakest, hours, daylight),
  wh_per_day: power * hours,
});

/** What lamps can do for plants: the best dose if they can, else enough, else the most that the plants bear. */
export function servingOf(carry: Pick<TierCarry, 'at' | 'daylight' | 'power'>, wanted: Wanted): Serving {
  const best = litFor(carry, wanted.dliTarget, wanted);
  if (best) return { reach: 'target', ...best };
  const enough = litFor(carry, wanted.dliMin, wanted);
  if (enough) return { reach: 'enough', ...enough };
  const { at, daylight, power } = carry;
  const most = at
    .filter((a) => a.spot <= wanted.ppfdMax && a.strongest > 0)
    .map((a) =>
      lit(a, down(Math.max(0, Math.min(wanted.hoursMax, (wanted.dliMax - daylight) / (a.strongest * MOL_SECONDS)))), daylight, power),
    )
    .sort((a, b) => b.dose - a.dose)[0];
  if (most) return { reach: 'short', ...most };
  return { reach: at.length > 0 ? 'strong' : 'short', distance: 0, hours: 0, dose: daylight, wh_per_day: 0 };
}
