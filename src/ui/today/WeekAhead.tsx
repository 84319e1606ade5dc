'use client';
import { datesFrom } from '@/core/plan/season/seasonDates';
import type { Day } from '@/core/units/day';
import { jobsOf } from '../chart/jobWords';
import { dayWords } from '../season/dayWords';
import { seasonDateWords } from '../season/seasonWords';
import { useCourses } from '../season/useSeason';
import { useSettings, useSite, useToday } from '../shell/WorkspaceContext';
import type { StandToday } from './useTodayCharts';

const DAYS = 7;

/** What comes in the next days. */
export function WeekAhead({ stands }: { stands: readonly StandToday[] }) {
  const site = useSite((s) => s.site);
  const today = useToday();
  const told = useSettings();
  const courses = useCourses(site.season);
  const byId = new Map(courses.map((c) => [c.batch.id, c.batch]));
  const rows: { day: Day; words: string }[] = [
    ...datesFrom(courses, today + 1)
      .filter((d) => d.day > today && d.day <= today + DAYS)
      .map((d) => ({ day: d.day, words: seasonDateWords(site, d, byId.get(d.id)!) })),
    ...stands.flatMap(({ stand, chart }) =>
      (chart?.visits ?? [])
        .filter((v) => v.day > today && v.day <= today + DAYS)
        .map((v) => {
          const n = jobsOf(v, stand, told).length;
          return { day: v.day, words: `${stand.stand.name}: ${n === 1 ? 'one thing' : `${n} things`} to set` };
        }),
    ),
  ].sort((a, b) => a.day - b.day);
  return (
    <section aria-labelledby="week" className="space-y-2">
      <h2 id="week" className="text-lg font-semibold">
        The next {DAYS} days
      </h2>
      {rows.length === 0 ? (
        <p className="text-soft">Nothing is planned.</p>
      ) : (
        <ol className="space-y-1">
          {rows.map((r, i) => (
            <li key={i} className="grid grid-cols-[5.6rem_1fr] gap-2">
              <span className="font-narrow text-sm text-soft">{dayWords(r.day)}</span>
              <span>{r.words}</span>
            </li>
          ))}
        </ol>
      )}
    </section>
  );
}
