'use client';
import { useMemo, useState } from 'react';
import { isRound } from '@/core/things/lamp/isRound';
import type { LightBand } from '@/core/judge/dli/lightBand';
import type { LightMap, Spot } from '@/core/light/field/Grid';
import type { AreaStats } from '@/core/light/field/statsOver';
import { outlineOf, outlineOfFitting } from '@/core/site/stand/footprint';
import type { SetUp } from '@/core/answer/stand/setUp';
import type { Tier } from '@/core/site/stand/Site';
import type { LengthUnit } from '@/core/units/length';
import type { MapShows } from '@/store/settings/settingsStore';
import { placeStore } from '../readings/placeStore';
import { valueAt } from './valueAt';
import { coarser, contoursOf, roundSteps } from './contours';
import { lightWords, perPpfd } from './lightWords';
import type { DrawingFrame } from './drawingFrame';
import { WallsAbove } from './Walls';
import { NIGHT } from '../theme/night';
import { fromEdgesWords } from './fromEdgesWords';

interface AboveViewProps {
  setUp: SetUp;
  map: LightMap;
  stats: AreaStats;
  band: LightBand;
  frame: DrawingFrame;
  shows: MapShows;
  unit: LengthUnit;
  /** While a hand moves the lamp or the hours, the lines follow coarsely. */
  moving?: boolean;
}

/** The trays from above, the lines of equal light with their numbers, and the weakest, strongest and middle spot. */
export function AboveView({ setUp, map, stats, band, frame, shows, unit, moving = false }: AboveViewProps) {
  const { tier, lamp, hours } = setUp;
  const { x, y, above } = frame;
  const k = perPpfd(hours, shows, band.target);
  const lines = useMemo(() => {
    const edges = [band.low, band.high].filter((v) => Number.isFinite(v) && v > 0);
    const steps = k > 0 ? roundSteps(stats.weakest.ppfd * k * 0.5, stats.strongest.ppfd * k).map((v) => v / k) : [];
    const thin = steps.filter((v) => edges.every((e) => Math.abs(v / e - 1) > 0.12));
    return contoursOf(moving ? coarser(map) : map, [...edges, ...thin]).map((c) => ({ ...c, edge: edges.includes(c.value) }));
  }, [map, band, k, stats, moving]);
  const readings = (setUp.calibration?.used ?? []).map(({ reading: r }) => ({
    id: r.id,
    at: [x(r.dx + tier.width / 2), y(r.dy + tier.depth / 2)] as const,
  }));
  const marked = readings.map((r) => r.at);
  const labels = withRoom(lines, frame, marked);
  const number = (ppfd: number) => lightWords(ppfd, hours, shows, band.target).number;
  const path = (ring: readonly (readonly [number, number])[]) =>
    ring.map(([px, py], i) => `${i ? 'L' : 'M'}${x(px).toFixed(1)} ${y(py).toFixed(1)}`).join('');
  return (
    <g>
      {tier.fittings.map((f) => {
        const r = outlineOfFitting(f, lamp);
        const round = isRound(lamp);
        const common = { fill: 'none', stroke: NIGHT.glow, strokeWidth: 1, strokeDasharray: '6 4', opacity: 0.55 };
        return round ? (
          <circle key={f.id} cx={x(f.x)} cy={y(f.y)} r={((r.x1 - r.x0) / 2) * frame.scale} {...common} />
        ) : (
          <rect
            key={f.id}
            x={x(r.x0)}
            y={y(r.y1)}
            width={(r.x1 - r.x0) * frame.scale}
            height={Math.max(2, (r.y1 - r.y0) * frame.scale)}
            rx={2}
            {...common}
          />
        );
      })}
      {lines.map((line) => (
        <g key={line.value}>
          {line.rings.map((ring, i) => (
            <path
              key={i}
              d={path(ring)}
              fill="none"
              stroke={NIGHT.ground}
              strokeWidth={line.edge ? 1.8 : 0.8}
              opacity={line.edge ? 0.9 : 0.55}
            />
          ))}
        </g>
      ))}
      <WallsAbove setUp={setUp} frame={frame} />
      {tier.trays.map((tray) => {
        const r = outlineOf(tray);
        return (
          <rect
            key={tray.id}
            x={x(r.x0)}
            y={y(r.y1)}
            width={(r.x1 - r.x0) * frame.scale}
            height={(r.y1 - r.y0) * frame.scale}
            rx={3}
            fill="none"
            stroke={NIGHT.ink}
            strokeWidth={1.4}
          />
        );
      })}
      {readings.map(({ id, at: [px, py] }) => (
        <path key={id} d={`M${px} ${py - 6} l5 6 l-5 6 l-5 -6 Z`} fill={NIGHT.patina} stroke={NIGHT.ground} strokeWidth={1.2}>
          <title>a reading</title>
        </path>
      ))}
      {labels.map(
        (line) =>
          line.label && (
            <text
              key={line.value}
              x={x(line.label[0]) - 3}
              y={y(line.label[1]) + 4}
              textAnchor="end"
              className="fill-night-ink font-narrow text-[11px] font-semibold"
              stroke={NIGHT.ground}
              strokeWidth={2.5}
              strokeOpacity={0.7}
              paintOrder="stroke"
            >
              {number(line.value)}
            </text>
          ),
      )}
      {Math.hypot(stats.centre.x - stats.strongest.x, stats.centre.y - stats.strongest.y) * frame.scale > 34 && (
        <Mark spot={stats.centre} word="middle" frame={frame} text={number(stats.centre.ppfd)} marked={marked} />
      )}
      <Mark spot={stats.strongest} word="strongest" frame={frame} text={number(stats.strongest.ppfd)} shape="sun" marked={marked} />
      <Mark spot={stats.weakest} word="weakest" frame={frame} text={number(stats.weakest.ppfd)} shape="moon" marked={marked} />
      <Probe setUp={setUp} map={map} frame={frame} shows={shows} target={band.target} unit={unit} box={above} />
    </g>
  );
}

