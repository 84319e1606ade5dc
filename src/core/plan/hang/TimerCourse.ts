import type { LitTimes } from '../../units/LitTimes';
import { lightDayOf, litHoursOf } from '../../judge/dli/LightDay';
import { wishedHours } from '../hours/wishedHours';
import { powerOf, type StandTimer } from '../timer/servedBy';
import { bestTimes, type Served } from '../timer/solveTimer';
import type { Day } from '../../units/day';
import { depthTooLong } from '../../judge/verdict/hardLimits';
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

/** The trays of a timer that need light on some days, as its lamps serve them: each with the limits of all of these days. */
function servedOn(t: TimerCourse, stretch: BetweenVisits, [from, to]: readonly [Day, Day]): Served[] {
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
      const daylight = course.daylight(i, at);
      const wish = wishedHours(batch.plan, crop, stage, age, light, daylight);
      // What goes by the dose is weighed by its dose, so that trays of one timer meet where all are served; so is what nobody has planned.
      const byDose = wish === null || batch.plan.kind === 'dose' || (batch.plan.kind === 'day-and-night' && wish.hours < 24);
      const limits = {
        longestDay: Math.min(...needed.map((s) => s.limits.longestDay)),
        strongest: Math.min(...needed.map((s) => s.limits.strongest)),
        dliMax: Math.min(...needed.map((s) => s.limits.dliMax)),
      };
      return [{ trayId: tray.id, stage, limits, light, daylight, wish: byDose ? null : wish.hours }];
    }),
  );
}

/** Whether times make too long a day for a tray, which others would not. */
const tooLong = (served: readonly Served[], times: LitTimes): boolean =>
  served.some((s) => depthTooLong(litHoursOf(lightDayOf(times, s.daylight)), s.limits) > 0);

/** Whether beside the sun of a day lamps do more harm than good however they are hung, dimmed and turned up: in spring, at a window. */
const isBetterDark = (t: TimerCourse, times: LitTimes, day: Day): boolean =>
  times.lit_min > 0 &&
  t.tiers.some((c) => c.hasSun(day) && c.leastWrong(day, times) > c.leastWrong(day, { ...times, lit_min: 0 }) + WORTH_DARK);

/**
 * The hours that suit the plans of a timer's trays best over some days; null when nobody has a plan or needs light, so that the
 * timer stays as the person has set it, unless that is too long a day for one of them, or worse than none.
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
  if (served.length > 0 && (planned || tooLong(served, now) || days.some((day) => isBetterDark(t, now, day)))) {
    const rules = {
      step_min: timerStep_min,
      quiet: site.quiet,
      cheap: site.cheap,
      bands: site.bands,
      price_per_kWh: site.price_per_kWh,
      power: powerOf(t.timer),
    };
    best = bestTimes(served, rules, now, false);
  }
  known.set(key, best);
  return best;
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
    const isOff = Math.abs(best.lit_min - set.lit_min) > WORTH_SETTING_MIN;
    if (isOff || tooLong(servedOn(t, stretch, [day, day]), set) || (!isSame(best, set) && isBetterDark(t, set, day))) return day;
  }
  return until + 1;
}

const isSame = (a: LitTimes, b: LitTimes): boolean => a.on_min === b.on_min && a.lit_min === b.lit_min;
