'use client';
import { useId, useMemo, useRef } from 'react';
import type { BeforeWindow } from '@/core/answer/daylight/sillAsBuilt';
import { hiddenUpTo, horizonAt, type Beside, type HorizonPoint } from '@/core/sky/window/Aperture';
import { compassOf } from '@/core/sky/place/facing';
import type { SunPosition } from '@/core/sky/sun/sunPosition';
import { tidyAngle, type Window } from '@/core/site/window/Window';
import { besideFacing, directionThrough, onPane, type PanePoint } from './paneFrame';
import { NIGHT } from '../theme/night';
import type { SunPath } from './useLookedAt';

interface PanePictureProps {
  window: Window;
  at: BeforeWindow;
  /** What stands between the place and the glass. */
  beside: readonly Beside[];
  /** The sun's way on the chosen day, and on the longest and the shortest. */
  paths: readonly SunPath[];
  now: SunPosition;
  time: string;
  onHorizon(points: readonly HorizonPoint[]): void;
  onGesture(on: boolean): void;
  /** What stands below it on the same scale: the place before the window from above. */
  children: React.ReactNode;
  below: number;
}

const CM = 100;
const MARGIN = 0.04;
/** Between the pane and what is drawn below it. */
const BELOW_PANE = 0.17;
/** From nearer than this the directions crowd. */
const MOST_CROWDED = 0.1;
const STEP = (2 * Math.PI) / 180;
/** A dot on the horizon, and the smallest that one becomes where others are close. */
const HANDLE = 2.6;
const SMALLEST = 1.1;

type Placed = { readonly at: readonly [number, number] };
const away = ({ at }: Placed, [x, y]: readonly [number, number]): number => Math.hypot(at[0] - x, at[1] - y);
const nearestTo = <T extends Placed>(things: readonly T[], place: readonly [number, number]): T | undefined =>
  things.reduce<T | undefined>((best, t) => (best && away(best, place) <= away(t, place) ? best : t), undefined);

/** The eight directions that have a letter or two. */
const NAMED = Array.from({ length: 8 }, (_, i) => (i * Math.PI) / 4);

