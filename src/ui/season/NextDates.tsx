import { useState } from 'react';
import type { BatchCourse } from '@/core/plan/season/batchCourse';
import { datesFrom } from '@/core/plan/season/seasonDates';
import { Button } from '../parts/Button';
import { focusHeadingIfLost } from '../shell/focusHeading';
import { useSite, useToday } from '../shell/WorkspaceContext';
import { briefDayWords, dayWords } from './dayWords';
import { seasonDateWords } from './seasonWords';

const MOST_DATES = 8;

interface NextDatesProps {
  courses: readonly BatchCourse[];
  onChoose(id: string): void;
}

/** What comes next in the season, a line each. */
export function NextDates({ courses, onChoose }: NextDatesProps) {
  const site = useSite((s) => s.site);
  const today = useToday();
  const [all, setAll] = useState(false);
  const dates = datesFrom(courses, today);
  const byId = new Map(courses.map((c) => [c.batch.id, c.batch]));
  return (
    <section aria-labelledby="next-dates" className="space-y-2">
      <h3 id="next-dates" className="text-lg font-semibold">
        Next dates
      </h3>
      {dates.length === 0 && <p className="text-soft">Nothing more comes in this season.</p>}
      <ol className="space-y-1.5">
        {dates.slice(0, all ? undefined : MOST_DATES).map((d) => (
          <li key={`${d.id} ${d.what} ${d.day}`} className="grid grid-cols-[6.2rem_1fr] gap-2">
            <span className="font-narrow text-sm text-soft">{d.day < today ? `until ${briefDayWords(d.until)}` : dayWords(d.day)}</span>
            <button type="button" className="text-left hover:underline max-md:min-h-11" onClick={() => onChoose(d.id)}>
              {seasonDateWords(site, d, byId.get(d.id)!)}
              {d.what === 'emerge' && d.until > d.day && <span className="text-soft"> (to {briefDayWords(d.until)})</span>}
            </button>
          </li>
        ))}
      </ol>
      {!all && dates.length > MOST_DATES && (
        <Button
          onClick={() => {
            setAll(true);
            focusHeadingIfLost('next-dates');
          }}
        >
          Show all {dates.length}
        </Button>
      )}
    </section>
  );
}
