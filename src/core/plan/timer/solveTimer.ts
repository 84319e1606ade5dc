import { costADay } from '../../judge/cost/pricesOf';
import type { PricePeriod } from '../../units/PricePeriod';
import type { Stage } from '../../things/crop/Crop';
import type { Daylight } from '../../site/stand/Daylight';
import { lightDayOf, litHoursOf, photoperiodOf, receivedOf, type LightDay } from '../../judge/dli/LightDay';
import type { LightSpread } from '../../judge/dli/LightSpread';
import type { Dli, Hours, Watts } from '../../units/quantities';
import { MINUTES_PER_DAY } from '../../units/clock';
import { litWithin, mostLit, type LitTimes } from '../../units/LitTimes';
import { lengthOf, overlapOf, type Span } from '../../units/Span';
import { depthTooLong, depthTooStrong, type HardLimits } from '../../judge/verdict/hardLimits';
import { lossOf } from '../../judge/verdict/loss';
import { saysOf, standingOf, type Standing } from '../../judge/verdict/standing';
import { tooMuchSun } from '../../judge/verdict/tooMuchSun';

/** A tray that a timer's lamps shine on. */
export interface Served {
  readonly trayId: string;
  readonly stage: Stage;
  readonly limits: HardLimits;
  /** Of the lamps. */
  readonly light: LightSpread;
  readonly daylight: Daylight | null;
  /** Hours that its plan asks for; null or left out: as many as its dose needs. */
  readonly wish?: Hours | null;
}

/** What a timer must keep to. */
export interface TimerRules {
  /** Its own steps: pins of 15 minutes, or 1. */
  readonly step_min: number;
  /** When the household wants no light. */
  readonly quiet: Span | null;
  /** When power costs less: where timers lie as far as nobody minds. */
  readonly cheap: (Span & { readonly price_per_kWh: number }) | null;
  readonly price_per_kWh: number;
  /** Further prices of some hours or days: they count in what a day costs. */
  readonly bands?: readonly PricePeriod[];
  /** What its lamps draw. */
  readonly power: Watts;
}

/** Why the best is not better. */
export type TimerLimit =
  | { readonly why: 'quiet'; readonly longest: Hours }
  | { readonly why: 'longest-day' | 'shortest-day'; readonly trayId: string; readonly hours: Hours }
  | { readonly why: 'crops-disagree'; readonly longId: string; readonly atLeast: Hours; readonly shortId: string; readonly atMost: Hours }
  /** Each of these would be in range on hours of its own; no hours put all of them there. */
  | { readonly why: 'no-common-hours'; readonly trayIds: readonly string[] };

/** What a tray gets on a timer, and what would help it where that is not enough. */
export interface TimerResult {
  readonly trayId: string;
  /** Of lamps and daylight together. */
  readonly weakest: Dli;
  readonly mean: Dli;
  readonly strongest: Dli;
  readonly photoperiod: Hours;
  readonly says: Standing;
  /** Hours that would suit it alone, within its limits; null: none would. */
  readonly alone: Hours | null;
  /** Whether daylight alone is too much for it, whatever the lamps do. */
  readonly tooMuchSun: boolean;
  /** By how much the light of its lamps would have to change for these hours; 1: not at all; null: they are off, or cannot mend it. */
  readonly light: number | null;
}

/** One on and one off time, and what they do. */
export interface TimerAnswer extends LitTimes {
  readonly results: readonly TimerResult[];
  readonly limits: readonly TimerLimit[];
  /** Minutes lit within the quiet hours, and within the cheap ones. */
  readonly inQuiet_min: number;
  readonly inCheap_min: number;
  readonly costPerDay: number;
}

/** Squared, so that trays of one timer meet between their plans: our choice. */
const PER_HOUR_OFF_PLAN = 0.1;
/** Quarters of an hour in which hours for one tray alone are looked for. */
const QUARTER_min = 15;

