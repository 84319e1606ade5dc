'use client';
import type { SeasonWeek } from '@/core/plan/season/seasonLook';
import type { Day } from '@/core/units/day';
import { briefDayWords } from './dayWords';
import { AxisLines, TodayLine } from './BatchBars';
import { traysWords } from './seasonWords';
import { monthsOf, type TimeAxis } from './timeAxis';
import { NIGHT } from '../theme/night';

const HEIGHT = 190;
const TOP = 26;
const FOOT = 22;
/** Phases from the bottom up; colours of the bars above, a little lighter for the night behind them. */
const STACK = [
  ['sown', '#6d7d98'],
  ['raised', NIGHT.inRange],
  ['potted', NIGHT.potted],
] as const;

/** Week by week: trays on the shelves, the places that have light for them, and in copper those that find none. */
export function RoomBars({
  weeks,
  axis,
  today,
  isWorking,
}: {
  weeks: readonly SeasonWeek[];
  axis: TimeAxis;
  today: Day;
  isWorking: boolean;
}) {
  const total = (w: SeasonWeek) => w.trays.sown + w.trays.raised + w.trays.potted;
  const most = Math.max(4, ...weeks.map(total), ...weeks.map((w) => w.room)) * 1.08;
  const scale = (HEIGHT - TOP - FOOT) / most;
  const y = (n: number) => HEIGHT - FOOT - n * scale;
  const step = most > 40 ? 20 : most > 16 ? 10 : 5;
  const current = weeks.filter((w) => w.from + 7 > today);
  const worst = current.reduce<SeasonWeek | null>((a, w) => (w.over > (a?.over ?? 0) ? w : a), null);
  const line = current.map((w, i) => `${i === 0 ? `M${axis.x(w.from)} ${y(w.room)}` : `V${y(w.room)}`}H${axis.x(w.from + 7)}`).join('');
  return (
    <svg
      width={axis.width}
      height={HEIGHT}
      className="block"
      role="img"
      aria-label={`Trays and light by week. ${worst ? `At most ${traysWords(worst.over)} without enough light, in the week of ${briefDayWords(worst.from)}.` : 'Every tray has light from now on.'}`}
    >
      <AxisLines axis={axis} height={HEIGHT} className="stroke-night-line" />
      {Array.from({ length: Math.floor(most / step) + 1 }, (_, i) => i * step).map((n) => (
        <line key={n} x1={0} x2={axis.width} y1={y(n)} y2={y(n)} className="stroke-night-line" strokeDasharray={n === 0 ? '' : '2 4'} />
      ))}
      {weeks.map((w) => {
        let below = 0;
        const [x0, width] = [axis.x(w.from) + 1, Math.max(1, axis.perDay * 7 - 2)];
        return (
          <g key={w.from}>
            <title>{`Week of ${briefDayWords(w.from)}: ${traysWords(total(w))}, light for ${w.room}${w.over > 0 ? `, ${w.over} without enough` : ''}`}</title>
            {STACK.map(([phase, fill]) => {
              const n = w.trays[phase];
              below += n;
              return n > 0 ? <rect key={phase} x={x0} width={width} y={y(below)} height={n * scale} fill={fill} /> : null;
            })}
            {w.over > 0 && <rect x={x0} width={width} y={y(below)} height={w.over * scale} fill={NIGHT.lit} />}
          </g>
        );
      })}
      {current.length > 0 && <path d={line} fill="none" stroke={NIGHT.glow} strokeWidth={2.5} />}
      {worst && (
        <text
          x={Math.min(axis.width - 4, Math.max(90, axis.x(worst.from + 3)))}
          y={Math.max(
            13,
            y(Math.max(...weeks.filter((w) => Math.abs(w.from - worst.from) <= 14).map((w) => Math.max(total(w), w.room)))) - 7,
          )}
          textAnchor={axis.x(worst.from) > axis.width - 90 ? 'end' : 'middle'}
          className="fill-ember font-narrow text-[13px] font-semibold"
        >
          {worst.over} too many
        </text>
      )}
      {monthsOf(axis).map(({ day, name }) => (
        <text key={day} x={axis.x(day) + 4} y={HEIGHT - 6} className="fill-night-soft font-narrow text-[12px]">
          {name}
        </text>
      ))}
      {weeks.length === 0 && isWorking && (
        <text x={12} y={HEIGHT / 2} className="fill-night-soft text-[14px]">
          Working out what light your shelves have …
        </text>
      )}
      <TodayLine axis={axis} today={today} height={HEIGHT} />
    </svg>
  );
}

/** The scale at the left of the weeks. */
export function RoomScale({ weeks }: { weeks: readonly SeasonWeek[] }) {
  const most = Math.max(4, ...weeks.map((w) => w.trays.sown + w.trays.raised + w.trays.potted), ...weeks.map((w) => w.room)) * 1.08;
  const scale = (HEIGHT - TOP - FOOT) / most;
  const step = most > 40 ? 20 : most > 16 ? 10 : 5;
  return (
    <div className="relative w-full" style={{ height: HEIGHT }}>
      <p className="absolute top-2 right-3 left-2 text-right font-narrow text-sm leading-tight font-semibold text-night-ink">
        Trays, and light for how many
      </p>
      {Array.from({ length: Math.floor(most / step) + 1 }, (_, i) => i * step)
        .filter((n) => HEIGHT - FOOT - n * scale > 52)
        .map((n) => (
          <span
            key={n}
            className="absolute right-2 -translate-y-1/2 font-narrow text-xs text-night-soft"
            style={{ top: HEIGHT - FOOT - n * scale }}
          >
            {n}
          </span>
        ))}
    </div>
  );
}