/** What the pane shows from a plant: the sun on its ways and what stands outside, drawn by dragging its dots. */
export function PanePicture({ window, at, beside, paths, now, time, onHorizon, onGesture, children, below }: PanePictureProps) {
  const clip = useId();
  const svg = useRef<SVGSVGElement>(null);
  const half = window.width / 2;
  const view = {
    x: -half - MARGIN,
    y: -window.height - MARGIN,
    w: window.width + 2 * MARGIN,
    h: window.height + MARGIN + BELOW_PANE + below + 0.04,
  };
  /** Letters and dots stay as large where the picture is small for its height. */
  const k = Math.max(1, view.h / 1.75);
  const px = ({ across, up }: PanePoint): [number, number] => [across * CM, -up * CM];
  const inPane = ({ across, up }: PanePoint) => Math.abs(across) <= half && up >= 0 && up <= window.height;
  const skyline = useMemo(() => {
    const points: string[] = [];
    for (let i = 0; i <= 120; i++) {
      const across = -half + (window.width * i) / 120;
      const { azimuth } = directionThrough(at, { across, up: at.over });
      const p = onPane(at, azimuth, horizonAt(window.horizon, azimuth));
      if (p) points.push(`${p.across * CM},${-p.up * CM}`);
    }
    return points;
  }, [at, half, window.horizon, window.width]);
  const neighbours = useMemo(
    () =>
      beside.flatMap((block) => {
        const points: string[] = [];
        for (let i = 0; i <= 240; i++) {
          const across = -half + (window.width * i) / 240;
          const { azimuth } = directionThrough(at, { across, up: at.over });
          const elevation = hiddenUpTo(block, azimuth);
          const p = elevation > 0 ? onPane(at, azimuth, elevation) : null;
          if (p) points.push(`${across * CM},${-p.up * CM}`);
        }
        const [first, last] = [points[0], points.at(-1)];
        if (!first || !last) return [];
        return [{ leafy: block.transmittance > 0, points: `${first.split(',')[0]},2 ${points.join(' ')} ${last.split(',')[0]},2` }];
      }),
    [at, beside, half, window.width],
  );
  const sunAt = onPane(at, besideFacing(now, window.facing), now.elevation);
  const ground = `${-half * CM},2 ${skyline.join(' ')} ${half * CM},2`;

  const move = (i: number, to: { azimuth: number; elevation: number }) => {
    const before = window.horizon[i - 1]?.azimuth ?? -Math.PI / 2;
    const after = window.horizon[i + 1]?.azimuth ?? Math.PI / 2;
    const azimuth = tidyAngle(Math.min(after, Math.max(before, to.azimuth)));
    const elevation = tidyAngle(Math.min(1.5, Math.max(0, to.elevation)));
    onHorizon(window.horizon.map((p, j) => (j === i ? { azimuth, elevation } : p)));
  };
  // Points that lie close together are drawn smaller, and a hand takes the nearest.
  const handles = window.horizon.flatMap((point, i) => {
    const p = onPane(at, point.azimuth, point.elevation);
    return p && inPane(p) ? [{ i, point, at: px(p) }] : [];
  });
  const pointed = (e: React.PointerEvent): PanePoint | null => {
    const matrix = svg.current?.getScreenCTM()?.inverse();
    if (!matrix) return null;
    const p = new DOMPoint(e.clientX, e.clientY).matrixTransform(matrix);
    return { across: Math.min(half, Math.max(-half, p.x / CM)), up: Math.min(window.height, Math.max(0, -p.y / CM)) };
  };

  return (
    <svg
      ref={svg}
      viewBox={`${view.x * CM} ${view.y * CM} ${view.w * CM} ${view.h * CM}`}
      className="block max-h-[58vh] w-full touch-pan-y select-none"
      role="group"
      aria-label="What the window shows from the plant"
      data-testid="pane"
    >
      <defs>
        <clipPath id={clip}>
          <rect x={-half * CM} y={-window.height * CM} width={window.width * CM} height={window.height * CM} />
        </clipPath>
      </defs>
      <rect
        x={-half * CM}
        y={-window.height * CM}
        width={window.width * CM}
        height={window.height * CM}
        fill={now.elevation > 0 ? '#31495a' : '#18222a'}
      />
      <g clipPath={`url(#${clip})`}>
        {paths.map((path) => (
          <SunPath key={path.name} {...path} at={at} facing={window.facing} sunAt={now.elevation > 0 ? sunAt : null} k={k} />
        ))}
        <polygon points={ground} fill={NIGHT.ground} stroke={NIGHT.rim} strokeWidth={0.6} strokeDasharray="2 1.4" />
        {neighbours.map(({ leafy, points }) => (
          <polygon
            key={points}
            points={points}
            fill={leafy ? '#3c6b54' : NIGHT.raised}
            fillOpacity={leafy ? 0.7 : 1}
            stroke={NIGHT.rim}
            strokeWidth={0.6}
          >
            <title>{leafy ? 'leaves of a taller plant' : 'a taller pot or tray'}</title>
          </polygon>
        ))}
      </g>
      {sunAt && now.elevation > 0 && inPane(sunAt) && (
        <g>
          <circle cx={sunAt.across * CM} cy={-sunAt.up * CM} r={3.4 * k} fill="#f7d9a8" />
          <text
            x={sunAt.across * CM}
            y={-sunAt.up * CM - 5 * k}
            textAnchor="middle"
            fontSize={4.6 * k}
            fill={NIGHT.ink}
            className="font-semibold"
          >
            {time}
          </text>
        </g>
      )}
      <rect
        x={-half * CM}
        y={-window.height * CM}
        width={window.width * CM}
        height={window.height * CM}
        fill="none"
        stroke="#dfe7e3"
        strokeWidth={2.4}
      />
      {NAMED.map((direction) => {
        const aside = besideFacing({ azimuth: direction }, window.facing);
        const p = Math.abs(aside) < Math.PI / 2 ? onPane(at, aside, 0) : null;
        if (!p || Math.abs(p.across) > half - 0.03 || (Math.abs(aside) > Math.PI / 8 && at.depth < MOST_CROWDED)) return null;
        return (
          <text key={direction} x={p.across * CM} y={8 * k} textAnchor="middle" fontSize={5 * k} fill={NIGHT.soft}>
            {compassOf(direction)}
          </text>
        );
      })}
      {handles.map(({ i, point, at: [x, y] }) => {
        const others = handles.filter((other) => other.i !== i);
        const next = nearestTo(others, [x, y]);
        const r = next ? Math.min(HANDLE * k, Math.max(SMALLEST * k, away(next, [x, y]) / 2 - 0.6)) : HANDLE * k;
        const degrees = (v: number) => Math.round((v * 180) / Math.PI);
        return (
          <g
            key={i}
            className="group cursor-grab"
            data-point={i}
            tabIndex={0}
            role="slider"
            aria-label={`What stands outside, point ${i + 1}`}
            aria-valuemin={0}
            aria-valuemax={86}
            aria-valuenow={degrees(point.elevation)}
            aria-valuetext={`${degrees(point.elevation)}° high, ${Math.abs(degrees(point.azimuth))}° ${point.azimuth < 0 ? 'left' : 'right'} of straight out`}
            onPointerDown={(e) => {
              const p = pointed(e);
              const nearest = p && svg.current?.querySelector<SVGGElement>(`[data-point="${nearestTo(handles, px(p))!.i}"]`);
              const taken = nearest ?? e.currentTarget;
              taken.setPointerCapture(e.pointerId);
              // The keys go on with what the hand took, which need not be what lies on top.
              taken.focus();
              onGesture(true);
            }}
            onMouseDown={(e) => e.preventDefault()}
            onPointerMove={(e) => {
              const to = e.currentTarget.hasPointerCapture(e.pointerId) ? pointed(e) : null;
              if (to) move(i, directionThrough(at, to));
            }}
            onLostPointerCapture={() => onGesture(false)}
            onKeyDown={(e) => {
              const by = { ArrowUp: [0, STEP], ArrowDown: [0, -STEP], ArrowLeft: [-STEP, 0], ArrowRight: [STEP, 0] }[e.key];
              if (by) {
                e.preventDefault();
                move(i, { azimuth: point.azimuth + by[0]!, elevation: point.elevation + by[1]! });
              } else if (e.key === 'Delete' || e.key === 'Backspace') {
                e.preventDefault();
                onHorizon(window.horizon.filter((_, j) => j !== i));
              }
            }}
          >
            <circle cx={x} cy={y} r={HANDLE * k} fill="transparent" />
            <circle
              cx={x}
              cy={y}
              r={r}
              fill={NIGHT.ground}
              stroke={NIGHT.patina}
              strokeWidth={1.1}
              className="group-focus-visible:stroke-ember"
            />
          </g>
        );
      })}
      <g transform={`translate(0 ${BELOW_PANE * CM})`}>{children}</g>
    </svg>
  );
}

