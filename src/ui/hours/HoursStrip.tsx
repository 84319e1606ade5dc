'use client';
import { useRef } from 'react';
import { blocksOf, offAt, type LitTimes } from '@/core/units/LitTimes';
import { lengthOf, overlapOf, type Span } from '@/core/units/Span';
import { MINUTES_PER_DAY, showClock, showHourOfDay } from '@/core/units/clock';
import { beginGesture, endGesture } from '@/store/site/siteStore';
import { useSettings, useWorkspace } from '../shell/WorkspaceContext';

interface HoursStripProps {
  times: LitTimes;
  onChange(on_min: number, lit_min: number): void;
  /** The steps of the timer; the hand moves in them. */
  step_min?: number;
  quiet?: Span | null;
  cheap?: Span | null;
  daylight?: Span | null;
  /** Of what, where there are several strips. */
  of?: string;
}

const pc = (m: number) => `${(m / MINUTES_PER_DAY) * 100}%`;
/** From going on to going off for the day. */
const wholeOf = (times: LitTimes) => {
  const span = (offAt(times) - times.on_min + MINUTES_PER_DAY) % MINUTES_PER_DAY;
  return span === 0 && times.lit_min > 0 ? MINUTES_PER_DAY : span;
};
const clampLit = (m: number) => Math.min(MINUTES_PER_DAY, Math.max(0, m));

/** A stretch as one or two pieces of a day that begins at midnight. */
const piecesOf = (from: number, long: number): readonly (readonly [number, number])[] =>
  from + long <= MINUTES_PER_DAY ? [[from, long]] : [[from, MINUTES_PER_DAY - from], [0, from + long - MINUTES_PER_DAY]]; // prettier-ignore

/** A lamp's day from midnight to midnight: drag either end, or the block itself, or use the arrow keys. */
export function HoursStrip({ times, onChange, step_min = 15, quiet, cheap, daylight, of }: HoursStripProps) {
  const { sites } = useWorkspace();
  const { clock } = useSettings();
  const strip = useRef<HTMLDivElement>(null);
  /** Where a drag began; `whole` from going on to going off, a pause between included. */
  const grip = useRef<{ x: number; on: number; lit: number; whole: number; width: number } | null>(null);
  const { on_min, lit_min, pause } = times;
  const off_min = offAt(times);

  /** Drags are told in whole steps from where they began. */
  const dragged = (what: 'on' | 'off' | 'both') => ({
    onPointerDown: (e: React.PointerEvent<HTMLElement>) => {
      if (e.button !== 0 || !strip.current) return;
      e.currentTarget.setPointerCapture(e.pointerId);
      grip.current = { x: e.clientX, on: on_min, lit: lit_min, whole: wholeOf(times), width: strip.current.getBoundingClientRect().width };
      beginGesture(sites, 'change the hours');
    },
    onPointerMove: (e: React.PointerEvent<HTMLElement>) => {
      const g = grip.current;
      if (!g || !e.currentTarget.hasPointerCapture(e.pointerId)) return;
      const by = Math.round((((e.clientX - g.x) / g.width) * MINUTES_PER_DAY) / step_min) * step_min;
      if (what === 'both') onChange(g.on + by, g.lit);
      else {
        const whole = clampLit(what === 'on' ? g.whole - by : g.whole + by);
        const on = what === 'on' ? g.on + g.whole - whole : g.on;
        onChange(on, pause ? whole - overlapOf((on + MINUTES_PER_DAY) % MINUTES_PER_DAY, whole, pause) : whole);
      }
    },
    onLostPointerCapture: () => {
      if (!grip.current) return;
      grip.current = null;
      endGesture(sites);
    },
  });

  const handle = (what: 'on' | 'off', at: number) => (
    <div
      role="slider"
      tabIndex={0}
      aria-label={`${what === 'on' ? 'Lamp on' : 'Lamp off'}${of ? `, ${of}` : ''}`}
      aria-valuemin={0}
      aria-valuemax={MINUTES_PER_DAY}
      aria-valuenow={at}
      aria-valuetext={showClock(at, clock)}
      className="absolute top-0 z-10 h-full w-7 -translate-x-1/2 cursor-ew-resize touch-none rounded max-md:w-10"
      style={{ left: pc(at === 0 && what === 'off' ? MINUTES_PER_DAY : at) }}
      {...dragged(what)}
      onKeyDown={(e) => {
        const step = { ArrowLeft: -step_min, ArrowDown: -step_min, ArrowRight: step_min, ArrowUp: step_min, PageDown: -60, PageUp: 60 }[
          e.key
        ];
        if (step === undefined) return;
        e.preventDefault();
        if (what === 'on') onChange(on_min + Math.max(lit_min - MINUTES_PER_DAY, Math.min(lit_min, step)), clampLit(lit_min - step));
        else onChange(on_min, clampLit(lit_min + step));
      }}
    >
      <span className="mx-auto block h-full w-[3px] rounded bg-ink" aria-hidden />
    </div>
  );

  return (
    // A handle at midnight reaches half its width beyond the strip.
    <div className="max-md:mx-1">
      <div ref={strip} className="relative h-11 rounded bg-sunk" data-swatch>
        {quiet &&
          piecesOf(quiet.from_min, lengthOf(quiet)).map(([from, long]) => (
            <div key={`q${from}`} className="absolute inset-y-0 bg-slate/25" style={{ left: pc(from), width: pc(long) }} aria-hidden />
          ))}
        {blocksOf(times)
          .flatMap((b) => piecesOf(b.on_min, b.lit_min))
          .map(([from, long], i) => (
            <div
              key={i}
              className="absolute top-1 bottom-1 cursor-grab touch-none rounded-[3px] bg-lit"
              style={{ left: pc(from), width: pc(long) }}
              {...dragged('both')}
              aria-hidden
            />
          ))}
        {daylight && (
          <div
            className="pointer-events-none absolute top-0 h-1.5 bg-[#c9b458]"
            style={{ left: pc(daylight.from_min), width: pc(daylight.to_min - daylight.from_min) }}
            aria-hidden
          />
        )}
        {cheap &&
          piecesOf(cheap.from_min, lengthOf(cheap)).map(([from, long]) => (
            <div
              key={`c${from}`}
              className="pointer-events-none absolute bottom-0 h-1.5 bg-verdigris"
              style={{ left: pc(from), width: pc(long) }}
              aria-hidden
            />
          ))}
        {handle('on', on_min)}
        {handle('off', off_min)}
      </div>
      <div className="flex justify-between font-narrow text-xs text-soft" aria-hidden>
        {[0, 6, 12, 18, 24].map((h) => (
          <span key={h}>{showHourOfDay(h, clock)}</span>
        ))}
      </div>
    </div>
  );
}
