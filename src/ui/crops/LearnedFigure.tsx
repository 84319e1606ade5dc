'use client';
import type { ChartOptions } from 'chart.js';
import { useMemo } from 'react';
import { ScatterChart } from '../parts/LateChart';
import type { Learned } from '@/core/plan/trial/learnedOf';
import { fitDose } from '@/core/judge/trial/doseCurve';
import type { Stage } from '@/core/things/crop/Crop';
import { chartAxis } from '../parts/chartAxis';
import { useSettings } from '../shell/WorkspaceContext';
import { dliNumber } from '../drawing/lightWords';
import { useColours } from '../theme/useColours';

const STEPS = 24;

/** Dose against result, the curve with its band where there is one, and the table's band as lines. */
export function LearnedFigure({ learned, stage }: { learned: Learned; stage: Stage }) {
  const { theme } = useSettings();
  const colours = useColours(theme);
  const { points, fit, unit } = learned;
  const data = useMemo(() => {
    const doses = points.map((p) => p.dli);
    const [from, to] = [Math.min(...doses), Math.max(...doses)];
    const isDrawn = fit.status === 'ok' || fit.status === 'weak';
    const curve = isDrawn
      ? Array.from({ length: STEPS + 1 }, (_, i) => {
          const x = from + ((to - from) * i) / STEPS;
          const at = fitDose('exp', points, x);
          return { x, mid: at.fitAtNew!, low: at.meanLo!, high: at.meanHi! };
        })
      : [];
    const line = (of: 'mid' | 'low' | 'high') => curve.map((c) => ({ x: c.x, y: c[of] }));
    const plain = { pointRadius: 0, showLine: true, borderWidth: 2 };
    const ys = points.map((p) => p.y);
    const [bottom, top] = [Math.min(0, ...ys), Math.max(...ys) * 1.15];
    const upright = (x: number) => [{ x, y: bottom }, { x, y: top }]; // prettier-ignore
    return {
      datasets: [
        { data: points.map((p) => ({ x: p.dli, y: p.y })), pointRadius: 6, borderColor: colours.copper, backgroundColor: colours.copper },
        { ...plain, data: line('low'), borderColor: colours.verdigris, borderWidth: 1, borderDash: [3, 3] },
        { ...plain, data: line('high'), borderColor: colours.verdigris, borderWidth: 1, borderDash: [3, 3] },
        { ...plain, data: line('mid'), borderColor: colours.verdigris },
        ...[stage.dliMin, stage.dliTarget, stage.dliMax].map((x, i) => ({ ...plain, data: upright(x), borderColor: colours.slate, borderWidth: i === 1 ? 2 : 1, borderDash: i === 1 ? [] : [6, 4] })), // prettier-ignore
      ],
    };
  }, [points, fit, stage, colours]);
  const options = useMemo<ChartOptions<'scatter'>>(
    () => ({
      animation: false,
      maintainAspectRatio: false,
      plugins: { legend: { display: false }, tooltip: { enabled: false } },
      scales: { x: { ...chartAxis('DLI, mol/m²/day', colours), min: 0 }, y: { ...chartAxis(unit, colours), beginAtZero: true } },
    }),
    [colours, unit],
  );
  const words = points.map((p) => `${dliNumber(p.dli)} mol/m²/day: ${p.y.toFixed(1)}${unit ? ` ${unit}` : ''}`).join('; ');
  return (
    <div className="h-56 max-w-2xl">
      <ScatterChart data={data} options={options} role="img" aria-label={`Dose and result: ${words}. The table’s band as upright lines.`} />
    </div>
  );
}
