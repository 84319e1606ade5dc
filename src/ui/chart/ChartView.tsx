'use client';
import { useMemo } from 'react';
import type { HangChart } from '@/core/plan/hang/HangChart';
import type { VisitJobs } from '@/core/site/hang/KeptChart';
import type { BenchStand } from '@/core/answer/stand/benchStand';
import { useStand } from '../bench/useBench';
import { CardsPrint } from '../cards/CardsPrint';
import { HoursHead } from '../hours/HoursHead';
import { NoStand } from '../hours/NoStand';
import { usePrinting } from '../print/usePrinting';
import { daysWords, dayWords } from '../season/dayWords';
import { useChart, useToday } from '../shell/WorkspaceContext';
import { ChartChanges } from './ChartChanges';
import { ChartLimits } from './ChartLimits';
import { ChartOut } from './ChartOut';
import { Rotations } from './Rotations';
import { RhythmPanel } from './RhythmPanel';
import { TraysPanel } from './TraysPanel';
import { TripPanel } from './TripPanel';
import { VisitList } from './VisitList';

/** The dated list of a stand: what to do on which visit, so that the canopy stays in its light. */
export function ChartView() {
  const stand = useStand();
  if (!stand)
    return <NoStand title="No chart yet.">A hang chart belongs to a stand with its lamps and trays. Put one on the bench first.</NoStand>;
  return <OfStand key={stand.stand.id} stand={stand} />;
}

const NONE: readonly VisitJobs[] = [];

function OfStand({ stand }: { stand: BenchStand }) {
  const { chart, working, soFar, failed } = useChart();
  const today = useToday();
  const printing = usePrinting();
  const dated = stand.tiers.some((t) => t.trays.some((y) => y.batch.sown !== null));
  const own = chart?.standId === stand.stand.id ? chart : null;
  // The chart of another stand may still be under way.
  const found = soFar?.standId === stand.stand.id ? soFar.visits : NONE;
  const jobs = useMemo(() => own?.visits.filter((v) => v.day >= today).length ?? 0, [own, today]);
  if (printing) return <CardsPrint stand={stand} chart={own} />;
  return (
    <div className="min-h-0 flex-1 lg:overflow-y-auto">
      <div className="mx-auto w-full max-w-6xl px-4 py-5 md:px-6">
        <HoursHead title="Hang chart" />
        <div className="grid grid-cols-1 gap-x-10 gap-y-6 lg:grid-cols-[1fr_360px]">
          <div className="min-w-0 space-y-5">
            {failed && (
              <p role="alert" className="rounded-md bg-copper-wash px-3 py-2 text-copper">
                The chart could not be worked out ({failed}). Change something, or reload the page, to try again.
              </p>
            )}
            {/* One in the place of the other, so that nothing moves below them. */}
            <div className="grid items-center *:col-start-1 *:row-start-1">
              {own && <Summary chart={own} jobs={jobs} isOld={working !== null} />}
              {working !== null && <Progress done={working} words={workingWords(own !== null, found.length > 0)} />}
            </div>
            {own && stand.stand.chart && <ChartChanges stand={stand} chart={own} kept={stand.stand.chart} />}
            {own?.trips.map((trip) => (
              <TripPanel key={trip.from} stand={stand} trip={trip} />
            ))}
            {own && !dated && (
              <p className="rounded-md bg-sunk px-3 py-2">
                No tray of this stand has a date yet, so its plants stay as tall as they are. Say when they were sown, on the right: the
                lamps will then rise with them.
              </p>
            )}
            <VisitList stand={stand} visits={own?.visits ?? found} clockChanges={own?.clockChanges ?? []} working={working !== null} />
            {own && own.limits.length > 0 && <ChartLimits stand={stand} chart={own} />}
            {(own || failed) && <Rotations stand={stand} />}
          </div>
          <div className="space-y-6">
            <RhythmPanel />
            <TraysPanel stand={stand} />
            {own && <ChartOut stand={stand} chart={own} />}
          </div>
        </div>
        <p className="mt-6 border-t border-line pt-4 text-sm text-soft">
          Heights come from the crop tables (growers’ consensus where they say so) and from what you measure; the light from the lamps as
          they hang. Lamps get hot and trays are heavy: unplug before you rehang, and hang by what carries the weight. Local code and a
          licensed electrician come first.
        </p>
      </div>
    </div>
  );
}

function Summary({ chart, jobs, isOld }: { chart: HangChart; jobs: number; isOld: boolean }) {
  return (
    <p className={isOld ? 'invisible text-lg' : 'text-lg'} data-testid="chart-summary">
      {jobs === 0 ? (
        <>Nothing has to be changed until {dayWords(chart.until)}.</>
      ) : (
        <>
          <strong className="font-semibold">{jobs === 1 ? 'One visit' : `${jobs} visits`}</strong> with something to do in{' '}
          {daysWords(chart.until - chart.from + 1)}, out of {chart.rounds} on which you come by.
        </>
      )}
    </p>
  );
}

function workingWords(again: boolean, hasVisits: boolean): string {
  if (again) return 'Working it out again…';
  return hasVisits ? 'Checking the light after each visit; visits may still change…' : 'Working out the chart…';
}

function Progress({ done, words }: { done: number; words: string }) {
  return (
    <div role="status" className="flex items-center gap-3 text-soft">
      <progress className="h-2 w-40 accent-verdigris" value={done} max={1} aria-label="How far the chart is" />
      {words}
    </div>
  );
}
