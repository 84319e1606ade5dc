import { MINUTES_PER_DAY } from '../../units/clock';
import type { Day } from '../../units/day';
import { litWithin, type LitTimes } from '../../units/LitTimes';
import type { Share } from '../../units/quantities';
import { freeOf } from '../timer/aroundQuiet';
import type { Served } from '../timer/solveTimer';
import type { BetweenVisits } from './BetweenVisits';
import type { HangQuestion } from './HangChart';
import { NEAR } from './TierCourse';
import { isSame, leastOn, servedOn, tooLong, type TimerCourse } from './TimerCourse';

/** Hours that are looked at roughly, as shares of the longest day: our choice. */
const ROUGHLY: readonly Share[] = [1, 0.75, 0.5, 0.25];
const QUARTER_min = 15;

/**
 * Some hours of all lengths beside the sun of some days, none too long and none in the quiet hours. Close lamps for few hours and far ones
 * for many are both as good as can be, each for its height or its hours, and one may be far better than the other.
 */
function roughHours({ site: { quiet } }: HangQuestion, t: TimerCourse, served: readonly Served[], now: LitTimes): LitTimes[] {
  const sun = served.find((s) => s.daylight)?.daylight;
  if (!sun) return [];
  const quarters = (min: number) => QUARTER_min * Math.floor((((min % MINUTES_PER_DAY) + MINUTES_PER_DAY) % MINUTES_PER_DAY) / QUARTER_min);
  const longest = Math.min(freeOf(t.timer, quiet), 60 * Math.min(...served.map((s) => s.limits.longestDay)));
  return ROUGHLY.flatMap((share) => {
    const lit_min = quarters(share * longest);
    const ends = quiet ? [quiet.to_min, quiet.from_min - lit_min] : [];
    return [(sun.from_min + sun.to_min - lit_min) / 2, sun.from_min, sun.to_min - lit_min, sun.to_min, ...ends].map((on) => ({
      on_min: quarters(on),
      lit_min,
      pause: now.pause,
    }));
  }).filter((times) => !tooLong(served, times) && (!quiet || litWithin(times, quiet) === 0));
}

/** Lamps are hung anew and hours set otherwise at once only where so much is wrong, and hardly anything is then. */
const WORTH_OTHERWISE = 4 * NEAR; // our choice
const ALL_RIGHT = 2 * NEAR;
/** Hours with which a rough look finds no more wrong are looked at closely, the best few of them. */
const MAY_BE_RIGHT = 10 * NEAR;
const LOOKED_AT_CLOSELY = 3;

/** Hours that put right what others leave wrong on some days, together with another height of the lamps; null: there are none, or these are the person's own. */
export function timerOtherwise(
  question: HangQuestion,
  t: TimerCourse,
  stretch: BetweenVisits,
  set: LitTimes,
  days: readonly [Day, Day],
): LitTimes | null {
  if (isSame(set, t.timer) || !t.tiers.some((c) => c.hasSun(days[0]))) return null;
  if (leastOn(t, days, set) <= WORTH_OTHERWISE) return null;
  const roughly = (times: LitTimes) => t.tiers.reduce((sum, c) => sum + c.roughlyLeast(days[0], times), 0);
  const tried = roughHours(question, t, servedOn(t, stretch, days), set)
    .map((times) => ({ times, wrong: roughly(times) }))
    .filter((o) => o.wrong <= MAY_BE_RIGHT)
    .sort((a, b) => a.wrong - b.wrong);
  return tried.slice(0, LOOKED_AT_CLOSELY).find(({ times }) => leastOn(t, days, times) <= ALL_RIGHT)?.times ?? null;
}

/** Of two hours those with which less is wrong on some days, with the lamps hung as suits them. */
export const betterOn = (t: TimerCourse, days: readonly Day[], a: LitTimes, b: LitTimes): LitTimes =>
  leastOn(t, days, b) < leastOn(t, days, a) ? b : a;
