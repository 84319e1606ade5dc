'use client';
import clsx from 'clsx';
import { useRef } from 'react';
import type { BatchCourse, BatchPhase } from '@/core/plan/season/batchCourse';
import type { Day } from '@/core/units/day';
import { nearestVisit } from '@/core/site/hang/VisitRhythm';
import { shiftPlanned } from '@/core/site/stand/changeSeason';
import { beginGesture, changeSite, endGesture } from '@/store/site/siteStore';
import { useSite, useWorkspace } from '../shell/WorkspaceContext';
import { briefDayWords } from './dayWords';
import { barWords, nameOf } from './seasonWords';
import { monthsOf, type TimeAxis } from './timeAxis';
import { NIGHT } from '../theme/night';

export const PHASE_FILL: Readonly<Record<BatchPhase, string>> = {
  sown: 'var(--slate)',
  raised: '#1d7a6e',
  potted: NIGHT.potted,
  hardening: 'url(#hatch)',
};

/** A bar is as thick as the trays that it stands for, px. */
const thickness = (trays: number): number => Math.min(40, 4 + 6 * trays);
const GAP = 13;
export const HEAD = 30;

/** The rows of bars: where each begins and how tall it is; its name has room in two lines of text of a size. */
export function rowsOf(
  courses: readonly BatchCourse[],
  scale: number,
): {
  readonly rows: readonly { readonly y: number; readonly height: number }[];
  readonly height: number;
} {
  let y = HEAD;
  const rows = courses.map((c) => {
    const height = Math.max(22 * scale, ...c.parts.map((p) => thickness(p.trays))) + GAP;
    y += height;
    return { y: y - height, height };
  });
  return { rows, height: y + 6 };
}

interface BatchBarsProps {
  courses: readonly BatchCourse[];
  axis: TimeAxis;
  today: Day;
  /** Of the text beside the bars. */
  scale: number;
  chosen: readonly string[];
  /** With `more` beside those that are chosen already. */
  onChoose(id: string, more: boolean): void;
}

/** Every batch as a bar through the season: dragged, or moved with the arrow keys, as long as it is not sown. */
export function BatchBars({ courses, axis, today, scale, chosen, onChoose }: BatchBarsProps) {
  const { rows, height } = rowsOf(courses, scale);
  return (
    <svg width={axis.width} height={height} className="block" role="group" aria-label="Batches">
      <defs>
        <pattern id="hatch" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <rect width="7" height="7" fill="var(--verdigris-wash)" />
          <rect width="3" height="7" fill={NIGHT.potted} />
        </pattern>
      </defs>
      <AxisLines axis={axis} height={height} className="stroke-line" />
      {monthsOf(axis).map(({ day, name }) => (
        <text key={day} x={axis.x(day) + 4} y={17} className="fill-soft font-narrow text-[13px]">
          {name}
        </text>
      ))}
      {courses.map((course, i) => (
        <Bar
          key={course.batch.id}
          course={course}
          axis={axis}
          y={rows[i]!.y}
          height={rows[i]!.height}
          chosen={chosen}
          onChoose={(more) => onChoose(course.batch.id, more)}
        />
      ))}
      <TodayLine axis={axis} today={today} height={height} labelled />
    </svg>
  );
}

export function AxisLines({ axis, height, className }: { axis: TimeAxis; height: number; className: string }) {
  return (
    <g className={className} aria-hidden>
      {monthsOf(axis).map(({ day }) => (
        <line key={day} x1={axis.x(day)} x2={axis.x(day)} y1={0} y2={height} />
      ))}
    </g>
  );
}

export function TodayLine({ axis, today, height, labelled = false }: { axis: TimeAxis; today: Day; height: number; labelled?: boolean }) {
  if (today < axis.from || today > axis.until) return null;
  const x = axis.x(today);
  const left = x > axis.width - 120;
  return (
    <g aria-hidden>
      <line x1={x} x2={x} y1={0} y2={height} stroke="#b1522a" strokeWidth={2} />
      {labelled && (
        <text
          x={left ? x - 6 : x + 6}
          y={HEAD - 1}
          textAnchor={left ? 'end' : 'start'}
          className="fill-copper font-narrow text-[12px] font-semibold"
        >
          today, {briefDayWords(today)}
        </text>
      )}
    </g>
  );
}

interface BarProps {
  course: BatchCourse;
  axis: TimeAxis;
  y: number;
  height: number;
  chosen: readonly string[];
  onChoose(more: boolean): void;
}

