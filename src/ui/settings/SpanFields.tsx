'use client';
import type { Span } from '@/core/units/Span';
import { ClockField } from '../hours/ClockField';

/** Two times of day between which something holds. */
export function SpanFields({ labels, span, onChange }: { labels: readonly [string, string]; span: Span; onChange(span: Span): void }) {
  const field = (label: string, key: 'from_min' | 'to_min', example_min: number) => (
    <ClockField label={label} value={span[key]} example_min={example_min} onChange={(minutes) => onChange({ ...span, [key]: minutes })} />
  );
  return (
    <>
      {field(labels[0], 'from_min', 22 * 60)}
      {field(labels[1], 'to_min', 6 * 60)}
    </>
  );
}
