import clsx from 'clsx';
import { NIGHT } from '../theme/night';

/** A number on a map, readable on any colour. */
export function MapNumber({
  x,
  y,
  anchor,
  small,
  children,
}: {
  x: number;
  y: number;
  anchor: 'start' | 'end';
  small?: boolean;
  children: React.ReactNode;
}) {
  return (
    <text
      x={x}
      y={y}
      textAnchor={anchor}
      className={clsx('fill-night-ink font-semibold', small ? 'font-narrow text-[11px]' : 'text-[13px]')}
      stroke={NIGHT.ground}
      strokeWidth={3}
      strokeOpacity={0.75}
      paintOrder="stroke"
    >
      {children}
    </text>
  );
}

/** The strongest spot as a sun, the weakest as a hollow ring. */
export function SpotMark({ x, y, width, words, sun = false }: { x: number; y: number; width: number; words: string; sun?: boolean }) {
  const left = x > width - 48;
  return (
    <g>
      <circle
        cx={x}
        cy={y}
        r={5}
        fill={sun ? NIGHT.glow : NIGHT.ground}
        stroke={sun ? NIGHT.ground : NIGHT.ink}
        strokeWidth={sun ? 1.5 : 2}
      />
      <MapNumber x={x + (left ? -9 : 9)} y={y + (y < 14 ? 12 : 4)} anchor={left ? 'end' : 'start'}>
        {words}
      </MapNumber>
    </g>
  );
}
