'use client';
import { Printer } from 'lucide-react';
import { useMemo } from 'react';
import { safetyGate } from '@/core/answer/caution/safetyGate';
import { jobsWhileAway } from '@/core/plan/today/whileAway';
import { cautionLibrary, generalNote } from '@/core/things/caution/cautionLibrary';
import { tables } from '@/core/things/tables/libraryTables';
import type { Site } from '@/core/site/stand/Site';
import type { Day } from '@/core/units/day';
import { benchStandIn } from '@/store/bench/benchStandIn';
import { TripPanel } from '../chart/TripPanel';
import { Button } from '../parts/Button';
import { Link } from '../parts/Link';
import { dayWords, spanWords } from '../season/dayWords';
import { useSettings, useSite, useToday } from '../shell/WorkspaceContext';
import { jobSaid } from './todayWords';
import { useTodayCharts, type StandToday } from './useTodayCharts';

/** A trip for somebody else: what is safe, what they have to do on which day, and what will have changed by the return. */
export function AwayView() {
  const site = useSite((s) => s.site);
  const today = useToday();
  const { stands, left } = useTodayCharts();
  const trip = [...site.visits.away].filter((a) => a.to >= today).sort((a, b) => a.from - b.from)[0];
  if (!trip)
    return (
      <section className="mx-auto max-w-xl space-y-4 p-6">
        <h1 className="text-2xl font-semibold">While you are away</h1>
        <p>No trip is typed yet. Its dates are on the Hanging page of any stand, beside the days on which you come by.</p>
        <Link href="/stands" className="font-semibold underline underline-offset-4">
          To the stands
        </Link>
      </section>
    );
  return (
    <article className="mx-auto w-full max-w-3xl space-y-6 px-4 py-5 md:px-6 print:max-w-none">
      <header className="flex flex-wrap items-start gap-3">
        <div className="min-w-64 flex-1">
          <p className="text-soft print:hidden">
            <Link href="/today" className="underline underline-offset-4">
              Today
            </Link>
          </p>
          <h1 className="text-2xl font-semibold">Away {spanWords(trip.from, trip.to)}</h1>
          <p className="text-soft">For you before you leave, and for whoever comes by meanwhile.</p>
        </div>
        <Button className="print:hidden" onClick={() => window.print()}>
          <Printer size={17} aria-hidden /> Print
        </Button>
      </header>
      {left > 0 && (
        <p role="status" className="text-soft">
          Working out {left === 1 ? 'one more stand' : `${left} more stands`} …
        </p>
      )}
      <Safe site={site} />
      <section aria-labelledby="before" className="space-y-3">
        <h2 id="before" className="text-xl font-semibold">
          Before you leave, and what will have changed
        </h2>
        {stands.flatMap(({ stand, chart }) =>
          (chart?.trips ?? [])
            .filter((t) => t.from === trip.from)
            .map((t) => <TripPanel key={stand.stand.id} stand={stand} trip={t} title={stand.stand.name} open />),
        )}
      </section>
      {left === 0 && <Meanwhile site={site} stands={stands} trip={trip} today={today} />}
      <p className="text-sm text-soft">{generalNote}</p>
    </article>
  );
}

/** What must be safe while nobody looks. */
function Safe({ site }: { site: Site }) {
  const kept = site.stands.filter((s) => !s.autoArranged && s.tiers.some((t) => t.fittings.length > 0));
  const rows = kept.flatMap((s) => {
    const stand = benchStandIn(site, s);
    const open = safetyGate(stand, site.stated, site.safety, cautionLibrary).filter((l) => l.state !== 'seen-to');
    const mats = stand.stand.plugged.filter((p) => p.kind === 'mat');
    const says = [
      ...open.map((l) => l.caution.title),
      ...mats.map((m) => `${m.name}: off, or on a thermostat. Nobody would notice a fault.`),
    ];
    return says.length > 0 ? [{ stand, says }] : [];
  });
  return (
    <section aria-labelledby="safe" className="space-y-2">
      <h2 id="safe" className="text-xl font-semibold">
        Must be safe first
      </h2>
      {rows.length === 0 ? (
        <p>All safety checks are ticked. Look once more that no plant can grow into a lamp and no lead lies in water.</p>
      ) : (
        <ul className="space-y-2">
          {rows.map(({ stand, says }) => (
            <li key={stand.stand.id}>
              <b>{stand.stand.name}</b>
              <ul className="list-disc pl-5">
                {says.map((s) => (
                  <li key={s}>{s}</li>
                ))}
              </ul>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}

interface MeanwhileProps {
  site: Site;
  stands: readonly StandToday[];
  trip: { readonly from: Day; readonly to: Day };
  today: Day;
}

/** What somebody else has to do, day by day. */
function Meanwhile({ site, stands, trip, today }: MeanwhileProps) {
  const told = useSettings();
  const days = useMemo(
    () => jobsWhileAway(site, stands.flatMap((s) => s.chart ?? []), [trip.from, trip.to], today, tables), // prettier-ignore
    [site, stands, trip, today],
  );
  const byId = new Map(stands.map((s) => [s.stand.stand.id, s.stand]));
  return (
    <section aria-labelledby="meanwhile" className="space-y-2">
      <h2 id="meanwhile" className="text-xl font-semibold">
        For whoever comes by
      </h2>
      {days.length === 0 ? (
        <p>Nothing falls due while you are away. Somebody may look at the water all the same.</p>
      ) : (
        <ol className="divide-y divide-line border-y border-line" data-testid="away-days">
          {days.map(({ day, jobs }) => (
            <li key={day} className="grid gap-x-4 gap-y-1 py-2 sm:grid-cols-[8rem_1fr]">
              <span className="font-semibold">{dayWords(day)}</span>
              <ul className="space-y-1">
                {jobs.map((job) => {
                  const said = jobSaid(site, job, job.standId ? byId.get(job.standId) : undefined, told, day);
                  return (
                    <li key={job.key} className="flex gap-2">
                      <span aria-hidden className="mt-1 size-4 shrink-0 rounded-sm border-2 border-soft" />
                      <span>
                        {said.title} <span className="text-soft">{said.where}</span>
                      </span>
                    </li>
                  );
                })}
              </ul>
            </li>
          ))}
        </ol>
      )}
      <p className="text-sm text-soft">
        Water from below once the surface is pale and the tray is light to lift. Unplug before touching a lamp.
      </p>
    </section>
  );
}
