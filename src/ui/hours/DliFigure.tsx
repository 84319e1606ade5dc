'use client';
import { showHourOfDay } from '@/core/units/clock';
import { blocksOf, type LitTimes } from '@/core/units/LitTimes';
import type { ChartOptions } from 'chart.js';
import { useMemo } from 'react';
import { Line } from '../parts/LateChart';
import { daylightBy, type Daylight } from '@/core/site/stand/Daylight';
import { MOL_SECONDS } from '@/core/judge/dli/dli';
import type { Dli, Ppfd } from '@/core/units/quantities';
import { useSettings } from '../shell/WorkspaceContext';
import { useColours } from '../theme/useColours';
import { LineKey } from '../parts/LineKey';
import { Term } from '../terms/Term';

interface DliFigureProps {
  weakest: Ppfd;
  mean: Ppfd;
  strongest: Ppfd;
  times: LitTimes;
  /** What comes in by day besides. */
  daylight?: Daylight | null;
  /** The crop's band, of all light. */
  low: Dli;
  high: Dli;
}

/** Light received during the day (cumulative DLI) towards the crop's band, at the weakest, the mean and the strongest spot. */
export function DliFigure({ weakest, mean, strongest, times, daylight = null, low, high }: DliFigureProps) {
  const { theme, clock } = useSettings();
  const colours = useColours(theme);
  const data = useMemo(() => {
    const steps = Array.from({ length: 49 }, (_, i) => i * 30);
    /** Minutes lit from midnight up to minute m. */
    const litBy = (m: number) =>
      blocksOf(times).reduce(
        (sum, { on_min: on, lit_min: lit }) => sum + Math.max(0, Math.min(m, on + lit) - on) + Math.max(0, Math.min(m, on + lit - 1440)),
        0,
      );
    const drawn = (dose: (m: number) => Dli) => steps.map((m) => ({ x: m / 60, y: dose(m) }));
    const line = (ppfd: number) => drawn((m) => (ppfd * litBy(m) * MOL_SECONDS) / 60 + (daylight ? daylightBy(daylight, m) : 0));
    const plain = { pointRadius: 0, borderWidth: 2, tension: 0 };
    return {
      datasets: [
        { ...plain, label: 'low', order: 10, data: drawn(() => low), borderWidth: 0, borderColor: 'transparent' },
        {
          ...plain,
          label: 'band',
          order: 10,
          data: drawn(() => Math.max(low, high)),
          borderWidth: 0,
          borderColor: 'transparent',
          backgroundColor: colours.verdigrisWash,
          fill: '-1',
        },
        { ...plain, label: 'weakest', data: line(weakest), borderColor: colours.slate, borderDash: [4, 3] },
        { ...plain, label: 'mean', data: line(mean), borderColor: colours.ink },
        { ...plain, label: 'strongest', data: line(strongest), borderColor: colours.copper, borderDash: [8, 3] },
      ],
    };
  }, [weakest, mean, strongest, times, daylight, low, high, colours]);
  const options = useMemo<ChartOptions<'line'>>(
    () => ({
      animation: false,
      maintainAspectRatio: false,
      events: [],
      scales: {
        x: {
          type: 'linear',
          min: 0,
          max: 24,
          ticks: {
            stepSize: 6,
            maxRotation: 0,
            color: colours.soft,
            font: { family: 'Barlow Semi Condensed' },
            callback: (hour) => showHourOfDay(Number(hour), clock),
          },
          grid: { display: false },
        },
        y: {
          beginAtZero: true,
          ticks: { maxTicksLimit: 4, color: colours.soft, font: { family: 'Barlow Semi Condensed' } },
          grid: { color: colours.line },
        },
      },
    }),
    [colours, clock],
  );
  return (
    <figure>
      <div className="h-28">
        <Line data={data} options={options} aria-label="Light received during the day (cumulative DLI)" role="img" />
      </div>
      <figcaption className="flex flex-wrap gap-x-4 text-sm text-soft">
        <span>
          <Term id="dli">DLI</Term> so far, mol/m²
        </span>
        <LineKey colour={colours.copper} dash="8 3" word="strongest" />
        <LineKey colour={colours.ink} word="mean" />
        <LineKey colour={colours.slate} dash="4 3" word="weakest" />
      </figcaption>
    </figure>
  );
}
