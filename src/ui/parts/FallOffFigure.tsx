'use client';
import type { ChartOptions } from 'chart.js';
import { useMemo } from 'react';
import { ScatterChart } from './LateChart';
import type { Metres, Ppfd } from '@/core/units/quantities';
import { useSettings } from '../shell/WorkspaceContext';
import { useColours } from '../theme/useColours';
import { chartAxis } from './chartAxis';
import { LineKey } from './LineKey';

interface At {
  readonly distance: Metres;
  readonly ppfd: Ppfd;
}

interface FallOffFigureProps {
  /** As computed, the nearest first. */
  curve: readonly At[];
  /** Where the inverse square is anchored. */
  anchor: At;
  readings: readonly (At & { readonly hollow?: boolean })[];
  /** What each of the three is called. */
  words: { readonly curve: string; readonly square: string; readonly readings: string };
  /** The whole in words, for those who can't see it. */
  label: string;
  axis: string;
  className?: string;
}

/** Strength below a lamp by distance: as computed, by the inverse square, and as read. */
export function FallOffFigure({ curve, anchor, readings, words, label, axis, className = 'h-52' }: FallOffFigureProps) {
  const { theme, lengthUnit } = useSettings();
  const colours = useColours(theme);
  const perUnit = lengthUnit === 'in' ? 1 / 0.0254 : 100;
  const data = useMemo(() => {
    const line = { showLine: true, pointRadius: 0, borderWidth: 2 };
    const square = (d: Metres) => anchor.ppfd * (anchor.distance / d) ** 2;
    return {
      datasets: [
        { ...line, data: curve.map((p) => ({ x: p.distance * perUnit, y: p.ppfd })), borderColor: colours.ink },
        {
          ...line,
          data: curve.map((p) => ({ x: p.distance * perUnit, y: square(p.distance) })),
          borderColor: colours.copper,
          borderDash: [6, 4],
        },
        {
          data: readings.map((r) => ({ x: r.distance * perUnit, y: r.ppfd })),
          pointRadius: 5,
          backgroundColor: readings.map((r) => (r.hollow ? 'transparent' : colours.verdigris)),
          borderColor: colours.verdigris,
        },
      ],
    };
  }, [curve, anchor, readings, colours, perUnit]);
  const options = useMemo<ChartOptions<'scatter'>>(() => {
    const y = chartAxis('µmol/m²/s', colours);
    return {
      animation: false,
      maintainAspectRatio: false,
      events: [],
      scales: {
        x: { type: 'linear', min: 0, ...chartAxis(`${axis}, ${lengthUnit}`, colours) },
        y: {
          type: 'logarithmic',
          ...y,
          ticks: { ...y.ticks, maxTicksLimit: 6, callback: (v) => (/^[125]/.test(String(v)) ? String(v) : '') },
        },
      },
    };
  }, [colours, lengthUnit, axis]);
  return (
    <figure>
      <div className={className}>
        <ScatterChart data={data} options={options} role="img" aria-label={label} />
      </div>
      <figcaption className="flex flex-wrap gap-x-4 text-sm text-soft">
        <LineKey colour={colours.ink} word={words.curve} />
        <LineKey colour={colours.copper} dash="6 4" word={words.square} />
        <DotKey colour={colours.verdigris} word={words.readings} />
      </figcaption>
    </figure>
  );
}

/** What a dot of a chart stands for. */
export function DotKey({ colour, word }: { colour: string; word: string }) {
  return (
    <span className="inline-flex items-center gap-1.5">
      <span className="size-2.5 rounded-full" style={{ background: colour }} aria-hidden /> {word}
    </span>
  );
}
