'use client';
import { BookOpen, Printer, Route } from 'lucide-react';
import { useMemo } from 'react';
import { jobsOn } from '@/core/plan/today/jobsOf';
import { jobStateOf } from '@/core/site/today/JobMark';
import { tables } from '@/core/things/tables/libraryTables';
import { UndoButtons } from '../parts/UndoButtons';
import { ScanLabel } from './ScanLabel';
import { Button } from '../parts/Button';
import { Link } from '../parts/Link';
import { longDayWords } from '../season/dayWords';
import { focusHeading } from '../shell/focusHeading';
import { useRested } from '../shell/useRested';
import { useSite, useToday } from '../shell/WorkspaceContext';
import { EmergenceWatch } from './EmergenceWatch';
import { JobList } from './JobList';
import { TodayEmpty } from './TodayEmpty';
import { Trips } from './Trips';
import { Troubles } from './Troubles';
import { minutesWords } from './todayWords';
import { useJobsOfToday } from './useJobsOfToday';
import { useTodayCharts } from './useTodayCharts';
import { useTouched } from './useTouched';
import { WalkPicture } from './WalkPicture';
import { WeekAhead } from './WeekAhead';

/** What is kept from last time is there by then, ms: our choice. */
const IN_VIEW = 1000;

/** What to do now, in the order of a walk along the stands; and what to keep an eye on. */
export function TodayView() {
  const site = useSite((s) => s.site);
  const today = useToday();
  const { stands, dark, left, failed } = useTodayCharts();
  const charts = useMemo(() => stands.flatMap((s) => s.chart ?? []), [stands]);
  const all = useMemo(() => jobsOn(site, charts, today, tables), [site, charts, today]);
  const doneKeys = new Set(site.jobMarks.filter((m) => m.day === today && m.state === 'done').map((m) => m.key));
  const open = all.filter((j) => jobStateOf(site.jobMarks, j.key, today) === null);
  const hasStood = useRested(IN_VIEW);
  const isTouched = useTouched();
  const { jobs, isInOrder, putInOrder } = useJobsOfToday(open, doneKeys, hasStood && isTouched);
  const minutes = open.reduce((sum, j) => sum + j.minutes, 0);
  const byId = new Map(stands.map((s) => [s.stand.stand.id, s.stand]));
  const hasShelves = site.stands.some((s) => !s.autoArranged);
  if (!hasShelves && !site.season) return <TodayEmpty />;
  return (
    <div className="mx-auto grid w-full max-w-6xl grid-cols-1 lg:grid-cols-[minmax(0,1fr)_360px] lg:gap-8 lg:px-6 lg:py-5">
      <div className="min-w-0">
        <header className="flex items-end gap-2 px-4 pt-3 pb-3 lg:px-0 lg:pt-0">
          <div className="min-w-0 flex-1">
            <p className="font-narrow text-sm text-soft">{longDayWords(today)}</p>
            <h1 className="text-2xl font-semibold" aria-live="polite">
              {open.length === 0
                ? left > 0
                  ? 'Checking what needs doing…'
                  : 'Nothing to do today'
                : `${open.length} ${open.length === 1 ? 'job' : 'jobs'}${left > 0 ? ' so far' : ''}, about ${minutesWords(minutes)}`}
            </h1>
          </div>
          <span className="print:hidden">
            <UndoButtons />
            <ScanLabel />
          </span>
          <Button
            kind="quiet"
            size="icon"
            className="max-md:hidden print:hidden"
            aria-label="Print"
            title="Print"
            onClick={() => window.print()}
          >
            <Printer size={19} aria-hidden />
          </Button>
          <Link
            href="/today/journal"
            className="inline-flex min-h-9 items-center gap-2 rounded-md border border-line bg-sheet px-3 font-semibold hover:bg-sunk max-md:min-h-11 print:hidden"
          >
            <BookOpen size={17} aria-hidden /> <span className="max-sm:sr-only">Journal</span>
          </Link>
        </header>
        <WalkPicture site={site} jobs={jobs} doneKeys={doneKeys} />
        <JobList jobs={jobs} stands={byId} doneKeys={doneKeys} />
        {open.length === 0 && left === 0 && (
          <p className="px-4 py-4 lg:px-0">
            Look at the leaves all the same: do stems lean, are leaves pale, is the surface of the compost pale and dry? What you see goes
            into the tray’s page.
          </p>
        )}
        {left > 0 && (
          <p className="px-4 py-3 text-soft lg:px-0" role="status">
            Working out {left === 1 ? 'one more stand' : `${left} more stands`} …
          </p>
        )}
        {!isInOrder && left === 0 && (
          <p className="flex flex-wrap items-center gap-x-4 gap-y-2 px-4 py-3 text-soft lg:px-0 print:hidden">
            Jobs that were found later stand at the end.
            <Button
              onClick={() => {
                putInOrder();
                focusHeading();
              }}
            >
              <Route size={17} aria-hidden /> Sort into walking order
            </Button>
          </p>
        )}
        {failed && (
          <p role="alert" className="px-4 py-3 text-copper lg:px-0">
            A hang chart could not be worked out: what the lamps need may be missing here. Load the page again to try once more.
          </p>
        )}
      </div>
      <aside className="space-y-6 px-4 py-5 max-lg:border-t max-lg:border-line lg:px-0 lg:py-0" aria-label="To keep an eye on">
        <Troubles stands={stands} isAll={dark === 0 || failed} />
        <EmergenceWatch />
        <Trips stands={stands} />
        <WeekAhead stands={stands} />
      </aside>
    </div>
  );
}
