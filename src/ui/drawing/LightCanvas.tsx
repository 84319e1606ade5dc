'use client';
import { useLayoutEffect, useRef } from 'react';
import type { LightBand } from '@/core/judge/dli/lightBand';
import { paintLight } from './lightColours';

interface LightCanvasProps {
  grid: { readonly columns: number; readonly rows: number; readonly ppfd: Float32Array };
  band: LightBand;
  rowZero: 'foot' | 'head';
  box: { left: number; top: number; width: number; height: number };
  testId: string;
  /** Of the grid's width, as shares; absent: all of it. */
  from?: number;
  to?: number;
}

/** The light itself, painted behind a drawing. */
export function LightCanvas({ grid, band, rowZero, box, testId, from = 0, to = 1 }: LightCanvasProps) {
  const ref = useRef<HTMLCanvasElement>(null);
  const width = Math.max(2, Math.round(box.width));
  const height = Math.max(2, Math.round(box.height));
  const { low, high } = band;
  useLayoutEffect(() => {
    if (ref.current) paintLight(ref.current, grid, { low, high }, rowZero, { from, to });
  }, [grid, low, high, rowZero, width, height, from, to]);
  return <canvas ref={ref} width={width} height={height} className="absolute print:hidden" style={box} aria-hidden data-testid={testId} />;
}
