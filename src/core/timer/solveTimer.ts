import { MOL_SECONDS } from '../dose/dli';
import type { Stage } from '../crop/Crop';
import type { Dli, Hours, Ppfd, Watts } from '../quantities';
import { MINUTES_PER_DAY } from '../units/clock';
import { lengthOf, overlapOf, type Span } from './Span';

/** A tray that a timer's lamps shine on. */
export interface Served {
  readonly trayId: string;
  readonly stage: Stage;
  /** m², what it weighs among the others. */
  readonly area: number;
  readonly weakest: Ppfd;
  readonly mean: Ppfd;
  readonly strongest: Ppfd;
  /** Hours that its plan asks for; null or left out: as many as its dose needs. */
  readonly wish?: Hours | null;
}

/** What a timer must keep to. */
export interface TimerRules {
  /** Its own steps: pins of 15 minutes, or 1. */
  readonly step_min: number;
  /** When the household wants no light. */
  readonly quiet: Span | null;
  /** When power costs less. */
  readonly cheap: (Span & { readonly price_per_kWh: number }) | null;
  readonly price_per_kWh: number;
  /** When daylight comes in: lamps had better burn along with it, so that the dark hours stay together. */
  readonly daylight?: Span | null;
  /** What its lamps draw. */
  readonly power: Watts;
}

/** Why the best is not better. */
export type Limit =
  | { readonly why: 'quiet'; readonly longest: Hours }
  | { readonly why: 'longest-day' | 'shortest-day'; readonly trayId: string; readonly hours: Hours }
  | { readonly why: 'crops-disagree'; readonly longId: string; readonly atLeast: Hours; readonly shortId: string; readonly atMost: Hours };

/** How a tray fares on a timer, and what would help it where that is not enough. */
export interface Fares {
  readonly trayId: string;
  readonly weakest: Dli;
  readonly mean: Dli;
  readonly strongest: Dli;
  readonly says: 'suits' | 'short' | 'much' | 'uneven';
  /** Hours that would suit it alone, within its limits; null: none would. */
  readonly alone: Hours | null;
  /** By how much its light would have to change for these hours; 1: not at all. */
  readonly light: number;
}

/** One on and one off time, and what they do. */
export interface TimerAnswer {
  readonly on_min: number;
  readonly lit_min: number;
  readonly fares: readonly Fares[];
  readonly limits: readonly Limit[];
  /** Minutes lit within the quiet hours, and within the cheap ones. */
  readonly inQuiet_min: number;
  readonly inCheap_min: number;
  readonly costPerDay: number;
}

/** How far a dose is off, in logarithms: too little at the weakest spot, too much at the strongest, and a little for the mean. */
function missOf({ stage, weakest, mean, strongest, wish }: Served, hours: Hours): number {
  // A plan is the person's word: how far the hours are from it counts, not what they would have been without it.
  if (wish != null) return PER_HOUR_OFF_PLAN * (hours - wish) ** 2;
  const k = Math.max(1e-6, hours * MOL_SECONDS);
  const over = (value: number, most: number) => Math.max(0, Math.log(Math.max(1e-9, value) / most));
  const target = Math.abs(Math.log(Math.max(1e-9, mean * k) / stage.dliTarget));
  return over(stage.dliMin, Math.max(1e-6, weakest * k)) + over(strongest * k, stage.dliMax) + 0.1 * target;
}

/** Squared, so that trays of one timer meet between their plans: our choice. */
const PER_HOUR_OFF_PLAN = 0.1;
/** Hours beyond what a crop bears weigh as much as a dose that is off by so much, each. */
const PER_HOUR_BEYOND = 0.5; // between a third and two thirds of a dose; our estimate

/**
 * Finds the on and off times that serve all trays of a timer best, each by its area.
 *
 * Its length first: within every crop's shortest and longest day where there is such a length, and within what the quiet hours
 * leave; otherwise the nearest to it, with the limit named. Then where it lies: out of the quiet hours, where power is cheap,
 * and as near as may be to where it lies now.
 *
 * @param now   when it goes on now, and for how long
 * @throws RangeError for steps that do not divide the day
 */
export function solveTimer(
  served: readonly Served[],
  rules: TimerRules,
  now: { readonly on_min: number; readonly lit_min: number },
): TimerAnswer {
  const { step_min, quiet } = rules;
  if (!(step_min >= 1 && MINUTES_PER_DAY % step_min === 0)) throw new RangeError(`steps must divide the day, got ${step_min}`);
  const open = quiet ? MINUTES_PER_DAY - lengthOf(quiet) : MINUTES_PER_DAY;
  const steps = Math.floor(open / step_min);
  const lengths = Array.from({ length: steps + 1 }, (_, i) => i * step_min);
  const worth = (lit: number) =>
    served.reduce((sum, s) => {
      // Day and night for the first days is beyond the usual day, and meant.
      const beyond = Math.max(0, lit / 60 - Math.max(s.stage.hoursMax, s.wish ?? 0), s.stage.hoursMin - lit / 60);
      return sum + s.area * (missOf(s, lit / 60) + PER_HOUR_BEYOND * beyond);
    }, 0);
  const lit_min = served.length === 0 ? Math.min(now.lit_min, steps * step_min) : leastOf(lengths, worth);
  const on_min = placeOf(lit_min, rules, now);
  return describe(served, rules, on_min, lit_min, limitsOf(served, open / 60, lit_min / 60));
}