/** How bad some times are for a tray; a plan is the person's word, and then how far the hours are from it counts. */
const lossAt = (s: Served, day: LightDay): number =>
  s.wish != null ? PER_HOUR_OFF_PLAN * (day.lit_min / 60 - s.wish) ** 2 : lossOf(s.light, s.stage, s.limits, day);

/** By how much the longest day of all that there are is too long. */
const longOn = (served: readonly Served[], times: LitTimes): Hours =>
  deepest(served, times, (s, day) => depthTooLong(litHoursOf(day), s.limits));

/** How far the strongest light of all while lamps burn is over its limit. */
const strongOn = (served: readonly Served[], times: LitTimes): number =>
  deepest(served, times, (s, day) => depthTooStrong(receivedOf(s.light, day).litPpfd, s.limits));

function deepest(served: readonly Served[], times: LitTimes, depth: (s: Served, day: LightDay) => number): number {
  let most = 0;
  for (const s of served) most = Math.max(most, depth(s, lightDayOf(times, s.daylight)));
  return most;
}

/** What is lost with some times, as long as that is less than a number; else any number that is not. */
function lossOn(served: readonly Served[], times: LitTimes, least: number): number {
  let sum = 0, worst = 0; // prettier-ignore
  for (const s of served) {
    const loss = lossAt(s, lightDayOf(times, s.daylight));
    sum += loss;
    worst = Math.max(worst, loss);
    if (sum / served.length + worst >= least) break;
  }
  return sum / served.length + worst;
}

/**
 * Finds the on and off times that serve all trays of a timer best.
 *
 * No tray is given a longer photoperiod, lamps and daylight together, than its limits allow, whatever the others would gain. Of
 * the times that are left those with the least loss win: the mean over the trays plus that of the tray that fares worst, each
 * tray alike however small. Then where they lie: out of the quiet hours, where power is cheap, along with daylight where that is
 * as good, and as near as may be to where they lie now.
 *
 * @param now   when it goes on now, and for how long; its pause stays where it is
 * @throws RangeError for steps that do not divide the day
 * Checked against every on and off time in solveTimer.test.ts.
 */
export function solveTimer(served: readonly Served[], rules: TimerRules, now: LitTimes): TimerAnswer {
  const open = openOf(rules, now.pause);
  if (served.length === 0) {
    const lit_min = Math.min(now.lit_min, Math.floor(open / rules.step_min) * rules.step_min);
    return describe(served, rules, { on_min: placeOf(lit_min, served, rules, now, () => true), lit_min, pause: now.pause }, []);
  }
  const times = bestTimes(served, rules, now);
  return describe(served, rules, times, limitsOf(served, rules, open / 60, times));
}

/** Minutes of the day that the quiet hours and a pause leave. */
function openOf({ step_min, quiet }: TimerRules, pause: Span | null): number {
  if (!(step_min >= 1 && MINUTES_PER_DAY % step_min === 0)) throw new RangeError(`steps must divide the day, got ${step_min}`);
  if (!quiet) return mostLit(pause);
  return mostLit(pause) - (lengthOf(quiet) - (pause ? overlapOf(pause.from_min, lengthOf(pause), quiet) : 0));
}

/**
 * The times alone, of at least one tray: first in coarse steps, then in the timer's own about the best of these.
 *
 * @param thorough  where daylight comes in: every time of going on, or only some beside and along with the daylight
 */
