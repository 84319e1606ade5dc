'use client';
import { showHourOfDay } from '@/core/units/clock';
import { blocksOf } from '@/core/units/LitTimes';
import { useEffect, useRef } from 'react';
import { ppfdFor } from '@/core/judge/dli/dli';
import type { Year, YearAtPlace } from '@/core/answer/daylight/yearOf';
import type { TopUp } from '@/core/plan/daylight/topUp';
import type { Stage } from '@/core/things/crop/Crop';
import type { Day } from '@/core/units/day';
import { coloursOf, colourOfLight } from '../drawing/lightColours';
import { shortMonth } from './daylightWords';
import { NIGHT } from '../theme/night';
import { useSettings } from '../shell/WorkspaceContext';

interface YearCarpetProps {
  year: Year;
  place: YearAtPlace;
  stage: Stage;
  topUps: readonly TopUp[];
  sky: 'mean' | 'clear';
  day: Day;
  minute: number;
}

/** A day of this length makes a dose of a strength: what colours the carpet. */
const HOURS = 12;

/** The year at one plant: every column a day, every row a part of it, in the plant's own bands; the lamp's hours as outlines. */
export function YearCarpet({ year, place, stage, topUps, sky, day, minute }: YearCarpetProps) {
  const { clock } = useSettings();
  const canvas = useRef<HTMLCanvasElement>(null);
  const { days, parts, from } = year;
  useEffect(() => {
    const context = canvas.current?.getContext('2d');
    if (!context) return;
    const values = sky === 'mean' ? place.course : place.clearCourse;
    const colours = coloursOf({ low: ppfdFor(stage.dliMin, HOURS), high: stage.ppfdMax });
    const image = context.createImageData(days, parts);
    const pixels = new Uint32Array(image.data.buffer);
    for (let d = 0; d < days; d++)
      for (let i = 0; i < parts; i++) {
        const v = values[d * parts + i]!;
        pixels[i * days + d] = v > 0 ? colourOfLight(colours, v) : 0xff161710;
      }
    context.putImageData(image, 0, 0);
  }, [year, place, stage, sky, days, parts]);
  const x = (d: Day) => ((d - from) / days) * 100;
  const y = (min: number) => (min / 1440) * 100;
  return (
    <div className="grid grid-cols-[2.2rem_1fr] gap-x-1 text-sm text-night-soft">
      <div className="relative" aria-hidden>
        {[6, 12, 18].map((h) => (
          <span key={h} className="absolute right-1 -translate-y-1/2" style={{ top: `${y(h * 60)}%` }}>
            {showHourOfDay(h, clock)}
          </span>
        ))}
      </div>
      <div className="relative h-44">
        <canvas
          ref={canvas}
          width={days}
          height={parts}
          className="size-full [image-rendering:pixelated]"
          role="img"
          aria-label="Daylight over the year, days across and hours down; the table of months says it in numbers"
        />
        <svg className="pointer-events-none absolute inset-0 size-full" viewBox="0 0 100 100" preserveAspectRatio="none" aria-hidden>
          {topUps.flatMap(({ from: a, to, ...times }) =>
            blocksOf(times)
              .flatMap((b) => pieces(b.on_min, b.lit_min))
              .map(([start, end]) => (
                <rect
                  key={`${a}-${start}`}
                  x={x(a)}
                  width={x(to + 1) - x(a)}
                  y={y(start)}
                  height={y(end) - y(start)}
                  fill="none"
                  stroke={NIGHT.sun}
                  strokeWidth={1.2}
                  vectorEffect="non-scaling-stroke"
                />
              )),
          )}
          <line
            x1={x(day + 0.5)}
            x2={x(day + 0.5)}
            y1={0}
            y2={100}
            stroke={NIGHT.ink}
            strokeWidth={1}
            vectorEffect="non-scaling-stroke"
            opacity={0.6}
          />
          <line
            x1={0}
            x2={100}
            y1={y(minute)}
            y2={y(minute)}
            stroke={NIGHT.ink}
            strokeWidth={1}
            vectorEffect="non-scaling-stroke"
            opacity={0.3}
          />
        </svg>
      </div>
      <span />
      <div className="flex justify-around pt-0.5" aria-hidden>
        {Array.from({ length: 12 }, (_, m) => (
          <span key={m}>{shortMonth(m)[0]}</span>
        ))}
      </div>
    </div>
  );
}

/** A lamp's hours as pieces of a day. */
const pieces = (on: number, lit: number): [number, number][] =>
  lit <= 0 ? [] : on + lit <= 1440 ? [[on, on + lit]] : [[on, 1440], [0, on + lit - 1440]]; // prettier-ignore
