'use client';
import { diffCharts } from '@/core/plan/hang/diffCharts';
import type { HangChart } from '@/core/plan/hang/HangChart';
import type { KeptChart } from '@/core/site/hang/KeptChart';
import type { BenchStand } from '@/core/answer/stand/benchStand';
import { dayWords } from '../season/dayWords';
import { useSettings, useToday } from '../shell/WorkspaceContext';
import { jobsOf } from './jobWords';

/** So many days of changes are shown; the rest is counted. */
const SHOWN = 6;

/** What is to be done otherwise than the chart said that was put up at the rack. */
export function ChartChanges({ stand, chart, kept }: { stand: BenchStand; chart: HangChart; kept: KeptChart }) {
  const told = useSettings();
  const today = useToday();
  const changes = diffCharts(kept.visits, chart.visits, today);
  if (changes.length === 0) return <p className="text-verdigris">The chart that you put up on {dayWords(kept.made)} still holds.</p>;
  const words = (jobs: (typeof changes)[number]['now']) =>
    jobs
      ? jobsOf(jobs, stand, told)
          .map((j) => `${j.tier === null ? '' : `tier ${j.tier}: `}${j.words}`)
          .join('; ')
      : 'nothing';
  return (
    <section aria-label="What has changed" className="space-y-1 rounded-md bg-copper-wash p-3" data-testid="chart-changes">
      <h2 className="font-semibold text-copper">
        Changed since you put it up on {dayWords(kept.made)}: {changes.length === 1 ? 'one day' : `${changes.length} days`}
      </h2>
      <ul className="space-y-1 text-sm">
        {changes.slice(0, SHOWN).map((c) => (
          <li key={c.day}>
            <strong className="font-semibold">{dayWords(c.day)}:</strong> {words(c.now)}{' '}
            <span className="text-soft">(was: {words(c.was)})</span>
          </li>
        ))}
        {changes.length > SHOWN && <li>and {changes.length - SHOWN} more.</li>}
      </ul>
    </section>
  );
}
