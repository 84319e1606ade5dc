'use client';
import type { ChartOptions } from 'chart.js';
import { useMemo } from 'react';
import { ScatterChart } from '../parts/LateChart';
import type { SpectrumFigures } from '@/core/light/spectrum/figures';
import { powerAt, type Spectrum } from '@/core/light/spectrum/Spectrum';
import { useSettings } from '../shell/WorkspaceContext';
import { useColours } from '../theme/useColours';
import { percent } from '../verdict/words';

/** Power by wavelength, and the shares of its photons. */
export function SpectrumChart({ spectrum, figures }: { spectrum: Spectrum; figures: SpectrumFigures }) {
  const { theme } = useSettings();
  const colours = useColours(theme);
  const data = useMemo(() => {
    const points = Array.from({ length: 201 }, (_, i) => ({ x: 380 + 2 * i, y: powerAt(spectrum, 380 + 2 * i) }));
    const most = Math.max(...points.map((p) => p.y));
    return {
      datasets: [
        {
          label: 'power',
          data: points.map((p) => ({ x: p.x, y: p.y / most })),
          showLine: true,
          pointRadius: 0,
          borderWidth: 2,
          borderColor: colours.ink,
          backgroundColor: colours.line,
          fill: true,
        },
      ],
    };
  }, [spectrum, colours]);
  const options = useMemo<ChartOptions<'scatter'>>(() => {
    const font = { family: 'Barlow Semi Condensed' };
    return {
      animation: false,
      maintainAspectRatio: false,
      events: [],
      scales: {
        x: {
          type: 'linear',
          min: 380,
          max: 780,
          title: { display: true, text: 'wavelength, nm', color: colours.soft, font },
          ticks: { color: colours.soft, font },
          afterBuildTicks: (axis) => {
            axis.ticks = [400, 500, 600, 700].map((value) => ({ value }));
          },
          grid: { color: colours.line },
        },
        y: { display: false, min: 0, max: 1.05 },
      },
    };
  }, [colours]);
  const shares = [
    { word: 'blue', share: figures.blue, fill: '#3d5fa8' },
    { word: 'green', share: figures.green, fill: '#3c7d52' },
    { word: 'red', share: figures.red, fill: '#a5412f' },
  ];
  return (
    <figure className="space-y-2">
      <div className="h-40">
        <ScatterChart data={data} options={options} role="img" aria-label="Spectrum: relative power by wavelength" />
      </div>
      <div className="flex h-6 overflow-hidden rounded text-xs font-semibold" style={{ color: '#fff' }} role="presentation">
        {shares.map((s) => (
          <span
            key={s.word}
            className="overflow-hidden px-1.5 leading-6 whitespace-nowrap"
            style={{ width: `${100 * s.share}%`, background: s.fill }}
          >
            {s.share > 0.14 ? s.word : ''}
          </span>
        ))}
      </div>
      <figcaption className="text-sm text-soft">
        Of its photons {percent(figures.blue)} are blue, {percent(figures.green)} green, {percent(figures.red)} red;{' '}
        {percent(figures.farRed)} as many are far-red.
        {figures.redToFarRed !== null && figures.redToFarRed < 100 && ` Red to far-red ${figures.redToFarRed.toFixed(1)}.`}
      </figcaption>
    </figure>
  );
}
