import { receivedOf } from '../../judge/dli/LightDay';
import { tooMuchSun } from '../../judge/verdict/tooMuchSun';
import { isTooLong } from '../../judge/verdict/hardLimits';
import type { Site } from '../../site/stand/Site';
import { freeOf } from '../timer/aroundQuiet';
import type { LitTimes } from '../../units/LitTimes';
import type { Day } from '../../units/day';
import type { ChartLimit } from './HangChart';
import { NEAR, type TierCourse } from './TierCourse';
import { type BetweenVisits, timesOf } from './BetweenVisits';

/** Days within a band that do not end a stretch of days outside it. */
const BREAK = 5;
/** Other hours are named as a help from so much more or less of a day on. */
const WORTH_NAMING_min = 30; // our choice

type Reason = Pick<ChartLimit, 'bound' | 'otherHours'>;

/** Stretches of days on which a tray is not within its band, and why nothing was done about it. Breaks of a few days are not told. */
export function limitsOf(
  courses: readonly TierCourse[],
  at: (day: Day) => BetweenVisits,
  from: Day,
  until: Day,
  quiet: Site['quiet'],
): ChartLimit[] {
  const open = new Map<string, { limit: Omit<ChartLimit, keyof Reason>; reasons: Map<string, { reason: Reason; days: number }> }>();
  const told: ChartLimit[] = [];
  const close = (key: string) => {
    const { limit, reasons } = open.get(key)!;
    // What stood in the way on most of the days.
    told.push({ ...limit, ...[...reasons.values()].reduce((a, b) => (b.days > a.days ? b : a)).reason });
    open.delete(key);
  };
  for (let day = from; day <= until; day++)
    for (const course of courses) {
      const stretch = at(day);
      const hours = timesOf(stretch, course);
      for (const [i, { says, tierId, trayId }] of course.daysOf(stretch.tiers.get(course)!, day, hours).entries()) {
        if (says === 'suits' || says === 'rest') continue;
        // Off by less than is worth a visit.
        if (course.leastWrong(day, hours) <= NEAR && course.ok(stretch.tiers.get(course)!, day, hours)) continue;
        const sun = says === 'much' || says === 'uneven' ? sunOf(course, i, stretch, day) : null;
        const reason = {
          bound: sun ?? boundOf(course, i, day, hours, says),
          otherHours: sun ? null : otherHoursOf(courses, course, i, day, says, stretch, quiet),
        };
        const text = `${reason.bound} ${reason.otherHours}`;
        const key = `${trayId} ${says}`;
        const last = open.get(key);
        if (last && day - last.limit.to > BREAK) close(key);
        const known = open.get(key);
        if (known) {
          known.limit = { ...known.limit, to: day };
          known.reasons.set(text, { reason, days: (known.reasons.get(text)?.days ?? 0) + 1 });
        } else open.set(key, { limit: { tierId, trayId, says, from: day, to: day }, reasons: new Map([[text, { reason, days: 1 }]]) });
      }
    }
  for (const key of [...open.keys()]) close(key);
  return told.sort((a, b) => a.from - b.from);
}

/** Whether the sun alone does it, by its strength or by its dose: no lamp mends that. */
function sunOf(course: TierCourse, tray: number, stretch: BetweenVisits, day: Day): 'sun' | 'sun-dose' | null {
  const { lamps, risers } = stretch.tiers.get(course)!;
  const light = course.light(tray, lamps, risers[course.tier.trays[tray]!.tray.id]!, day);
  const by = tooMuchSun(light, course.day(tray, timesOf(stretch, course), day), course.state(tray, day).limits);
  return by && (by === 'scorches' ? 'sun' : 'sun-dose');
}

function boundOf(course: TierCourse, tray: number, day: Day, hours: LitTimes, says: ChartLimit['says']): ChartLimit['bound'] {
  if (course.leastWrong(day, hours) <= NEAR) return 'rhythm';
  const risers = course.tier.trays[tray]!.tray.risers;
  const alone = course.heights.map((settings) => Math.min(...settings.map((lamps) => course.trayWrong(tray, lamps, risers, day, hours))));
  const least = Math.min(...alone);
  if (least <= NEAR) return 'shared';
  if (course.heights.length === 1) return 'fixed';
  const best = alone.indexOf(least);
  if (best === alone.length - 1 && says !== 'short') return 'ceiling';
  // One step nearer would be the better for its light, but for the heat.
  return says === 'short' && (best === 0 || alone[best - 1]! > least + 1) ? 'heat' : null;
}

/** Whether a tray that gets too little may have a longer day, or one that gets too much a shorter one, and the others of its timer with it. */
function otherHoursOf(
  courses: readonly TierCourse[],
  course: TierCourse,
  tray: number,
  day: Day,
  says: ChartLimit['says'],
  stretch: BetweenVisits,
  quiet: Site['quiet'],
): ChartLimit['otherHours'] {
  if (says !== 'short' && says !== 'much') return null;
  const hours = timesOf(stretch, course);
  const times = { ...hours, lit_min: hours.lit_min + (says === 'short' ? WORTH_NAMING_min : -WORTH_NAMING_min) };
  if (says === 'short' && times.lit_min > freeOf(hours, quiet)) return null;
  const suits = (c: TierCourse, i: number) => {
    const { stage, limits, needed } = c.state(i, day);
    if (!needed) return true;
    const { lamps, risers } = stretch.tiers.get(c)!;
    const then = receivedOf(c.light(i, lamps, risers[c.tier.trays[i]!.tray.id]!, day), c.day(i, times, day));
    return says === 'short'
      ? !isTooLong(then, limits) && then.strongest <= stage.dliMax
      : then.photoperiod >= stage.hoursMin && then.weakest >= stage.dliMin;
  };
  if (!suits(course, tray)) return null;
  const { id } = course.tier.timer;
  return courses.every((c) => c.tier.timer.id !== id || c.tier.trays.every((_, i) => suits(c, i))) ? 'timer' : 'own';
}
