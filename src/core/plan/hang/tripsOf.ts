import type { Day } from '../../units/day';
import type { HangQuestion, HangVisit, Trip } from './HangChart';
import { jobsIn } from '../../site/hang/KeptChart';
import type { TierCourse } from './TierCourse';
import { type BetweenVisits, type EngineLight, allDays } from './BetweenVisits';

/** What each trip does: what is to be done before it, and how the trays are when somebody is back. */
export function tripsOf(
  question: HangQuestion,
  courses: readonly TierCourse[],
  visits: readonly HangVisit[],
  at: (day: Day) => BetweenVisits,
  until: Day,
  engine: EngineLight,
): Trip[] {
  return question.site.visits.away
    .filter((a) => a.to >= question.from && a.from <= until)
    .map(({ from, to }): Trip => {
      const leaving = Math.max(question.from, from - 1);
      const back = Math.min(until, to + 1);
      const stretch = at(leaving);
      const leave = allDays(courses, stretch, leaving, engine);
      const returned = allDays(courses, stretch, back, engine);
      const away = Array.from({ length: Math.max(0, Math.min(to, until) - leaving) }, (_, i) => allDays(courses, stretch, leaving + 1 + i));
      const dayOf = (n: number): Day | null => (n < 0 ? null : leaving + 1 + n);
      const jobs = visits.find((v) => v.day === leaving);
      return {
        from,
        to,
        before: jobs ? jobsIn(jobs) : null,
        drift: leave.map((d, k) => {
          const comesUp = away.findIndex(
            (all, n) => all[k]!.phase === 'growing' && (n > 0 ? away[n - 1]![k]!.phase : d.phase) === 'before',
          );
          return {
            tierId: d.tierId,
            trayId: d.trayId,
            leave: d,
            back: returned[k]!,
            daysOff: away.filter((all) => all[k]!.says !== 'suits' && all[k]!.says !== 'rest').length,
            hotFrom: dayOf(away.findIndex((all) => all[k]!.says === 'hot')),
            emerges: dayOf(comesUp),
          };
        }),
      };
    });
}
