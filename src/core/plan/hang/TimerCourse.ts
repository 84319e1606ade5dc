import type { LitTimes } from '../../units/LitTimes';
import { lightDayOf, litHoursOf, receivedOf } from '../../judge/dli/LightDay';
import { wishedHours } from '../hours/wishedHours';
import { powerOf, type StandTimer } from '../timer/servedBy';
import { bestTimes, type Served } from '../timer/solveTimer';
import type { Day } from '../../units/day';
import { depthTooLong, depthTooStrong } from '../../judge/verdict/hardLimits';
import type { HangQuestion } from './HangChart';
import { NEAR, type TierCourse } from './TierCourse';
import type { BetweenVisits } from './BetweenVisits';

/** A timer is left alone until its best hours are off by more than this. */
const WORTH_SETTING_MIN = 60; // our choice: an hour is a twelfth of a usual dose

/** So much less wrong it has to be in the dark: as far as a day goes for as good as it can be. */
const WORTH_DARK = NEAR;

/** A timer with the tiers of the chart that hang on it. */
export interface TimerCourse {
  readonly timer: StandTimer;
  readonly tiers: readonly TierCourse[];
}

/**
 * The trays of a timer that need light on some days, as its lamps serve them: each with the limits of all of these days, and in the daylight
 * of the first and of the last of them, so that lamps keep their limits on both.
 */
export function servedOn(t: TimerCourse, stretch: BetweenVisits, [from, to]: readonly [Day, Day]): Served[] {
  const middle = from + Math.floor((to - from) / 2);
  const days = Array.from({ length: to - from + 1 }, (_, i) => from + i);
  return t.tiers.flatMap((course) =>
    course.tier.trays.flatMap(({ tray, batch, crop }, i): Served[] => {
      const needed = days.map((d) => course.state(i, d)).filter((s) => s.needed);
      if (needed.length === 0) return [];
      const at = course.state(i, middle).needed ? middle : days.find((d) => course.state(i, d).needed)!;
      const { stage, age } = course.state(i, at);
      const setting = stretch.tiers.get(course)!;
      const light = course.light(i, setting.lamps, setting.risers[tray.id]!, at);
      const limits = {
        longestDay: Math.min(...needed.map((s) => s.limits.longestDay)),
        strongest: Math.min(...needed.map((s) => s.limits.strongest)),
        dliMax: Math.min(...needed.map((s) => s.limits.dliMax)),
      };
      return [...new Set([course.daylight(i, from), course.daylight(i, to)])].map((daylight) => {
        const wish = wishedHours(batch.plan, crop, stage, age, light, daylight);
        // What goes by the dose is weighed by its dose, so that trays of one timer meet where all are served; so is what nobody has planned.
        const byDose = wish === null || batch.plan.kind === 'dose' || (batch.plan.kind === 'day-and-night' && wish.hours < 24);
        return { trayId: tray.id, stage, limits, light, daylight, wish: byDose ? null : wish.hours };
      });
    }),
  );
}

/** Whether times make too long a day for a tray, which others would not. */
export const tooLong = (served: readonly Served[], times: LitTimes): boolean =>
  served.some((s) => depthTooLong(litHoursOf(lightDayOf(times, s.daylight)), s.limits) > 0);

/** Whether beside the sun lamps burn while it is so strong that with them it is more than the leaves of a tray bear; other hours might not. */
const tooStrongBesideSun = (served: readonly Served[], times: LitTimes): boolean =>
  served.some((s) => s.daylight && depthTooStrong(receivedOf(s.light, lightDayOf(times, s.daylight)).litPpfd, s.limits) > 0);

/** Whether beside the sun of a day lamps do more harm than good however they are hung, dimmed and turned up: in spring, at a window. */
const isBetterDark = (t: TimerCourse, times: LitTimes, day: Day): boolean =>
  times.lit_min > 0 &&
  t.tiers.some((c) => c.hasSun(day) && c.leastWrong(day, times) > c.leastWrong(day, { ...times, lit_min: 0 }) + WORTH_DARK);

/** Beside the sun so short a time of lamps may be none, min; the shorter, the more it has to gain. */
const SHORT_min = 60; // our choice

/** Times that do about as well as none are none: a quarter of an hour of lamps is nothing to a plant that has the sun. */
const orDark = (t: TimerCourse, stretch: BetweenVisits, times: LitTimes, day: Day): LitTimes => {
  const wrong = (lit_min: number) => t.tiers.reduce((sum, c) => sum + c.wrong(stretch.tiers.get(c)!, day, { ...times, lit_min }), 0);
  const isShort = times.lit_min > 0 && times.lit_min <= SHORT_min && t.tiers.every((c) => c.hasSun(day));
  return isShort && wrong(0) <= wrong(times.lit_min) + (NEAR * SHORT_min) / times.lit_min ? { ...times, lit_min: 0 } : times;
};

