'use client';
import type { ChartOptions } from 'chart.js';
import { useMemo } from 'react';
import { ScatterChart } from '../parts/LateChart';
import type { Compared } from '@/core/measure/reading/calibrate';
import { chartAxis } from '../parts/chartAxis';
import { DotKey } from '../parts/FallOffFigure';
import { LineKey } from '../parts/LineKey';
import { useSettings } from '../shell/WorkspaceContext';
import { useColours } from '../theme/useColours';
import type { TierReadings } from './useTierReadings';
import { LOCALE } from '../parts/locale';

const DAY_MS = 86_400_000;

/** Readings this near to each other are of one place. */
const ONE_PLACE = 0.04; // m; a sensor's width and a hand's error

/** Readings by place, each place's oldest first. */
function placesOf(compared: readonly Compared[]): Compared[][] {
  const places: Compared[][] = [];
  for (const c of [...compared].sort((a, b) => a.reading.taken_ms - b.reading.taken_ms)) {
    const near = ({ reading: r }: Compared) => Math.hypot(r.dx - c.reading.dx, r.dy - c.reading.dy, r.z - c.reading.z) <= ONE_PLACE;
    const place = places.find((p) => near(p[0]!));
    if (place) place.push(c);
    else places.push([c]);
  }
  return places;
}

/** How much of its box each reading found, day by day, and each fit: a lamp that fades goes down. */
export function FitHistory({ of }: { of: TierReadings }) {
  const { theme } = useSettings();
  const colours = useColours(theme);
  const { compared } = of.tier.known;
  const { fits } = of.tier.tier;
  const used = useMemo(() => compared.filter((c) => !c.reading.leftOut && c.ratio > 0), [compared]);
  const times = [...used.map((c) => c.reading.taken_ms), ...fits.map((f) => f.made_ms)];
  const [first, last] = [Math.min(...times), Math.max(...times)];
  const data = useMemo(() => {
    const at = (ms: number) => (ms - first) / DAY_MS;
    const kinds = [...new Set(fits.flatMap((f) => f.lamps.map((l) => l.lampId)))];
    return {
      datasets: [
        ...placesOf(used).map((place) => ({
          label: 'readings of one place',
          clip: false as const,
          showLine: true,
          borderWidth: 1,
          data: place.map((c) => ({ x: at(c.reading.taken_ms), y: 100 * c.ratio })),
          pointRadius: 3.5,
          backgroundColor: colours.verdigris,
          borderColor: colours.verdigris,
        })),
        ...kinds.map((id, i) => ({
          label: id,
          clip: false as const,
          showLine: true,
          data: fits.flatMap((f) => f.lamps.filter((l) => l.lampId === id).map((l) => ({ x: at(f.made_ms), y: 100 * l.scale }))),
          borderColor: i % 2 ? colours.copper : colours.ink,
          backgroundColor: i % 2 ? colours.copper : colours.ink,
          borderWidth: 2,
          pointRadius: 4,
        })),
      ],
    };
  }, [used, fits, first, colours]);
  const options = useMemo<ChartOptions<'scatter'>>(() => {
    const x = chartAxis('', colours);
    const dated = (v: number | string) =>
      new Date(first + Number(v) * DAY_MS).toLocaleDateString(LOCALE, { day: 'numeric', month: 'short', year: '2-digit' });
    return {
      animation: false,
      maintainAspectRatio: false,
      events: [],
      scales: {
        x: {
          type: 'linear',
          min: 0,
          max: Math.max(1, (last - first) / DAY_MS),
          ...x,
          title: { display: false },
          ticks: { ...x.ticks, maxTicksLimit: 4, callback: dated },
        },
        y: { type: 'linear', ...chartAxis('% of the box', colours) },
      },
    };
  }, [colours, first, last]);
  // One evening is no history.
  if (times.length < 2 || last - first < 7 * DAY_MS) return null;
  return (
    <figure className="space-y-1" data-testid="fit-history">
      <h3 className="font-semibold">Over time</h3>
      <div className="h-44">
        <ScatterChart
          data={data}
          options={options}
          role="img"
          aria-label="What the lamps gave of their box, reading by reading and fit by fit, over time"
        />
      </div>
      <figcaption className="flex flex-wrap gap-x-4 text-sm text-soft">
        <DotKey colour={colours.verdigris} word="readings, those of one place joined" />
        {fits.length > 0 && <LineKey colour={colours.ink} word="fits" />}
      </figcaption>
    </figure>
  );
}
