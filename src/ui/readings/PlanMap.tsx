'use client';
import { useMemo } from 'react';
import type { TierLight } from '@/core/answer/bench/BenchQuestion';
import type { Metres } from '@/core/units/quantities';
import type { WalkPoint } from '@/core/answer/walk/planWalk';
import { bandOf } from '../bench/bands';
import { MapNumber } from '../bench/MapMarks';
import { TierMaps } from '../bench/TierMaps';
import { TierOutlines } from '../bench/TierOutlines';
import { useSize } from '../drawing/useSize';
import type { TierReadings } from './useTierReadings';
import { NIGHT } from '../theme/night';

/** A reading on the map: its place, and what is written beside it. */
export interface MapReading {
  readonly id: string;
  readonly x: Metres;
  readonly y: Metres;
  readonly words: string;
  readonly state: 'good' | 'doubtful' | 'left-out';
}

interface PlanMapProps {
  of: TierReadings;
  light: TierLight | null;
  readings: readonly MapReading[];
  points?: readonly WalkPoint[];
  /** The point whose turn it is. */
  at?: number | null;
  /** Points that have their reading. */
  done?: readonly boolean[];
  /** The place that is pointed at. */
  mark?: { x: Metres; y: Metres } | null;
  onPoint?(place: { x: Metres; y: Metres }): void;
}

/** The tier from above: where to hold the sensor, and what it said. */
export function PlanMap({ of, light, readings, points = [], at = null, done = [], mark, onPoint }: PlanMapProps) {
  const { tier: t } = of;
  const { tier } = t;
  const { ref, width } = useSize<HTMLDivElement>();
  const scale = width / tier.width;
  const height = Math.min(300, Math.max(90, tier.depth * scale));
  const sy = height / tier.depth;
  const px = (x: Metres) => x * scale;
  const py = (y: Metres) => height - y * sy;
  const band = useMemo(() => bandOf(t.trays[0], (t.trays[0] ?? t).day), [t]);
  const labels = useMemo(() => roomyOf(readings, scale, sy), [readings, scale, sy]);
  return (
    <div className="night rounded-md bg-night text-night-ink">
      <div
        ref={ref}
        className="relative touch-manipulation overflow-hidden rounded-md"
        style={{ height }}
        role={onPoint ? 'application' : 'img'}
        tabIndex={onPoint ? 0 : undefined}
        aria-label={
          onPoint ? 'Tier from above: press where the sensor is, or move the mark with the arrow keys' : 'Tier from above with its points'
        }
        data-testid="plan-map"
        onPointerDown={(e) => {
          if (!onPoint) return;
          const r = e.currentTarget.getBoundingClientRect();
          onPoint({ x: ((e.clientX - r.left) / r.width) * tier.width, y: (1 - (e.clientY - r.top) / r.height) * tier.depth });
        }}
        onKeyDown={(e) => {
          const step = { ArrowLeft: [-0.01, 0], ArrowRight: [0.01, 0], ArrowUp: [0, 0.01], ArrowDown: [0, -0.01] }[e.key];
          if (!onPoint || !step) return;
          e.preventDefault();
          const from = mark ?? { x: tier.width / 2, y: tier.depth / 2 };
          const within = (v: number, most: number) => Math.min(most, Math.max(0, v));
          onPoint({ x: within(from.x + step[0]!, tier.width), y: within(from.y + step[1]!, tier.depth) });
        }}
      >
        {light && <TierMaps tier={t} light={light} around={band} px={px} py={py} sy={sy} testId="plan-light" />}
        <svg width={width} height={height} className="pointer-events-none absolute inset-0" role="presentation">
          <TierOutlines tier={t} px={px} py={py} sy={sy} />
          {points.map((p, i) => (
            <PointMark key={i} x={px(p.x)} y={py(p.y)} number={i + 1} now={i === at} done={done[i] ?? false} />
          ))}
          {readings.map((r) => (
            <g key={r.id} data-testid="map-reading">
              <path
                d={`M${px(r.x)} ${py(r.y) - 6} l5 6 l-5 6 l-5 -6 Z`}
                fill={r.state === 'left-out' ? 'none' : r.state === 'doubtful' ? NIGHT.lit : NIGHT.patina}
                stroke={r.state === 'left-out' ? NIGHT.ink : NIGHT.ground}
                strokeWidth={1.2}
              />
              {labels.has(r.id) && (
                <MapNumber
                  x={px(r.x) + (px(r.x) > width - 52 ? -8 : 8)}
                  y={py(r.y) + 4}
                  anchor={px(r.x) > width - 52 ? 'end' : 'start'}
                  small
                >
                  {r.words}
                </MapNumber>
              )}
            </g>
          ))}
          {mark && (
            <g>
              <path d={`M${px(mark.x)} 0 V${height} M0 ${py(mark.y)} H${width}`} stroke={NIGHT.glow} strokeWidth={0.7} opacity={0.7} />
              <circle cx={px(mark.x)} cy={py(mark.y)} r={4.5} fill={NIGHT.glow} stroke={NIGHT.ground} />
            </g>
          )}
        </svg>
      </div>
      <p className="px-2 py-1 text-[0.8125rem] text-night-soft max-md:hidden">from above, front edge below; tier {t.number}</p>
    </div>
  );
}

/** A point of the walk: its number, larger when its turn has come, ticked when it is done. */
function PointMark({ x, y, number, now, done }: { x: number; y: number; number: number; now: boolean; done: boolean }) {
  if (done && !now) return null;
  return (
    <g data-testid={now ? 'point-now' : 'point'}>
      <circle
        cx={x}
        cy={y}
        r={now ? 13 : 8.5}
        fill={now ? NIGHT.glow : NIGHT.ground}
        stroke={now ? NIGHT.ground : NIGHT.ink}
        strokeWidth={1.5}
      />
      <text
        x={x}
        y={y + (now ? 5 : 4)}
        textAnchor="middle"
        className="font-narrow font-semibold"
        fontSize={now ? 15 : 11}
        fill={now ? NIGHT.ground : NIGHT.ink}
      >
        {number}
      </text>
    </g>
  );
}

/** Readings whose words have room beside those before them. */
function roomyOf(readings: readonly MapReading[], scale: number, sy: number): Set<string> {
  const kept: MapReading[] = [];
  for (const r of readings) {
    if (!kept.some((k) => Math.abs(k.x - r.x) * scale < 44 && Math.abs(k.y - r.y) * sy < 13)) kept.push(r);
  }
  return new Set(kept.map((r) => r.id));
}
