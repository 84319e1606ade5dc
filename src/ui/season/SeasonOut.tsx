'use client';
import { CalendarDays, Download, Printer } from 'lucide-react';
import { Popover } from 'radix-ui';
import type { BatchCourse } from '@/core/plan/season/batchCourse';
import { datesOf } from '@/core/plan/season/seasonDates';
import { writeIcs, type CalendarEvent } from '@/core/exchange/formats/writeIcs';
import type { SeasonPlan } from '@/core/site/season/SeasonPlan';
import type { Site } from '@/core/site/stand/Site';
import { isoOf } from '@/core/units/day';
import { seasonJson } from '@/store/files/seasonText';
import { zoneOf } from '@/store/files/zoneOf';
import { Button } from '../parts/Button';
import { PictureButtons } from '../parts/PictureButtons';
import { fileName, saveFile } from '../parts/saveFile';
import { takenNow } from '../readings/takenNow';
import { useSite } from '../shell/WorkspaceContext';
import { ImportSeason } from './ImportSeason';
import { dayWords } from './dayWords';
import { seasonDateWords } from './seasonWords';

/** For how long a job is set down, minutes. */
const JOB_MIN = 30;

/** The dates of a season as entries of a calendar, at the hour of the usual visit. */
export const seasonEvents = (site: Site, courses: readonly BatchCourse[]): CalendarEvent[] =>
  courses.flatMap((course) =>
    datesOf(course).map((d) => ({
      uid: `${d.id}-${d.what}-${d.containerId ?? ''}@copper-noon`,
      day: d.day,
      at_min: site.visits.time_min,
      long_min: JOB_MIN,
      title: seasonDateWords(site, d, course.batch),
      text: d.until > d.day ? `Until ${dayWords(d.until)} (${isoOf(d.until)}).` : '',
    })),
  );

/** The plan on paper, in the calendar and in files; and the plan of another year in. */
export function SeasonOut({ season, courses }: { season: SeasonPlan; courses: readonly BatchCourse[] }) {
  const site = useSite((s) => s.site);
  async function calendar() {
    const zone = await zoneOf(site.timeZone);
    saveFile(fileName(season.name, 'ics'), writeIcs(season.name, seasonEvents(site, courses), zone, takenNow('').now_ms), 'text/calendar');
  }
  async function csv() {
    const { seasonCsv } = await import('@/store/files/seasonCsv');
    saveFile(fileName(season.name, 'csv'), seasonCsv(courses), 'text/csv');
  }
  return (
    <Popover.Root>
      <Popover.Trigger asChild>
        <Button aria-label="Export">
          <Download size={17} aria-hidden /> <span className="max-sm:hidden">Export</span>
        </Button>
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          align="end"
          sideOffset={6}
          className="z-30 flex w-60 flex-col gap-2 rounded-lg border border-line bg-sheet p-3 text-ink shadow-lg"
        >
          <Button onClick={() => window.print()}>
            <Printer size={17} aria-hidden /> Print the plan
          </Button>
          <Button onClick={() => void calendar()}>
            <CalendarDays size={17} aria-hidden /> Calendar (.ics)
          </Button>
          <Button onClick={() => void csv()}>Dates as CSV</Button>
          <Button onClick={() => saveFile(fileName(season.name, 'json'), seasonJson(season))}>The plan as JSON</Button>
          <PictureButtons of="season" name={season.name} words="the season" />
          <div className="border-t border-line pt-2">
            <ImportSeason label="Import another plan" />
          </div>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
