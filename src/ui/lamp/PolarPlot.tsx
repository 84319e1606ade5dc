import { useMemo } from 'react';
import { intensityTowards, type IntensityTable } from '@/core/light/emitters/IntensityTable';
import { LineKey } from '../parts/LineKey';

const SIZE = 220;
const R = 88;

/** How a lamp spreads its light: intensity by direction, along its length and across it, straight down at the foot. */
export function PolarPlot({ table }: { table: IntensityTable }) {
  const { along, across, most } = useMemo(() => {
    const at = (turn: number) =>
      Array.from({ length: 181 }, (_, i) => {
        const g = ((i - 90) * 2 * Math.PI) / 180;
        const aside = Math.sin(g);
        return { g, v: intensityTowards(table, aside * Math.cos(turn), aside * Math.sin(turn), Math.cos(g)) };
      });
    const [a, b] = [at(0), at(Math.PI / 2)];
    return { along: a, across: b, most: Math.max(1e-12, ...[...a, ...b].map((p) => p.v)) };
  }, [table]);
  const c = SIZE / 2;
  const path = (points: typeof along) =>
    points
      .map(
        ({ g, v }, i) =>
          `${i === 0 ? 'M' : 'L'}${(c + (R * v * Math.sin(g)) / most).toFixed(1)} ${(c + (R * v * Math.cos(g)) / most).toFixed(1)}`,
      )
      .join(' ') + ' Z';
  return (
    <figure>
      <svg
        width={SIZE}
        height={SIZE}
        viewBox={`0 0 ${SIZE} ${SIZE}`}
        role="img"
        aria-label="How the lamp spreads its light, along its length and across it"
      >
        {[0.25, 0.5, 0.75, 1].map((r) => (
          <circle key={r} cx={c} cy={c} r={R * r} fill="none" stroke="var(--line)" />
        ))}
        {[0, 30, 60, 90, 120, 150].map((d) => {
          const [s, k] = [Math.sin((d * Math.PI) / 180), Math.cos((d * Math.PI) / 180)];
          return <path key={d} d={`M${c - R * s} ${c - R * k} L${c + R * s} ${c + R * k}`} stroke="var(--line)" />;
        })}
        {[0, 30, 60, 90].map((d) => (
          <text
            key={d}
            x={c + (R + 6) * Math.sin((d * Math.PI) / 180)}
            y={c + (R + 12) * Math.cos((d * Math.PI) / 180) + 2}
            textAnchor={d === 0 ? 'middle' : 'start'}
            className="fill-soft font-narrow text-[11px]"
          >
            {d}°
          </text>
        ))}
        <path d={path(across)} fill="none" stroke="var(--verdigris)" strokeWidth={2} />
        <path d={path(along)} fill="none" stroke="var(--copper)" strokeWidth={2} strokeDasharray="6 4" />
        <circle cx={c} cy={c} r={3} fill="var(--ink)" />
      </svg>
      <figcaption className="flex flex-wrap gap-x-4 text-sm text-soft">
        <LineKey colour="var(--verdigris)" word="across it" />
        <LineKey colour="var(--copper)" dash="6 4" word="along it" />
      </figcaption>
    </figure>
  );
}
