'use client';
import type { ChartOptions } from 'chart.js';
import { useMemo } from 'react';
import { ScatterChart } from '../parts/LateChart';
import { useSettings } from '../shell/WorkspaceContext';
import { chartAxis } from '../parts/chartAxis';
import { useColours } from '../theme/useColours';

/** How lines are told apart besides by their colour. */
export const LINE_STYLES = [
  { colour: 'verdigris', dash: [] },
  { colour: 'copper', dash: [7, 4] },
  { colour: 'slate', dash: [2, 3] },
  { colour: 'ink', dash: [10, 3, 2, 3] },
  { colour: 'soft', dash: [4, 6] },
] as const;

/** Money spent on each lamp by the end of each year. */
export function CostFigure({
  lines,
  label,
  currency,
}: {
  lines: readonly { readonly name: string; readonly spent: readonly number[] }[];
  label: string;
  currency: string;
}) {
  const { theme } = useSettings();
  const colours = useColours(theme);
  const data = useMemo(
    () => ({
      datasets: lines.map((l, i) => ({
        data: l.spent.map((y, x) => ({ x, y })),
        showLine: true,
        pointRadius: 3,
        borderWidth: 2,
        borderColor: colours[LINE_STYLES[i]!.colour],
        backgroundColor: colours[LINE_STYLES[i]!.colour],
        borderDash: [...LINE_STYLES[i]!.dash],
      })),
    }),
    [lines, colours],
  );
  const options = useMemo<ChartOptions<'scatter'>>(
    () => ({
      animation: false,
      maintainAspectRatio: false,
      plugins: { legend: { display: false }, tooltip: { enabled: false } },
      scales: {
        x: { ...chartAxis('years', colours), min: 0, ticks: { ...chartAxis('years', colours).ticks, precision: 0 } },
        y: { ...chartAxis(`spent in all, ${currency}`, colours), min: 0 },
      },
    }),
    [colours, currency],
  );
  return (
    <div className="h-64">
      <ScatterChart data={data} options={options} role="img" aria-label={label} />
    </div>
  );
}
