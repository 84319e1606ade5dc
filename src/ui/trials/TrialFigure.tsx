'use client';
import type { ChartOptions } from 'chart.js';
import { useMemo } from 'react';
import { ScatterChart } from '../parts/LateChart';
import type { TrialResult } from '@/core/plan/trial/resultOf';
import { chartAxis } from '../parts/chartAxis';
import { useSettings } from '../shell/WorkspaceContext';
import { useColours } from '../theme/useColours';

/** Every tray and plant: small dots for plants, large ones for trays, a bar for the arm; what stands in one block is joined by a line. */
export function TrialFigure({ result, unit }: { result: TrialResult; unit: string }) {
  const { theme } = useSettings();
  const colours = useColours(theme);
  const { arms, alone } = result;
  const isJoined = result.method !== 'trays' && result.method !== 'many' && arms.every((arm) => areApart(arm.trays.map((t) => t.block)));
  const hasPlants = arms.some((arm) => arm.trays.some((t) => t.values.length > 1));
  const data = useMemo(() => {
    const trays = arms.flatMap((arm, i) =>
      arm.trays.map((t, j) => ({
        x: i + 1 + (j + 1 - (arm.trays.length + 1) / 2) * (0.6 / Math.max(4, arm.trays.length)),
        y: t.mean,
        of: t,
      })),
    );
    const blocks = isJoined ? [...new Set(trays.map(({ of }) => of.block))] : [];
    return {
      datasets: [
        {
          data: trays.map(({ x, y }) => ({ x, y })),
          pointRadius: 7,
          pointStyle: 'circle' as const,
          borderWidth: 2,
          borderColor: colours.verdigris,
          backgroundColor: trays.map(({ of }) => (alone.includes(of.code) ? 'transparent' : colours.verdigris)),
        },
        {
          data: trays.flatMap(({ x, of }) => (of.values.length > 1 ? of.values.map((y) => ({ x, y })) : [])),
          pointRadius: 2.5,
          borderColor: colours.slate,
          backgroundColor: colours.slate,
        },
        {
          data: arms.flatMap((a, i) => (a.mean === null ? [] : [{ x: i + 1, y: a.mean }])),
          pointStyle: 'line' as const,
          pointRadius: 60,
          borderWidth: 2,
          borderColor: colours.copper,
          backgroundColor: colours.copper,
        },
        {
          // One line a block, and a gap after it.
          data: blocks.flatMap((b) => [...trays.filter(({ of }) => of.block === b).map(({ x, y }) => ({ x, y })), { x: NaN, y: NaN }]),
          showLine: true,
          pointRadius: 0,
          borderWidth: 1,
          borderColor: colours.slate,
        },
      ],
    };
  }, [arms, alone, isJoined, colours]);
  const options = useMemo<ChartOptions<'scatter'>>(
    () => ({
      animation: false,
      maintainAspectRatio: false,
      // Else as much is left free on all sides as the bars of the arms are wide.
      layout: { autoPadding: false, padding: { top: 10, right: 10 } },
      plugins: { legend: { display: false }, tooltip: { enabled: false } },
      scales: {
        x: {
          ...chartAxis('', colours),
          min: 0.4,
          max: arms.length + 0.6,
          ticks: {
            ...chartAxis('', colours).ticks,
            stepSize: 1,
            callback: (v) => (Number.isInteger(Number(v)) ? (arms[Number(v) - 1]?.name ?? '') : ''),
          },
        },
        y: chartAxis(unit, colours),
      },
    }),
    [arms, colours, unit],
  );
  const label = arms.map((a) => `${a.name}: ${a.trays.map((t) => `${t.code} ${Number(t.mean.toPrecision(3))}`).join(', ')}`).join('. ');
  return (
    <figure>
      <div className="h-72">
        <ScatterChart data={data} options={options} role="img" aria-label={`Means of the trays in ${unit}. ${label}`} />
      </div>
      <figcaption className="text-sm text-soft">
        Large dots: trays{alone.length > 0 && ', hollow where left out'}.{hasPlants && ' Small dots: plants.'} Thick line: mean of the arm’s
        trays.
        {isJoined && ' Thin lines join the trays of a block.'}
      </figcaption>
    </figure>
  );
}

const areApart = (blocks: readonly string[]) => new Set(blocks).size === blocks.length;
