'use client';
import clsx from 'clsx';
import { useDeferredValue, useMemo } from 'react';
import type { JudgedTray } from '@/core/answer/bench/judgeTray';
import type { TierLight } from '@/core/answer/bench/BenchQuestion';
import type { BenchStand, BenchTier } from '@/core/answer/stand/benchStand';
import { changeFittings, changeTrays } from '@/core/site/stand/change';
import { outlineOf, outlineOfFitting } from '@/core/site/stand/footprint';
import type { Metres } from '@/core/units/quantities';
import { useSettings, useSite, useWorkspace } from '../shell/WorkspaceContext';
import { coarser, contoursOf, roundSteps } from '../drawing/contours';
import { lightWords, perPpfd } from '../drawing/lightWords';
import { useSize } from '../drawing/useSize';
import { bandOf } from './bands';
import { trayName } from './benchWords';
import { MapNumber, SpotMark } from './MapMarks';
import { TierMaps } from './TierMaps';
import { TierOutlines } from './TierOutlines';
import { useBenchLook } from './useBench';
import { useDrag } from './useDrag';
import { pressed, takeUp, type EditCommands } from './useEditCommands';
import { useProbe } from './useProbe';
import { NIGHT } from '../theme/night';
import { fromEdgesWords } from '../drawing/fromEdgesWords';

interface TierAboveProps {
  stand: BenchStand;
  tier: BenchTier;
  light: TierLight | null;
  judged: readonly JudgedTray[];
  /** The tray whose weakest and strongest spots are marked. */
  focus: JudgedTray | null;
  commands: EditCommands;
}

