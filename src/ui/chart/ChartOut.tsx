'use client';
import { CalendarDays, Pin, Printer } from 'lucide-react';
import type { CalendarEvent } from '@/core/exchange/formats/writeIcs';
import { writeIcs } from '@/core/exchange/formats/writeIcs';
import { jobsIn } from '@/core/site/hang/KeptChart';
import type { HangChart } from '@/core/plan/hang/HangChart';
import type { BenchStand } from '@/core/answer/stand/benchStand';
import type { Site } from '@/core/site/stand/Site';
import { isoOf, type Day } from '@/core/units/day';
import { zoneOf } from '@/store/files/zoneOf';
import { changeSite, undo } from '@/store/site/siteStore';
import { Button } from '../parts/Button';
import { fileName, saveFile } from '../parts/saveFile';
import { takenNow } from '../readings/takenNow';
import { say } from '../shell/toastStore';
import type { ToldIn } from '../bench/moveWords';
import { useSettings, useSite, useToday, useWorkspace } from '../shell/WorkspaceContext';
import { clockChangeWords, jobsOf } from './jobWords';

/** The chart on paper, in the calendar and in files; and put up at the rack, to be held against what comes. */
export function ChartOut({ stand, chart }: { stand: BenchStand; chart: HangChart }) {
  const { sites } = useWorkspace();
  const told = useSettings();
  const { visits, timeZone } = useSite((s) => s.site);
  const today = useToday();
  const { id, name } = stand.stand;

  async function calendar() {
    const zone = await zoneOf(timeZone);
    const before = stand.stand.calendar;
    const sequence = (before?.sequence ?? -1) + 1;
    const fallen = (before?.days ?? []).filter((day) => day >= today && chart.visits.every((v) => v.day !== day));
    const events = [...eventsOf(chart, stand, told, visits.time_min), ...fallen.map((day) => cancelledEvent(stand, day, visits.time_min))];
    saveFile(
      fileName(`${name} hang chart`, 'ics'),
      writeIcs(`${name}: hang chart`, events, zone, takenNow('').now_ms, sequence),
      'text/calendar',
    );
    const days = chart.visits.map((v) => v.day);
    changeSite(sites, 'write the calendar', (site) => ({
      ...site,
      stands: site.stands.map((s) => (s.id === id ? { ...s, calendar: { sequence, days } } : s)),
    }));
    say(zone ? `Written for the clocks of ${zone.id.replace(/_/g, ' ')}.` : 'Written with local times: read it where the rack stands.');
  }

  async function file(kind: 'csv' | 'json') {
    const { chartCsv, chartJson } = await import('@/store/files/writeChart');
    const text = kind === 'csv' ? chartCsv(chart, stand) : chartJson(chart, stand);
    saveFile(fileName(`${name} hang chart`, kind), text, kind === 'csv' ? 'text/csv' : undefined);
  }

  return (
    <section aria-labelledby="chart-out" className="space-y-2">
      <h2 id="chart-out" className="text-lg font-semibold">
        Print or export
      </h2>
      <div className="flex flex-wrap gap-2">
        <Button kind="main" onClick={() => window.print()}>
          <Printer size={17} aria-hidden /> Print the cards
        </Button>
        <Button
          onClick={() => {
            changeSite(sites, 'put up the chart', (site) => putUp(site, id, chart, today));
            say('Chart saved. Later changes will be shown against it.', { label: 'Undo', run: () => undo(sites) });
          }}
        >
          <Pin size={17} aria-hidden /> Use this chart
        </Button>
        <Button onClick={() => void calendar()}>
          <CalendarDays size={17} aria-hidden /> Calendar
        </Button>
        <Button onClick={() => void file('csv')}>CSV</Button>
        <Button onClick={() => void file('json')}>JSON</Button>
      </div>
      <p className="text-sm text-soft">
        “Use this chart” saves the present chart. If plant height, emergence or a lamp changes, you see the difference.
      </p>
    </section>
  );
}

/** Keeps the jobs of a chart with its stand. */
const putUp = (site: Site, standId: string, chart: HangChart, today: number): Site => ({
  ...site,
  stands: site.stands.map((s) => (s.id === standId ? { ...s, chart: { made: today, visits: chart.visits.map(jobsIn) } } : s)),
});

/** How long a visit is set down for. */
const VISIT_MIN = 20;

const uidOf = (stand: BenchStand, day: Day, what = '') => `${stand.stand.id}-${isoOf(day)}${what}@copper-noon`;

/** The visits of a chart as entries of a calendar, and the days on which plug timers have to be set for the clocks. */
export const eventsOf = (chart: HangChart, stand: BenchStand, told: ToldIn, at_min: number): CalendarEvent[] => [
  ...chart.visits.map((v) => {
    const jobs = jobsOf(v, stand, told);
    return {
      uid: uidOf(stand, v.day),
      day: v.day,
      at_min,
      long_min: VISIT_MIN,
      title: `${stand.stand.name}: ${jobs.length === 1 ? 'one thing' : `${jobs.length} things`} to do`,
      text: jobs.map((j) => (j.tier === null ? j.words : `Tier ${j.tier}: ${j.words}`)).join('\n'),
    };
  }),
  ...chart.clockChanges.map((c) => ({
    uid: uidOf(stand, c.day, '-clock'),
    day: c.day,
    at_min,
    long_min: VISIT_MIN,
    title: `${stand.stand.name}: set the timers for the new time`,
    text: clockChangeWords(c),
  })),
];

/** A visit that was in the calendar before and is not any more. */
const cancelledEvent = (stand: BenchStand, day: Day, at_min: number): CalendarEvent => ({
  uid: uidOf(stand, day),
  day,
  at_min,
  long_min: VISIT_MIN,
  title: `${stand.stand.name}: nothing to do`,
  text: 'The hang chart has changed: this visit is not needed any more.',
  cancelled: true,
});
