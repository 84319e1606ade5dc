import type { LitTimes } from '../../units/LitTimes';
import type { Day } from '../../units/day';
import type { ChartLimit } from './HangChart';
import { NEAR, type TierCourse } from './TierCourse';
import { type BetweenVisits, timesOf } from './BetweenVisits';

/** Days within a band that do not end a stretch of days outside it. */
const BREAK = 5;

/** Stretches of days on which a tray is not within its band, and why nothing was done about it. Breaks of a few days are not told. */
export function limitsOf(courses: readonly TierCourse[], at: (day: Day) => BetweenVisits, from: Day, until: Day): ChartLimit[] {
  const open = new Map<string, { limit: Omit<ChartLimit, 'bound'>; bounds: Map<ChartLimit['bound'], number> }>();
  const told: ChartLimit[] = [];
  const close = (key: string) => {
    const { limit, bounds } = open.get(key)!;
    // What stood in the way on most of the days.
    told.push({ ...limit, bound: [...bounds].reduce((a, b) => (b[1] > a[1] ? b : a))[0] });
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
        const bound = boundOf(course, i, day, hours, says);
        const key = `${trayId} ${says}`;
        const last = open.get(key);
        if (last && day - last.limit.to > BREAK) close(key);
        const known = open.get(key);
        if (known) {
          known.limit = { ...known.limit, to: day };
          known.bounds.set(bound, (known.bounds.get(bound) ?? 0) + 1);
        } else open.set(key, { limit: { tierId, trayId, says, from: day, to: day }, bounds: new Map([[bound, 1]]) });
      }
    }
  for (const key of [...open.keys()]) close(key);
  return told.sort((a, b) => a.from - b.from);
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