/** The lines whose numbers have room: the edges of the band first, then each that does not run into one already there, or a reading. */
function withRoom<L extends { readonly label: readonly [number, number] | null; readonly edge: boolean }>(
  lines: readonly L[],
  frame: DrawingFrame,
  marked: readonly (readonly [number, number])[],
): L[] {
  const kept: L[] = [];
  for (const line of [...lines].sort((a, b) => Number(b.edge) - Number(a.edge))) {
    const at = line.label;
    if (!at) continue;
    const crowded = kept.some(
      (k) => Math.abs(frame.x(k.label![0]) - frame.x(at[0])) < 32 && Math.abs(frame.y(k.label![1]) - frame.y(at[1])) < 14,
    );
    // Its number stands to the left of its place.
    const covers = marked.some(([px, py]) => Math.abs(frame.x(at[0]) - 14 - px) < 20 && Math.abs(frame.y(at[1]) - py) < 12);
    if (!crowded && !covers) kept.push(line);
  }
  return kept;
}

interface MarkProps {
  readonly spot: Spot;
  readonly word: string;
  readonly text: string;
  readonly frame: DrawingFrame;
  /** Where readings are drawn. */
  readonly marked: readonly (readonly [number, number])[];
  readonly shape?: 'sun' | 'moon';
}

/** A spot with its number, beside it where no reading is: a sun for the strongest, a hollow ring for the weakest, a cross for the middle. */
function Mark({ spot, word, text, frame, marked, shape }: MarkProps) {
  const [px, py] = [frame.x(spot.x), frame.y(spot.y)];
  const { above } = frame;
  const usual = { left: px > above.left + above.width - 60, down: py < above.top + 16 ? 12 : shape === 'sun' ? -6 : shape ? 4 : 14 };
  const isFree = ({ left, down }: typeof usual) => {
    const middle = px + (left ? -1 : 1) * (9 + 4 * text.length);
    return !marked.some(([rx, ry]) => Math.abs(rx - middle) < 5 + 4 * text.length && Math.abs(ry - (py + down - 5)) < 11);
  };
  const { left, down } =
    [usual, { ...usual, left: !usual.left }, { ...usual, down: 16 }, { left: !usual.left, down: 16 }].find(isFree) ?? usual;
  return (
    <g>
      <title>{`${word} ${text}`}</title>
      {shape === 'sun' ? (
        <circle cx={px} cy={py} r={5} fill={NIGHT.glow} stroke={NIGHT.ground} strokeWidth={1.5} />
      ) : shape === 'moon' ? (
        <circle cx={px} cy={py} r={5} fill={NIGHT.ground} stroke={NIGHT.ink} strokeWidth={2} />
      ) : (
        <path d={`M${px - 5} ${py} H${px + 5} M${px} ${py - 5} V${py + 5}`} stroke={NIGHT.ink} strokeWidth={1.6} />
      )}
      <text
        x={px + (left ? -9 : 9)}
        y={py + down}
        textAnchor={left ? 'end' : 'start'}
        className="fill-night-ink text-[13px] font-semibold"
        stroke={NIGHT.ground}
        strokeWidth={3}
        paintOrder="stroke"
      >
        {text}
      </text>
    </g>
  );
}