export function bestTimes(served: readonly Served[], rules: TimerRules, now: LitTimes, thorough = true): LitTimes {
  const { step_min } = rules;
  const { pause } = now;
  const most = Math.floor(openOf(rules, now.pause) / step_min) * step_min;
  const grain = (min: number) => Math.max(1, Math.floor(min / step_min)) * step_min;
  const lengths = (from: number, to: number, step: number) =>
    Array.from({ length: Math.floor((Math.min(most, to) - Math.max(0, from)) / step) + 1 }, (_, i) => Math.max(0, from) + i * step);
  const timesOf = (lits: readonly number[]): LitTimes[] =>
    lits.flatMap((lit_min) => onsFor(lit_min, served, rules, now, thorough).map((on_min) => ({ on_min, lit_min, pause })));
  // Each grain about the best of the one before it.
  const grains = [...new Set([...(thorough || !served.some((s) => s.daylight) ? [] : [4 * QUARTER_min]), QUARTER_min, 1].map(grain))];
  let best = bestOf(served, timesOf([...lengths(0, most, grains[0]!), most]));
  for (const [i, step] of grains.slice(1).entries()) {
    const coarse = grains[i]!;
    best = bestOf(served, [best, ...timesOf(lengths(best.lit_min - coarse, best.lit_min + coarse, step))]);
  }
  const [long, strong] = [longOn(served, best), strongOn(served, best)];
  const loss = lossOn(served, best, Infinity);
  // Any other place for as long a day that is as good may be nicer for the household.
  const asGood = (on_min: number) => {
    const times = { on_min, lit_min: best.lit_min, pause };
    return (
      longOn(served, times) <= long + 1e-9 && strongOn(served, times) <= strong + 1e-9 && lossOn(served, times, loss + 1e-6) <= loss + 1e-6
    );
  };
  return { on_min: placeOf(best.lit_min, served, rules, now, asGood), lit_min: best.lit_min, pause };
}

/** Days of every length in steps, as far as the quiet hours and the pause leave, each at the places of the day at which it might lie. */
export function timesToTry(served: readonly Served[], rules: TimerRules, now: LitTimes, step_min: number): LitTimes[] {
  const most = openOf(rules, now.pause);
  return Array.from({ length: Math.floor(most / step_min) + 1 }, (_, i) => i * step_min).flatMap((lit_min) =>
    onsFor(lit_min, served, rules, now, false).map((on_min) => ({ on_min, lit_min, pause: now.pause })),
  );
}

/**
 * Limits first, then what is lost. Lamps that are off break no limit on their strength, but are no way to keep it where all hours break
 * it: plants would be left in the dark. Where hours keep it, off is one of the choices: daylight may be enough.
 */
function bestOf(served: readonly Served[], tried: readonly LitTimes[]): LitTimes {
  const short = leastDeep(tried, (times) => longOn(served, times)).kept;
  const { kept: lit, depth } = leastDeep(short.filter((t) => t.lit_min > 0), (times) => strongOn(served, times)); // prettier-ignore
  const isKept = lit.length === 0 || depth <= 1e-9;
  let best: LitTimes | null = null;
  let least = Infinity;
  for (const times of isKept ? [...lit, ...short.filter((t) => t.lit_min === 0)] : lit) {
    const loss = lossOn(served, times, least);
    if (best && loss >= least - 1e-9) continue;
    [best, least] = [times, loss];
  }
  return best!;
}

/** Those that break a limit least deeply; where none breaks it, all that keep to it. */
function leastDeep(tried: readonly LitTimes[], depthOn: (times: LitTimes) => number): { kept: readonly LitTimes[]; depth: number } {
  const depths = tried.map(depthOn);
  const depth = Math.min(...depths);
  return { kept: tried.filter((_, i) => depths[i]! <= depth + 1e-9), depth };
}

/** What it gives with given times. */
export const resultsOn = (served: readonly Served[], rules: TimerRules, times: LitTimes): TimerAnswer => describe(served, rules, times, []);

function describe(served: readonly Served[], rules: TimerRules, times: LitTimes, limits: readonly TimerLimit[]): TimerAnswer {
  const { on_min, lit_min, pause } = times;
  const inCheap_min = rules.cheap ? litWithin(times, rules.cheap) : 0;
  return {
    on_min,
    lit_min,
    pause,
    limits,
    inCheap_min,
    inQuiet_min: rules.quiet ? litWithin(times, rules.quiet) : 0,
    costPerDay: costADay(rules, rules.power, times),
    results: served.map((s) => timerResultOf(s, times)),
  };
}