/** How trays fare with given times. */
export const fareOn = (served: readonly Served[], rules: TimerRules, on_min: number, lit_min: number): TimerAnswer =>
  describe(served, rules, on_min, lit_min, []);

function describe(served: readonly Served[], rules: TimerRules, on_min: number, lit_min: number, limits: readonly Limit[]): TimerAnswer {
  const hours = lit_min / 60;
  const inCheap_min = rules.cheap ? overlapOf(on_min, lit_min, rules.cheap) : 0;
  const kWh = (min: number) => ((min / 60) * rules.power) / 1000;
  return {
    on_min,
    lit_min,
    limits,
    inCheap_min,
    inQuiet_min: rules.quiet ? overlapOf(on_min, lit_min, rules.quiet) : 0,
    costPerDay: kWh(lit_min - inCheap_min) * rules.price_per_kWh + kWh(inCheap_min) * (rules.cheap?.price_per_kWh ?? 0),
    fares: served.map((s) => faresOf(s, hours)),
  };
}

function faresOf(s: Served, hours: Hours): Fares {
  const { stage } = s;
  const k = hours * MOL_SECONDS;
  const [weakest, mean, strongest] = [s.weakest * k, s.mean * k, s.strongest * k];
  const short = weakest < stage.dliMin;
  const much = strongest > stage.dliMax;
  // Alone: any quarter of an hour within its own limits.
  const own = Array.from({ length: 97 }, (_, i) => i / 4).filter((h) => h >= stage.hoursMin && h <= stage.hoursMax);
  const suits = (h: Hours) => s.weakest * h * MOL_SECONDS >= stage.dliMin && s.strongest * h * MOL_SECONDS <= stage.dliMax;
  const fitting = own.filter(suits);
  const best = fitting.length > 0 ? leastOf(fitting, (h) => missOf(s, h)) : null;
  const light = short && much ? 1 : short ? stage.dliMin / Math.max(1e-9, weakest) : much ? stage.dliMax / strongest : 1;
  return {
    trayId: s.trayId,
    weakest,
    mean,
    strongest,
    says: short && much ? 'uneven' : short ? 'short' : much ? 'much' : 'suits',
    alone: best,
    light,
  };
}

/** What kept the length from being another. */
function limitsOf(served: readonly Served[], open: Hours, hours: Hours): Limit[] {
  if (served.length === 0) return [];
  const limits: Limit[] = [];
  const shortest = served.reduce((a, b) => (b.stage.hoursMax < a.stage.hoursMax ? b : a));
  const longest = served.reduce((a, b) => (b.stage.hoursMin > a.stage.hoursMin ? b : a));
  if (longest.stage.hoursMin > shortest.stage.hoursMax)
    limits.push({
      why: 'crops-disagree',
      longId: longest.trayId,
      atLeast: longest.stage.hoursMin,
      shortId: shortest.trayId,
      atMost: shortest.stage.hoursMax,
    });
  const wantsMore = served.some((s) => s.weakest * hours * MOL_SECONDS < s.stage.dliMin);
  const wantsLess = served.some((s) => s.strongest * hours * MOL_SECONDS > s.stage.dliMax);
  if (open < 24 && hours >= open - 0.26 && (wantsMore || open < longest.stage.hoursMin)) limits.push({ why: 'quiet', longest: open });
  else if (wantsMore && hours >= shortest.stage.hoursMax - 0.26)
    limits.push({ why: 'longest-day', trayId: shortest.trayId, hours: shortest.stage.hoursMax });
  if (wantsLess && hours <= longest.stage.hoursMin + 0.26)
    limits.push({ why: 'shortest-day', trayId: longest.trayId, hours: longest.stage.hoursMin });
  return limits;
}

/** Where a day of that length lies best. */
function placeOf(lit_min: number, { step_min, quiet, cheap, daylight }: TimerRules, now: { on_min: number; lit_min: number }): number {
  const middle = now.on_min + now.lit_min / 2;
  const ons = Array.from({ length: MINUTES_PER_DAY / step_min }, (_, i) => i * step_min);
  const apart = (on: number) => {
    const d = Math.abs(on + lit_min / 2 - middle) % MINUTES_PER_DAY;
    return Math.min(d, MINUTES_PER_DAY - d);
  };
  // In this order: quiet first, then money, then one long night, then the least change.
  const asideOf = (on: number) => (daylight ? lit_min - overlapOf(on, lit_min, daylight) : 0);
  const worth = (on: number) =>
    1e9 * (quiet ? overlapOf(on, lit_min, quiet) : 0) - 1e6 * (cheap ? overlapOf(on, lit_min, cheap) : 0) + 1e3 * asideOf(on) + apart(on);
  return leastOf(ons, worth);
}

function leastOf(values: readonly number[], cost: (value: number) => number): number {
  let best = values[0]!, least = Infinity; // prettier-ignore
  for (const v of values) {
    const c = cost(v);
    if (c < least - 1e-12) [best, least] = [v, c];
  }
  return best;
}
