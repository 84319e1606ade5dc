'use client';
import {
  Chart,
  LinearScale,
  LineElement,
  LogarithmicScale,
  PointElement,
  ScatterController,
  LineController,
  type ChartOptions,
} from 'chart.js';
import { useMemo } from 'react';
import { Scatter } from 'react-chartjs-2';
import type { Profile } from '@/core/solve/Profile';
import type { SetUp } from '@/core/stand/setUp';
import { useSettings } from '../shell/WorkspaceContext';
import { useColours } from '../theme/useColours';
import { LineKey } from '../parts/LineKey';

Chart.register(LinearScale, LogarithmicScale, LineElement, PointElement, ScatterController, LineController);

/** Strength below the middle by distance: as computed, by the inverse square, and as read. */
export function FallOffChart({ setUp, profile, anchor }: { setUp: SetUp; profile: Profile; anchor: { distance: number; ppfd: number } }) {
  const { theme, lengthUnit } = useSettings();
  const colours = useColours(theme);
  const perUnit = lengthUnit === 'in' ? 1 / 0.0254 : 100;
  const readings = setUp.calibration?.used;
  const data = useMemo(() => {
    const seen = profile.filter((p) => p.distance >= 0.02 && p.distance <= 1);
    const line = { showLine: true, pointRadius: 0, borderWidth: 2 };
    return {
      datasets: [
        { ...line, label: 'computed', data: seen.map((p) => ({ x: p.distance * perUnit, y: p.centre })), borderColor: colours.ink },
        {
          ...line,
          label: 'inverse square',
          data: seen.map((p) => ({ x: p.distance * perUnit, y: anchor.ppfd * (anchor.distance / p.distance) ** 2 })),
          borderColor: colours.copper,
          borderDash: [6, 4],
        },
        {
          label: 'readings',
          data: (readings ?? [])
            .filter((c) => Math.hypot(c.reading.dx, c.reading.dy) < 0.02)
            .map((c) => ({ x: c.reading.distance * perUnit, y: c.measured })),
          pointRadius: 5,
          backgroundColor: colours.verdigris,
          borderColor: colours.verdigris,
        },
      ],
    };
  }, [profile, anchor, readings, colours, perUnit]);
  const options = useMemo<ChartOptions<'scatter'>>(() => {
    const font = { family: 'Barlow Semi Condensed' };
    return {
      animation: false,
      maintainAspectRatio: false,
      events: [],
      scales: {
        x: {
          type: 'linear',
          min: 0,
          title: { display: true, text: `distance, ${lengthUnit}`, color: colours.soft, font },
          ticks: { color: colours.soft, font },
          grid: { color: colours.line },
        },
        y: {
          type: 'logarithmic',
          title: { display: true, text: 'µmol/m²/s', color: colours.soft, font },
          ticks: { color: colours.soft, font, maxTicksLimit: 6, callback: (v) => (/^[125]/.test(String(v)) ? String(v) : '') },
          grid: { color: colours.line },
        },
      },
    };
  }, [colours, lengthUnit]);
  return (
    <figure>
      <div className="h-52">
        <Scatter
          data={data}
          options={options}
          role="img"
          aria-label="Light below the middle by distance: computed, by the inverse square, and as read"
        />
      </div>
      <figcaption className="flex flex-wrap gap-x-4 text-sm text-soft">
        <LineKey colour={colours.ink} word="computed" />
        <LineKey colour={colours.copper} dash="6 4" word="inverse square" />
        <span className="inline-flex items-center gap-1.5">
          <span className="size-2.5 rounded-full" style={{ background: colours.verdigris }} aria-hidden /> readings
        </span>
      </figcaption>
    </figure>
  );
}