function Bar({ course, axis, y, height, chosen, onChoose }: BarProps) {
  const { sites } = useWorkspace();
  const site = useSite((s) => s.site);
  const { batch, parts } = course;
  const held = useRef<{ x: number; moved: number } | null>(null);
  const isFixed = batch.batchId !== null;
  const isChosen = chosen.includes(batch.id);
  // Of several that are chosen all move with the one that is moved.
  const together = isChosen ? chosen : [batch.id];
  const middle = y + height / 2;
  const first = parts[0];
  const last = parts.at(-1);
  if (!first || !last) return null;
  const shift = (days: number) => changeSite(sites, `move ${nameOf(site, batch)}`, shiftPlanned(together, days));

  function onKey(e: React.KeyboardEvent) {
    const step = e.key === 'ArrowLeft' ? -1 : e.key === 'ArrowRight' ? 1 : 0;
    if (e.key === 'Enter' || e.key === ' ') onChoose(e.shiftKey || e.ctrlKey || e.metaKey);
    else if (step !== 0 && !isFixed) shift(step * (e.shiftKey ? 7 : 1));
    else return;
    e.preventDefault();
  }

  return (
    <g
      role="button"
      tabIndex={0}
      aria-label={`${barWords(site, course)}${isFixed ? '' : '. Arrow keys move it by a day, with Shift by a week'}`}
      aria-pressed={isChosen}
      className={clsx('outline-none [&:focus-visible>.halo]:stroke-copper', isFixed ? 'cursor-pointer' : 'cursor-ew-resize')}
      style={{ touchAction: 'pan-x pan-y' }}
      onClick={(e) => onChoose(e.shiftKey || e.ctrlKey || e.metaKey)}
      onKeyDown={onKey}
      onPointerDown={(e) => {
        if (isFixed || e.pointerType === 'touch' || e.button !== 0) return;
        e.currentTarget.setPointerCapture(e.pointerId);
        held.current = { x: e.clientX, moved: 0 };
        beginGesture(sites, `move ${nameOf(site, batch)}`);
      }}
      onPointerMove={(e) => {
        if (!held.current) return;
        // Somebody has to be there to sow: a drag goes from visit to visit.
        const wished = batch.sown - held.current.moved + Math.round((e.clientX - held.current.x) / axis.perDay);
        const days = nearestVisit(site.visits, wished) - batch.sown;
        if (days === 0) return;
        shift(days);
        held.current.moved += days;
      }}
      onPointerUp={() => {
        held.current = null;
        endGesture(sites);
      }}
      onPointerCancel={() => {
        held.current = null;
        endGesture(sites);
      }}
    >
      <rect
        className={clsx('halo', isChosen ? 'stroke-ink' : 'stroke-transparent')}
        x={axis.x(first.from) - 9}
        y={y + 2}
        width={axis.x(last.until) - axis.x(first.from) + 26}
        height={height - 4}
        rx={6}
        fill="transparent"
        strokeWidth={1.5}
      />
      {parts.map((p, i) => {
        const h = thickness(p.trays);
        const [x0, x1] = [axis.x(p.from), axis.x(p.until)];
        const swells = p.trays > 1 && (i === 0 || parts[i - 1]!.trays !== p.trays) && x1 - x0 > 44;
        return (
          <g key={i}>
            <rect
              x={x0}
              y={middle - h / 2}
              width={Math.max(1, x1 - x0)}
              height={h}
              rx={2}
              fill={PHASE_FILL[p.phase]}
              opacity={batch.lost === null ? 1 : 0.35}
            />
            {swells && p.phase !== 'hardening' && (
              <text x={x0 + 5} y={middle + 4} className="fill-[#0d1513] font-narrow text-[12px] font-semibold" aria-hidden>
                {p.trays} trays
              </text>
            )}
          </g>
        );
      })}
      <circle
        cx={axis.x(first.from)}
        cy={middle}
        r={5}
        className={isFixed ? 'fill-ink stroke-ink' : 'fill-sheet stroke-ink'}
        strokeWidth={1.6}
      />
      {batch.lost === null ? (
        <path d={`M${axis.x(last.until)} ${middle + 8}v-17l9 4-9 4`} className="fill-sheet stroke-ink" strokeWidth={1.4} />
      ) : (
        <path d={`M${axis.x(last.until) - 5} ${middle - 5}l10 10m0-10l-10 10`} className="stroke-copper" strokeWidth={2} />
      )}
    </g>
  );
}