function timerResultOf(s: Served, times: LitTimes): TimerResult {
  const { stage } = s;
  const day = lightDayOf(times, s.daylight);
  const { weakest, mean, strongest, photoperiod, litPpfd } = receivedOf(s.light, day);
  const says = standingAt(s, times);
  const isSun = (says === 'much' || says === 'uneven') && tooMuchSun(s.light, day, s.limits) !== null;
  const more = s.daylight?.dli ?? 0;
  // Daylight stays as it is: the lamps have to make up for it.
  const byLamps = (wanted: Dli, has: Dli) => Math.max(0.01, wanted - more) / Math.max(1e-9, has - more);
  const changed =
    says === 'short'
      ? byLamps(stage.dliMin, weakest)
      : says === 'much'
        ? Math.min(1, byLamps(stage.dliMax, strongest), s.limits.strongest / litPpfd)
        : 1;
  const light = isSun || times.lit_min === 0 ? null : changed;
  return { trayId: s.trayId, weakest, mean, strongest, photoperiod, says, alone: aloneOf(s, times.on_min), tooMuchSun: isSun, light };
}

/** How bad some times are for a tray whatever its plan, and whether it is in range. */
export const lossAndStanding = (s: Served, times: LitTimes): { readonly loss: number; readonly says: Standing } => ({
  loss: lossOf(s.light, s.stage, s.limits, lightDayOf(times, s.daylight)),
  says: standingAt(s, times),
});

const standingAt = (s: Served, times: LitTimes): Standing =>
  standingOf(saysOf(receivedOf(s.light, lightDayOf(times, s.daylight)), s.stage, s.limits));

/** Hours on a timer of its own that put all of a tray into its band within the days that are usual for it; null: there are none. */
function aloneOf(s: Served, on_min: number): Hours | null {
  let best: { lit_min: number; loss: number } | null = null;
  for (let lit_min = QUARTER_min; lit_min <= MINUTES_PER_DAY; lit_min += QUARTER_min)
    for (const on of s.daylight ? besideDaylight(lit_min, s.daylight) : [on_min]) {
      const times = { on_min: on, lit_min, pause: null };
      if (photoperiodOf(lightDayOf(times, s.daylight)) < s.stage.hoursMin || standingAt(s, times) !== 'suits') continue;
      const loss = lossOf(s.light, s.stage, s.limits, lightDayOf(times, s.daylight));
      if (!best || loss < best.loss - 1e-12) best = { lit_min, loss };
    }
  return best && best.lit_min / 60;
}

/** What kept the times from being others. */
function limitsOf(served: readonly Served[], rules: TimerRules, open: Hours, times: LitTimes): TimerLimit[] {
  const limits: TimerLimit[] = [];
  const hours = times.lit_min / 60;
  const shortest = served.reduce((a, b) => (b.limits.longestDay < a.limits.longestDay ? b : a));
  const longest = served.reduce((a, b) => (b.stage.hoursMin > a.stage.hoursMin ? b : a));
  if (longest.stage.hoursMin > shortest.limits.longestDay)
    limits.push({
      why: 'crops-disagree',
      longId: longest.trayId,
      atLeast: longest.stage.hoursMin,
      shortId: shortest.trayId,
      atMost: shortest.limits.longestDay,
    });
  const results = served.map((s) => timerResultOf(s, times));
  const step = Math.max(rules.step_min, QUARTER_min) / 60 + 0.01;
  const wantsMore = results.some((f) => f.says === 'short');
  const wantsLess = results.some((f) => f.says === 'much' || f.says === 'uneven');
  const lightest = Math.max(...results.map((f) => f.photoperiod));
  if (open < 24 && hours >= open - step && (wantsMore || open < longest.stage.hoursMin)) limits.push({ why: 'quiet', longest: open });
  else if (wantsMore && lightest >= shortest.limits.longestDay - step)
    limits.push({ why: 'longest-day', trayId: shortest.trayId, hours: shortest.limits.longestDay });
  if (wantsLess && results.find((f) => f.trayId === longest.trayId)!.photoperiod <= longest.stage.hoursMin + step)
    limits.push({ why: 'shortest-day', trayId: longest.trayId, hours: longest.stage.hoursMin });
  const apart = results.filter((f) => f.says !== 'suits' && f.alone !== null);
  if (served.length > 1 && apart.length > 0 && limits.every((l) => l.why !== 'crops-disagree' && l.why !== 'quiet'))
    limits.push({ why: 'no-common-hours', trayIds: apart.map((f) => f.trayId) });
  return limits;
}

