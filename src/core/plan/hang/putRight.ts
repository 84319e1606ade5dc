import { MAPS_WITHIN } from '../../answer/bench/mapsOfTrays';
import type { Day } from '../../units/day';
import type { HangVisit } from './HangChart';
import type { TierCourse } from './TierCourse';
import { type BetweenVisits, timesOf } from './BetweenVisits';

/** Puts the tables right where the engine found trays stronger than their limit that were within it by the table. @returns whether any was */
export function putRight(courses: readonly TierCourse[], told: readonly HangVisit[], at: (day: Day) => BetweenVisits): boolean {
  const byTray = new Map<string, number>();
  for (const v of told)
    for (const [day, trays] of [
      [v.day, v.after],
      [v.last, v.before],
    ] as const)
      for (const course of courses) {
        const stretch = at(v.day);
        const table = course.daysOf(stretch.tiers.get(course)!, day, timesOf(stretch, course));
        for (const [i, said] of table.entries()) {
          const { strongest } = course.state(i, day).limits;
          const found = trays.find((d) => d.trayId === said.trayId)!;
          // With the bench's light it may be so much more.
          const most = found.litPpfd * (1 + MAPS_WITHIN);
          if (said.says === 'rest' || said.litPpfd > strongest || most <= strongest) continue;
          const by = (1.002 * most) / said.litPpfd;
          byTray.set(said.trayId, Math.max(by, byTray.get(said.trayId) ?? 1));
        }
      }
  for (const course of courses)
    course.tier.trays.forEach(({ tray }, i) => {
      const by = byTray.get(tray.id);
      if (by !== undefined) course.correct(i, by);
    });
  return byTray.size > 0;
}
