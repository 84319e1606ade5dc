import type { LitTimes } from '../../units/LitTimes';
import type { Year } from '../../answer/daylight/yearOf';
import type { Place } from '../../sky/outdoors/outdoorsAt';
import { minutesAhead } from '../../units/clockChanges';
import type { Day } from '../../units/day';
import type { Dli, Hours } from '../../units/quantities';
import { bestTimes, resultsOn, type TimerResult, type Served, type TimerRules } from '../timer/solveTimer';
import { halvesOf, meanDay } from './yearHalves';

/** What a timer has to do in a part of the year. */
export interface TopUp extends LitTimes {
  readonly from: Day;
  readonly to: Day;
  /** How each tray does with both; sun and lamp together make its photoperiod. */
  readonly results: readonly TopUpResult[];
}

/** How a tray does, and what of it is daylight. */
export interface TopUpResult extends TimerResult {
  readonly daylight: Dli;
}

/** A tray under the timer's lamps, with the light that these give, and which of the year's places it stands at; null: at no window. */
export interface ServedAtPlace extends Omit<Served, 'daylight'> {
  readonly place: number | null;
}

/** Of the dose that the best times would give, a tray may miss or get this much more before somebody has to walk to the timer: our convention. */
const NEAR = { least: 0.8, most: 1.25 } as const;

interface TopUpAsked {
  readonly place: Place;
  readonly timeZone: string | null;
  readonly served: readonly ServedAtPlace[];
  readonly rules: TimerRules;
  readonly now: LitTimes;
}

/**
 * The lamp hours that daylight leaves to be given, by half months, and when in the day: by the same judgement as a timer's. Times stay as
 * long as they do about as well as the best would, so that the timer is set anew as seldom as may be; where daylight alone is enough
 * for every tray the lamps stay off. Each tray has the daylight of its own place.
 */
export function topUpOf(year: Year, { place, timeZone, served, rules, now }: TopUpAsked): TopUp[] {
  if (served.length === 0) return [];
  const ahead = minutesAhead(timeZone);
  const halves = halvesOf(year).map((half) => {
    const days = year.places.map((at) => meanDay(year, at, half, place, ahead));
    const all = served.map((s): Served => ({ ...s, daylight: s.place === null ? null : days[s.place]!, wish: null }));
    const on = (times: LitTimes): TopUpResult[] =>
      resultsOn(all, rules, times).results.map((f, i) => ({ ...f, daylight: all[i]!.daylight?.dli ?? 0 }));
    const off: LitTimes = { ...now, lit_min: 0 };
    const enough = on(off).every((f, i) => f.weakest >= all[i]!.stage.dliMin && f.photoperiod >= all[i]!.stage.hoursMin);
    const best = enough ? off : bestTimes(all, rules, now, false);
    return { ...half, on, best, results: on(best) };
  });
  const topUps: TopUp[] = [];
  while (topUps.length < halves.length) {
    const start = topUps.length;
    // The times that carry furthest from here; of the times of the halves themselves.
    let [times, end] = [halves[start]!.best, start];
    for (const { best } of halves.slice(start)) {
      let reach = start;
      while (reach < halves.length && isAboutAsGood(best, halves[reach]!, served)) reach++;
      if (reach - 1 > end) [times, end] = [best, reach - 1];
    }
    for (const { from, to, on } of halves.slice(start, end + 1)) topUps.push({ from, to, ...times, results: on(times) });
  }
  return topUps;
}

/** As many trays do well, none gets much less or more than it would, and no lamp burns where daylight is enough. */
function isAboutAsGood(
  times: LitTimes,
  { best, results, on }: { best: LitTimes; results: readonly TimerResult[]; on(times: LitTimes): readonly TimerResult[] },
  served: readonly Pick<Served, 'limits'>[],
): boolean {
  if (best.lit_min === 0) return times.lit_min === 0;
  const set = on(times);
  const well = (all: readonly TimerResult[]) => all.filter((f) => f.says === 'suits').length;
  // A longer day than the best would give is a reason to walk, where it is longer than the plant bears.
  const isShort = ({ photoperiod }: TimerResult, i: number) =>
    photoperiod <= Math.max(served[i]!.limits.longestDay, results[i]!.photoperiod) + 1e-9;
  const isNear = ({ mean, says }: TimerResult, i: number) =>
    says === 'suits' || (mean >= NEAR.least * results[i]!.mean && mean <= NEAR.most * results[i]!.mean);
  return well(set) >= well(results) && set.every(isNear) && set.every(isShort);
}

/** The days of a year on which a timer is to be set anew. */
export function timerSettingsOf(topUps: readonly TopUp[]): (LitTimes & { readonly day: Day })[] {
  return topUps.flatMap((t, i) => {
    const before = topUps.at(i - 1);
    const isSame = before && before.lit_min === t.lit_min && (t.lit_min === 0 || before.on_min === t.on_min);
    return isSame ? [] : [{ day: t.from, on_min: t.on_min, lit_min: t.lit_min, pause: t.pause }];
  });
}

/** Lamp hours of each month, the mean of its halves. */
export const hoursByMonth = (topUps: readonly TopUp[]): Hours[] =>
  Array.from({ length: 12 }, (_, m) => ((topUps[2 * m]?.lit_min ?? 0) + (topUps[2 * m + 1]?.lit_min ?? 0)) / 120);