/** Times of going on by which lamps burn along with daylight, right after it, or right before it. */
const besideDaylight = (lit_min: number, { from_min, to_min }: Daylight): number[] =>
  [(from_min + to_min - lit_min) / 2, to_min, from_min - lit_min].map((m) =>
    Math.round(((m % MINUTES_PER_DAY) + MINUTES_PER_DAY) % MINUTES_PER_DAY),
  );

/** When a day of that length might go on, for its light alone: where daylight comes in, or a pause cuts it, it makes a difference. */
function onsFor(lit_min: number, served: readonly Served[], rules: TimerRules, now: LitTimes, thorough: boolean): number[] {
  const { step_min, quiet } = rules;
  const daylights = [...new Set(served.map((s) => s.daylight).filter((d) => d !== null))];
  const snap = (m: number) => (Math.round(m / step_min) * step_min + MINUTES_PER_DAY) % MINUTES_PER_DAY;
  if (daylights.length === 0 && !now.pause) return [snap(now.on_min)];
  const grain = thorough ? QUARTER_min : 4 * QUARTER_min;
  const any = Array.from({ length: MINUTES_PER_DAY / grain }, (_, i) => i * grain);
  const ons = [...new Set([...daylights.flatMap((d) => besideDaylight(lit_min, d)), ...any].map(snap))];
  // Sleep comes before what overlaps better.
  const awake = quiet ? ons.filter((on) => litWithin({ on_min: on, lit_min, pause: now.pause }, quiet) === 0) : ons;
  return awake.length > 0 ? awake : quiet ? [snap(quiet.to_min)] : ons;
}

/** Where a day of that length lies best, of the places that are allowed. */
function placeOf(lit_min: number, served: readonly Served[], rules: TimerRules, now: LitTimes, allowed: (on: number) => boolean): number {
  const { step_min, quiet, cheap } = rules;
  const middle = now.on_min + now.lit_min / 2;
  const apart = (on: number) => {
    const d = Math.abs(on + lit_min / 2 - middle) % MINUTES_PER_DAY;
    return Math.min(d, MINUTES_PER_DAY - d);
  };
  const daylight = served.find((s) => s.daylight)?.daylight ?? null;
  // In this order: quiet first, then money, then one long night, then the least change.
  const within = (on: number, span: Span) => litWithin({ on_min: on, lit_min, pause: now.pause }, span);
  const asideOf = (on: number) => (daylight ? lit_min - within(on, daylight) : 0);
  const cost = (on: number) =>
    1e9 * (quiet ? within(on, quiet) : 0) - 1e6 * (cheap ? within(on, cheap) : 0) + 1e3 * asideOf(on) + apart(on);
  const ons = Array.from({ length: MINUTES_PER_DAY / step_min }, (_, i) => ({ on: i * step_min, cost: cost(i * step_min) }))
    .sort((a, b) => a.cost - b.cost || a.on - b.on)
    .map(({ on }) => on);
  // Without daylight, and without a pause to cut it otherwise, every place gives the same light.
  return (daylight || now.pause ? ons.find(allowed) : ons[0]) ?? ons[0]!;
}
