'use client';
import { useRef } from 'react';
import type { SetUp } from '@/core/stand/setUp';
import { MINUTES_PER_DAY, readClock, showClock, showHours } from '@/core/units/clock';
import { beginGesture, changeSite, endGesture } from '@/store/site/siteStore';
import { setHours } from '@/store/site/setUpVerbs';
import { TypedField } from '../parts/TypedField';
import { useWorkspace } from '../shell/WorkspaceContext';
import { DoseChart } from './DoseChart';
import { Schools } from './Schools';

/** Mechanical timers move in pins of a quarter of an hour; so does the hand on the strip. */
const PIN_min = 15;
const wrap = (m: number) => ((m % MINUTES_PER_DAY) + MINUTES_PER_DAY) % MINUTES_PER_DAY;

/** The lamp's day as a strip: drag either end, or the block itself, or type the times. */
export function DayStrip({ setUp }: { setUp: SetUp }) {
  const { sites } = useWorkspace();
  const { programme, stage, stand } = setUp;
  const { on_min, lit_min } = programme;
  const off_min = wrap(on_min + lit_min);
  const strip = useRef<HTMLDivElement>(null);
  const change = (on: number, lit: number) => changeSite(sites, 'change the hours', setHours(stand.id, on, lit));
  const setOn = (on: number) => {
    const lit = wrap(off_min - on);
    change(on, lit === 0 ? (lit_min > MINUTES_PER_DAY / 2 ? MINUTES_PER_DAY : 0) : lit);
  };
  const setOff = (off: number) => {
    const lit = wrap(off - on_min);
    change(on_min, lit === 0 ? (lit_min > MINUTES_PER_DAY / 2 ? MINUTES_PER_DAY : 0) : lit);
  };
  const blocks = on_min + lit_min <= MINUTES_PER_DAY ? [[on_min, lit_min]] : [[on_min, MINUTES_PER_DAY - on_min], [0, on_min + lit_min - MINUTES_PER_DAY]]; // prettier-ignore
  const pc = (m: number) => `${(m / MINUTES_PER_DAY) * 100}%`;
  const outside = setUp.hours < stage.hoursMin || setUp.hours > stage.hoursMax;

  /** Drags are told in whole pins from where they began. */
  const dragged = (what: 'on' | 'off' | 'both') => {
    let from: { x: number; on: number; lit: number; width: number } | null = null;
    return {
      onPointerDown: (e: React.PointerEvent<HTMLElement>) => {
        if (e.button !== 0 || !strip.current) return;
        e.currentTarget.setPointerCapture(e.pointerId);
        from = { x: e.clientX, on: on_min, lit: lit_min, width: strip.current.getBoundingClientRect().width };
        grip.current = from;
        beginGesture(sites, 'change the hours');
      },
      onPointerMove: (e: React.PointerEvent<HTMLElement>) => {
        const g = grip.current;
        if (!g || !e.currentTarget.hasPointerCapture(e.pointerId)) return;
        const pins = Math.round((((e.clientX - g.x) / g.width) * MINUTES_PER_DAY) / PIN_min) * PIN_min;
        if (what === 'both') change(g.on + pins, g.lit);
        else if (what === 'on') change(g.on + Math.max(g.lit - MINUTES_PER_DAY, Math.min(g.lit, pins)), clampLit(g.lit - pins));
        else change(g.on, clampLit(g.lit + pins));
      },
      onLostPointerCapture: () => {
        if (!grip.current) return;
        grip.current = null;
        endGesture(sites);
      },
    };
  };
  const grip = useRef<{ x: number; on: number; lit: number; width: number } | null>(null);

  const handle = (what: 'on' | 'off', at: number) => (
    <div
      role="slider"
      tabIndex={0}
      aria-label={what === 'on' ? 'Lamp on' : 'Lamp off'}
      aria-valuemin={0}
      aria-valuemax={MINUTES_PER_DAY}
      aria-valuenow={at}
      aria-valuetext={showClock(at)}
      className="absolute top-0 z-10 h-full w-7 -translate-x-1/2 cursor-ew-resize touch-none rounded max-md:w-10"
      style={{ left: pc(at === 0 && what === 'off' ? MINUTES_PER_DAY : at) }}
      {...dragged(what)}
      onKeyDown={(e) => {
        const step = { ArrowLeft: -PIN_min, ArrowDown: -PIN_min, ArrowRight: PIN_min, ArrowUp: PIN_min, PageDown: -60, PageUp: 60 }[e.key];
        if (step === undefined) return;
        e.preventDefault();
        if (what === 'on') change(on_min + Math.max(lit_min - MINUTES_PER_DAY, Math.min(lit_min, step)), clampLit(lit_min - step));
        else change(on_min, clampLit(lit_min + step));
      }}
    >
      <span className="mx-auto block h-full w-[3px] rounded bg-ink" aria-hidden />
    </div>
  );

  return (
    <section aria-labelledby="hours" className="space-y-2">
      <div className="flex items-baseline justify-between gap-3">
        <h2 id="hours" className="text-lg font-semibold" data-testid="hours">
          {showHours(lit_min)} a day
        </h2>
        <p className={outside ? 'text-copper' : 'text-soft'}>
          usual for it: {stage.hoursMin}–{stage.hoursMax} h
        </p>
      </div>
      <div ref={strip} className="relative h-11 rounded bg-sunk">
        {blocks.map(([from, long], i) => (
          <div
            key={i}
            className="absolute top-1 bottom-1 cursor-grab touch-none rounded-[3px] bg-[#e08a52]"
            style={{ left: pc(from!), width: pc(long!) }}
            {...dragged('both')}
            aria-hidden
          />
        ))}
        {handle('on', on_min)}
        {handle('off', off_min)}
      </div>
      <div className="flex justify-between font-narrow text-xs text-soft" aria-hidden>
        {[0, 6, 12, 18, 24].map((h) => (
          <span key={h}>{String(h).padStart(2, '0')}</span>
        ))}
      </div>
      <div className="flex gap-4">
        <ClockField label="lamp on" value={on_min} onChange={setOn} />
        <ClockField label="lamp off" value={off_min} onChange={setOff} />
        <p className="self-end pb-1.5 text-soft">dark for {showHours(MINUTES_PER_DAY - lit_min)}</p>
      </div>
      <DoseChart setUp={setUp} />
      <Schools setUp={setUp} />
    </section>
  );
}

const clampLit = (m: number) => Math.min(MINUTES_PER_DAY, Math.max(0, m));

function ClockField({ label, value, onChange }: { label: string; value: number; onChange(minutes: number): void }) {
  return (
    <TypedField
      label={label}
      shown={showClock(value)}
      read={readClock}
      onChange={onChange}
      hint="A time of day, such as 6:30."
      inputClassName="w-20"
    />
  );
}