/** The chosen tier from above: each tray in the bands of its own crop, lines of equal light, and what can be moved about. */
export function TierAbove({ stand, tier: t, light, judged, focus, commands }: TierAboveProps) {
  const { mapShows, lengthUnit } = useSettings();
  const { benchLooks } = useWorkspace();
  const { chosen } = useBenchLook();
  const { ref, width } = useSize<HTMLDivElement>();
  const { tier } = t;
  const scale = width / tier.width;
  const height = Math.min(340, tier.depth * scale);
  const sy = height / tier.depth;
  const px = (x: Metres) => x * scale;
  const py = (y: Metres) => height - y * sy;
  const focusTray = focus?.tray ?? t.trays[0];
  const around = useMemo(() => bandOf(focusTray, (focusTray ?? t).day), [focusTray, t]);
  const hasDaylight = (focusTray ?? t).day.daylight !== null;
  // The lines may come a frame after the colours while a hand moves.
  const lined = useDeferredValue(focus?.light);
  const map = lined?.map;
  const stats = lined?.stats;
  const { low, high, target } = around;
  const moving = useSite((s) => s.inGesture);
  const lines = useMemo(() => {
    if (!map || !stats || t.hours === 0) return [];
    const k = perPpfd(t.hours, mapShows, target);
    const edges = [low, high];
    const steps = roundSteps(stats.weakest.ppfd * k, stats.strongest.ppfd * k, 4)
      .map((v) => v / k)
      .filter((v) => edges.every((e) => Math.abs(v / e - 1) > 0.12));
    return contoursOf(moving ? coarser(map) : map, [...edges, ...steps]);
  }, [map, stats, low, high, target, t.hours, mapShows, moving]);
  const roomy = useMemo(() => {
    const near = (ax: Metres, ay: Metres, bx: Metres, by: Metres, room: number) =>
      Math.abs(ax - bx) * scale < room && Math.abs(ay - by) * sy < 13;
    const spots = stats ? [stats.weakest, stats.strongest] : [];
    const kept: (typeof lines)[number][] = [];
    for (const line of lines) {
      if (!line.label) continue;
      const [x, y] = line.label;
      const crowded = kept.some((k) => near(k.label![0], k.label![1], x, y, 26)) || spots.some((s) => near(s.x, s.y, x, y, 58));
      if (!crowded) kept.push(line);
    }
    return new Set(kept);
  }, [lines, stats, scale, sy]);
  const number = (ppfd: number) => lightWords(ppfd, t.hours, mapShows, around.target).number;

  const drag = useDrag<{ id: string; x: number; y: number }>(
    'move on the bench',
    (e) => {
      const id = e.currentTarget.dataset.thing!;
      if (e.shiftKey) {
        commands.toggle(id);
        return null;
      }
      commands.choose([id], tier.id);
      const thing = [...tier.fittings, ...tier.trays].find((g) => g.id === id)!;
      return { id, x: thing.x, y: thing.y };
    },
    (held, dx, dy) => {
      const near = (wished: number, span: number) => (Math.abs(wished - span / 2) < 0.012 ? span / 2 : Math.round(wished * 100) / 100);
      const put = () => ({ x: near(held.x + dx / scale, tier.width), y: near(held.y - dy / sy, tier.depth) });
      benchLooks.setState({ handOn: tier.id });
      commands.change('move on the bench', (site) => changeTrays(tier.id, [held.id], put)(changeFittings(tier.id, [held.id], put)(site)));
    },
  );
  const probe = useProbe(t, light, judged);
  const lies = (thing: { readonly x: number; readonly y: number }) => fromEdgesWords(thing, lengthUnit);
  const place = (e: React.PointerEvent<HTMLElement>) => {
    const r = e.currentTarget.getBoundingClientRect();
    return { x: ((e.clientX - r.left) / r.width) * tier.width, y: (1 - (e.clientY - r.top) / r.height) * tier.depth };
  };
  const handle = (id: string, label: string, r: { x0: number; x1: number; y0: number; y1: number }, lamp: boolean) => (
    <div
      key={id}
      data-thing={id}
      role="button"
      tabIndex={0}
      aria-label={`${label}, from above; arrow keys move it`}
      aria-pressed={chosen.includes(id)}
      {...drag}
      onKeyDown={(e) => takeUp(e, chosen.includes(id), () => commands.choose([id], tier.id))}
      className={clsx('absolute cursor-grab touch-none rounded-[3px]', chosen.includes(id) && 'outline-2 outline-ember')}
      style={{
        left: px(r.x0),
        top: py(r.y1) - (lamp ? 3 : 0),
        width: px(r.x1 - r.x0),
        height: Math.max(lamp ? 12 : 18, (r.y1 - r.y0) * sy + (lamp ? 6 : 0)),
      }}
    />
  );

  return (
    <div className="night rounded-md bg-night text-night-ink">
      <div
        ref={ref}
        className="relative overflow-hidden rounded-md"
        style={{ height }}
        role="application"
        tabIndex={0}
        aria-label={`Tier ${t.number} from above. Arrow keys read any point. ${probe.words ?? ''}`}
        data-testid="above"
        data-picture="map"
        onPointerMove={(e) => probe.to(place(e))}
        onPointerDown={(e) => probe.to(place(e))}
        onPointerLeave={(e) => e.pointerType === 'mouse' && probe.to(null)}
        onBlur={() => probe.to(null)}
        onKeyDown={(e) => {
          const own = e.target === e.currentTarget;
          const step = { ArrowLeft: [-0.02, 0], ArrowRight: [0.02, 0], ArrowUp: [0, 0.02], ArrowDown: [0, -0.02] }[e.key];
          if (own && step) {
            probe.to({ x: (probe.at?.x ?? tier.width / 2) + step[0]!, y: (probe.at?.y ?? tier.depth / 2) + step[1]! });
            e.preventDefault();
          } else if (pressed(e, commands, true)) e.preventDefault();
        }}
      >
        {light && <TierMaps tier={t} light={light} around={around} px={px} py={py} sy={sy} testId="tier-map" />}
        <svg width={width} height={height} className="pointer-events-none absolute inset-0" role="presentation">
          {lines.map((line) => (
            <g key={line.value}>
              {line.rings.map((ring, i) => (
                <path
                  key={i}
                  d={ring.map(([x, y], k) => `${k ? 'L' : 'M'}${px(x).toFixed(1)} ${py(y).toFixed(1)}`).join('')}
                  fill="none"
                  stroke={NIGHT.ground}
                  strokeWidth={1}
                  opacity={0.7}
                />
              ))}
              {line.label && roomy.has(line) && (
                <MapNumber x={px(line.label[0]) - 3} y={py(line.label[1]) + 4} anchor="end" small>
                  {number(line.value)}
                </MapNumber>
              )}
            </g>
          ))}
          <TierOutlines tier={t} px={px} py={py} sy={sy} spots={focus ? [focus.light.stats.strongest, focus.light.stats.weakest] : []} />
          {tier.readings
            .filter((r) => !r.leftOut)
            .map((r) => (
              <path
                key={r.id}
                d={`M${px(r.dx + tier.width / 2)} ${py(r.dy + tier.depth / 2) - 6} l5 6 l-5 6 l-5 -6 Z`}
                fill={NIGHT.patina}
                stroke={NIGHT.ground}
              >
                <title>a reading</title>
              </path>
            ))}
          {focus && (
            <>
              <SpotMark
                x={px(focus.light.stats.strongest.x)}
                y={py(focus.light.stats.strongest.y)}
                width={width}
                sun
                words={number(focus.light.stats.strongest.ppfd)}
              />
              <SpotMark
                x={px(focus.light.stats.weakest.x)}
                y={py(focus.light.stats.weakest.y)}
                width={width}
                words={number(focus.light.stats.weakest.ppfd)}
              />
            </>
          )}
        </svg>
        {t.trays.map((y) => handle(y.tray.id, `Tray: ${trayName(y)}, ${lies(y.tray)}`, outlineOf(y.tray), false))}
        {t.lamps.map(({ fitting, lamp }) =>
          handle(fitting.id, `Lamp: ${lamp.name}, ${lies(fitting)}`, outlineOfFitting(fitting, lamp), true),
        )}
        {probe.at && (
          <svg width={width} height={height} className="pointer-events-none absolute inset-0" role="presentation">
            <path
              d={`M${px(probe.at.x)} 0 V${height} M0 ${py(probe.at.y)} H${width}`}
              stroke={NIGHT.glow}
              strokeWidth={0.7}
              opacity={0.7}
            />
            <circle cx={px(probe.at.x)} cy={py(probe.at.y)} r={4} fill={NIGHT.glow} stroke={NIGHT.ground} />
          </svg>
        )}
      </div>
      <p className="min-h-6 px-2 py-1 text-[0.8125rem] text-night-soft" role="status" data-testid="probe">
        {probe.words ??
          `from above, front edge below${stand.tiers.length > 1 ? `; tier ${t.number}` : ''}${hasDaylight ? '; light of the lamps alone' : ''}`}
      </p>
    </div>
  );
}
