import type { BatchCourse } from '@/core/plan/season/batchCourse';
import { datesOf } from '@/core/plan/season/seasonDates';
import type { SeasonPlan } from '@/core/site/season/SeasonPlan';
import { useSite } from '../shell/WorkspaceContext';
import { dayWords } from './dayWords';
import { nameOf, seasonDateWords } from './seasonWords';

/** The plan on one sheet of paper: every date in order, with a box to tick. */
export function SeasonPrint({ season, courses }: { season: SeasonPlan; courses: readonly BatchCourse[] }) {
  const site = useSite((s) => s.site);
  const dates = courses.flatMap((c) => datesOf(c).map((d) => ({ d, batch: c.batch }))).sort((a, b) => a.d.day - b.d.day);
  return (
    <article className="hidden bg-white text-[10.5px] leading-snug text-black print:block" data-testid="season-print">
      <h1 className="border-b border-black pb-1 text-lg font-semibold">{season.name}</h1>
      <ol className="columns-2 gap-8 pt-2">
        {dates.map(({ d, batch }) => (
          <li key={`${d.id} ${d.what} ${d.day}`} className="flex gap-2 py-0.5 break-inside-avoid">
            <span className="mt-0.5 size-3 shrink-0 border border-black" />
            <span className="w-18 shrink-0">{dayWords(d.day)}</span>
            <span>{seasonDateWords(site, d, batch)}</span>
          </li>
        ))}
      </ol>
      <p className="pt-2">
        {courses.length} batches: {courses.map((c) => `${nameOf(site, c.batch)} ${c.plantsOut}`).join(', ')}.
      </p>
    </article>
  );
}