/**
 * The hours that suit the plans of a timer's trays best over some days; null when nobody has a plan or needs light, so that the
 * timer stays as the person has set it, unless that is too long a day for one of them, too strong beside the sun, or worse than none.
 * Hours that the chart has set once it goes on setting.
 */
export function timerBest(
  question: HangQuestion,
  t: TimerCourse,
  stretch: BetweenVisits,
  now: LitTimes,
  days: readonly [Day, Day],
  known: Map<string, LitTimes | null>,
): LitTimes | null {
  const settings = t.tiers.map((c) => stretch.tiers.get(c)!).map((s) => `${s.lamps.index} ${Object.values(s.risers).join()}`);
  const key = [t.timer.id, ...days, now.on_min, now.lit_min, ...settings].join('|');
  const before = known.get(key);
  if (before !== undefined) return before;
  const { site, timerStep_min } = question;
  const served = servedOn(t, stretch, days);
  const planned = t.tiers.some((c) =>
    c.tier.trays.some(({ batch }, i) => batch.plan.kind !== 'as-set' && c.state(i, days[0]).phase !== 'left'),
  );
  let best: LitTimes | null = null;
  const isBad = () => tooLong(served, now) || tooStrongBesideSun(served, now) || days.some((day) => isBetterDark(t, now, day));
  if (served.length > 0 && (planned || !isSame(now, t.timer) || isBad())) {
    const rules = {
      step_min: timerStep_min,
      quiet: site.quiet,
      cheap: site.cheap,
      bands: site.bands,
      price_per_kWh: site.price_per_kWh,
      power: powerOf(t.timer),
    };
    best = orDark(t, stretch, bestTimes(served, rules, now, false), days[0]);
  }
  known.set(key, best);
  return best;
}

/** What is wrong with all trays of a timer on some days, with the lamps hung as suits these times best. */
export const leastOn = (t: TimerCourse, days: readonly Day[], times: LitTimes): number =>
  t.tiers.reduce((sum, c) => sum + days.reduce((of, day) => of + c.leastWrong(day, times), 0), 0) / days.length;

/** So far ahead hours are looked for that can stay, days; beside the sun days grow longer or shorter. */
const AHEAD = [27, 13]; // our choice

/** The best hours until the next visit; beside the sun such as can stay for longer. */
export function timerToLast(
  question: HangQuestion,
  t: TimerCourse,
  stretch: BetweenVisits,
  now: LitTimes,
  [day, last]: readonly [Day, Day],
  until: Day,
  known: Map<string, LitTimes | null>,
): LitTimes | null {
  const best = timerBest(question, t, stretch, now, [day, last], known);
  if (!best || !t.tiers.some((c) => c.hasSun(day))) return best;
  const later = AHEAD.map((n) => timerBest(question, t, stretch, now, [day, Math.min(until, Math.max(last, day + n))], known));
  const horizon = Math.min(until, Math.max(last, day + AHEAD[0]!));
  const least = leastOn(t, [day, last], best);
  let longest = { times: best, bad: timerBad(question, t, stretch, best, day, horizon, known) };
  for (const times of later) {
    if (!times || isSame(times, best) || leastOn(t, [day, last], times) > least + NEAR) continue;
    const bad = timerBad(question, t, stretch, times, day, horizon, known);
    if (bad > longest.bad) longest = { times, bad };
  }
  return longest.times;
}

/** From a day on, the first on which a timer's hours are off by more than is worth setting, or longer than may be. */
export function timerBad(
  question: HangQuestion,
  t: TimerCourse,
  stretch: BetweenVisits,
  set: LitTimes,
  from: Day,
  until: Day,
  known: Map<string, LitTimes | null>,
): Day {
  for (let day = from; day <= until; day++) {
    const best = timerBest(question, t, stretch, set, [day, day], known);
    if (!best) continue;
    if (Math.abs(best.lit_min - set.lit_min) > WORTH_SETTING_MIN) return day;
    const served = servedOn(t, stretch, [day, day]);
    if (tooLong(served, set) || (tooStrongBesideSun(served, set) && !tooStrongBesideSun(served, best))) return day;
    if (!isSame(best, set) && isBetterDark(t, set, day)) return day;
  }
  return until + 1;
}

export const isSame = (a: LitTimes, b: LitTimes): boolean => a.on_min === b.on_min && a.lit_min === b.lit_min;
