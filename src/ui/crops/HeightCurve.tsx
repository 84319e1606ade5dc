'use client';
import { CategoryScale, Chart, LinearScale, LineController, LineElement, PointElement, type ChartOptions } from 'chart.js';
import { useMemo } from 'react';
import { Line } from 'react-chartjs-2';
import type { Crop } from '@/core/crop/Crop';
import { heightAt } from '@/core/crop/heightAt';
import { chartAxis } from '../parts/chartAxis';
import { useSettings } from '../shell/WorkspaceContext';
import { useColours } from '../theme/useColours';

Chart.register(CategoryScale, LinearScale, LineController, LineElement, PointElement);

/** How tall a crop is by its day. */
export function HeightCurve({ crop }: { crop: Crop }) {
  const { theme, lengthUnit } = useSettings();
  const colours = useColours(theme);
  const data = useMemo(() => {
    const last = crop.heightByDay.at(-1)?.day ?? 1;
    const steps = Array.from({ length: 29 }, (_, i) => Math.round((i / 28) * last));
    const unit = lengthUnit === 'in' ? 0.0254 : 0.01;
    return {
      labels: steps.map(String),
      datasets: [
        { label: 'height', data: steps.map((d) => heightAt(crop, d) / unit), borderColor: colours.ink, borderWidth: 2, pointRadius: 0 },
      ],
    };
  }, [crop, lengthUnit, colours]);
  const options = useMemo<ChartOptions<'line'>>(
    () => ({
      animation: false,
      maintainAspectRatio: false,
      events: [],
      scales: {
        x: {
          ...chartAxis('day', colours),
          grid: { display: false },
          ticks: { ...chartAxis('', colours).ticks, maxTicksLimit: 6, maxRotation: 0 },
        },
        y: { ...chartAxis(lengthUnit === 'in' ? 'in' : 'cm', colours), beginAtZero: true },
      },
    }),
    [colours, lengthUnit],
  );
  return (
    <div className="h-40">
      <Line data={data} options={options} role="img" aria-label={`Height of ${crop.name} by day`} />
    </div>
  );
}