interface SunPathProps {
  faint: boolean;
  points: SunPath['points'];
  at: BeforeWindow;
  facing: number;
  /** Where the sun is now: its figure stands there. */
  sunAt: PanePoint | null;
  /** How much larger letters are drawn. */
  k: number;
}

/** The way of the sun across the pane on one day, with its hours. */
function SunPath({ faint, points, at, facing, sunAt, k }: SunPathProps) {
  const seen = points.flatMap(({ minute, sun }) => {
    if (!(sun.elevation > 0)) return [];
    const p = onPane(at, besideFacing(sun, facing), sun.elevation);
    return p ? [{ minute, x: p.across * CM, y: -p.up * CM }] : [];
  });
  if (seen.length < 2) return null;
  return (
    <g opacity={faint ? 0.45 : 1}>
      <polyline points={seen.map(({ x, y }) => `${x},${y}`).join(' ')} fill="none" stroke="#e8d5ae" strokeWidth={faint ? 0.6 : 1} />
      {!faint &&
        hoursApart(seen, sunAt && { x: sunAt.across * CM, y: -sunAt.up * CM }, k).map(({ minute, x, y }) => (
          <g key={minute}>
            <circle cx={x} cy={y} r={1.2} fill={NIGHT.sun} />
            <text x={x + 2.4} y={y - 1.6} fontSize={4.6 * k} fill={NIGHT.ink}>
              {minute / 60}
            </text>
          </g>
        ))}
    </g>
  );
}

/** Full hours, as far as their figures have room. */
function hoursApart<T extends { minute: number; x: number; y: number }>(
  seen: readonly T[],
  sun: { x: number; y: number } | null,
  k: number,
): T[] {
  const kept: T[] = [];
  for (const p of seen) {
    const last = kept.at(-1);
    if (
      p.minute % 60 === 0 &&
      (!last || Math.hypot(p.x - last.x, p.y - last.y) > 7 * k) &&
      (!sun || Math.hypot(p.x - sun.x, p.y - sun.y) > 8 * k)
    )
      kept.push(p);
  }
  return kept;
}
