import type { Year, YearAtPlace } from '../../answer/daylight/yearOf';
import type { Place } from '../../sky/outdoors/outdoorsAt';
import { minutesAhead } from '../../units/clockChanges';
import type { Day } from '../../units/day';
import type { Dli, Hours } from '../../units/quantities';
import { bestTimes, fareOn, type Fares, type Served, type TimerRules } from '../timer/solveTimer';
import { halvesOf, meanDay } from './yearHalves';

/** What a timer has to do in a part of the year. */
export interface TopUp {
  readonly from: Day;
  readonly to: Day;
  readonly on_min: number;
  readonly lit_min: number;
  /** Of daylight alone. */
  readonly daylight: Dli;
  /** How each tray does with both; sun and lamp together make its photoperiod. */
  readonly fares: readonly Fares[];
}

/** Times that differ by less than this are not worth a walk to the timer: our convention. */
const WORTH_A_WALK_min = 30;

interface TopUpAsked {
  readonly place: Place;
  readonly timeZone: string | null;
  /** Trays under the timer's lamps, with the light that these give. */
  readonly served: readonly Omit<Served, 'daylight'>[];
  readonly rules: TimerRules;
  readonly now: { readonly on_min: number; readonly lit_min: number };
}

/**
 * The lamp hours that daylight leaves to be given, by half months, and when in the day: by the same judgement as a timer's.
 *
 * @param places  of the trays together, as computed for the year
 */
export function topUpOf(year: Year, places: readonly YearAtPlace[], { place, timeZone, served, rules, now }: TopUpAsked): TopUp[] {
  if (served.length === 0) return [];
  const ahead = minutesAhead(timeZone);
  let before = now;
  return halvesOf(year).map((half) => {
    const daylight = meanDay(year, places, half, place, ahead);
    const all = served.map((s): Served => ({ ...s, daylight, wish: null }));
    const best = bestTimes(all, rules, before, false);
    const kept = isNear(best, before) && isAsGood(all, rules, before, best) ? before : best;
    before = kept;
    return { ...half, ...kept, daylight: daylight?.dli ?? 0, fares: fareOn(all, rules, kept.on_min, kept.lit_min).fares };
  });
}

type Times = TopUpAsked['now'];

const isNear = (a: Times, b: Times): boolean =>
  Math.abs(a.lit_min - b.lit_min) < WORTH_A_WALK_min && (a.lit_min === 0 || Math.abs(a.on_min - b.on_min) < WORTH_A_WALK_min);

/** As many trays do well on the times that are set already. */
function isAsGood(served: readonly Served[], rules: TimerRules, set: Times, best: Times): boolean {
  const well = ({ on_min, lit_min }: Times) => fareOn(served, rules, on_min, lit_min).fares.filter((f) => f.says === 'suits').length;
  return well(set) >= well(best);
}

/** The days of a year on which a timer is to be set anew. */
export function settingsOf(topUps: readonly TopUp[]): { readonly day: Day; readonly on_min: number; readonly lit_min: number }[] {
  return topUps.flatMap((t, i) => {
    const before = topUps.at(i - 1);
    const isSame = before && before.lit_min === t.lit_min && (t.lit_min === 0 || before.on_min === t.on_min);
    return isSame ? [] : [{ day: t.from, on_min: t.on_min, lit_min: t.lit_min }];
  });
}

/** Lamp hours of each month, the mean of its halves. */
export const hoursByMonth = (topUps: readonly TopUp[]): Hours[] =>
  Array.from({ length: 12 }, (_, m) => ((topUps[2 * m]?.lit_min ?? 0) + (topUps[2 * m + 1]?.lit_min ?? 0)) / 120);