/** Reads any point under the pointer, a finger, or the arrow keys. */
function Probe({
  setUp,
  map,
  frame,
  shows,
  target,
  unit,
  box,
}: {
  setUp: SetUp;
  map: LightMap;
  frame: DrawingFrame;
  shows: MapShows;
  target: number;
  unit: LengthUnit;
  box: DrawingFrame['above'];
}) {
  const [at, setAt] = useState<{ x: number; y: number } | null>(null);
  const { tier, hours } = setUp;
  const point = at && { x: Math.min(tier.width, Math.max(0, at.x)), y: Math.min(tier.depth, Math.max(0, at.y)) };
  const value = point && valueAt(map, point.x, point.y);
  const words = value === null ? null : lightWords(value, hours, shows, target);
  const text = point && words ? `${words.number} ${words.unit}, ${fromEdgesWords(point, unit)}` : '';
  const fromPointer = (e: React.PointerEvent<SVGRectElement>) => {
    const r = e.currentTarget.getBoundingClientRect();
    setAt({ x: ((e.clientX - r.left) / r.width) * tier.width, y: (1 - (e.clientY - r.top) / r.height) * tier.depth });
  };
  const steps: Record<string, readonly [number, number]> = {
    ArrowLeft: [-0.02, 0],
    ArrowRight: [0.02, 0],
    ArrowUp: [0, 0.02],
    ArrowDown: [0, -0.02],
  };
  return (
    <g>
      <rect
        x={box.left}
        y={box.top}
        width={box.width}
        height={box.height}
        fill="transparent"
        tabIndex={0}
        role="application"
        aria-label={`Tray from above. Arrow keys read any point. ${text}`}
        className="pointer-events-auto cursor-crosshair"
        onPointerMove={fromPointer}
        onPointerDown={(e) => {
          fromPointer(e);
          placeStore.setState(placeOf(e, tier));
        }}
        onPointerLeave={(e) => e.pointerType === 'mouse' && setAt(null)}
        onFocus={(e) => e.currentTarget.matches(':focus-visible') && setAt((now) => now ?? { x: tier.width / 2, y: tier.depth / 2 })}
        onBlur={() => setAt(null)}
        onKeyDown={(e) => {
          const step = steps[e.key];
          if (!step) return;
          e.preventDefault();
          setAt((now) => ({
            x: Math.min(tier.width, Math.max(0, (now?.x ?? tier.width / 2) + step[0])),
            y: Math.min(tier.depth, Math.max(0, (now?.y ?? tier.depth / 2) + step[1])),
          }));
        }}
      />
      {point && words && (
        <g className="pointer-events-none">
          <path
            d={`M${frame.x(point.x)} ${box.top} V${box.top + box.height} M${box.left} ${frame.y(point.y)} H${box.left + box.width}`}
            stroke={NIGHT.glow}
            strokeWidth={0.7}
            opacity={0.7}
          />
          <circle cx={frame.x(point.x)} cy={frame.y(point.y)} r={4} fill={NIGHT.glow} stroke={NIGHT.ground} />
          <text
            x={box.left + box.width}
            y={box.top - 9}
            textAnchor="end"
            className="fill-night-ink text-[13px] font-semibold"
            role="status"
          >
            {text}
          </text>
        </g>
      )}
    </g>
  );
}

function placeOf(e: React.PointerEvent<SVGRectElement>, tier: Tier): { dx: number; dy: number } {
  const r = e.currentTarget.getBoundingClientRect();
  return { dx: ((e.clientX - r.left) / r.width - 0.5) * tier.width, dy: (0.5 - (e.clientY - r.top) / r.height) * tier.depth };
}
