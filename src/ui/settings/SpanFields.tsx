'use client';
import { readClock, showClock } from '@/core/units/clock';
import type { Span } from '@/core/units/Span';
import { TypedField } from '../parts/TypedField';

/** Two times of day between which something holds. */
export function SpanFields({ labels, span, onChange }: { labels: readonly [string, string]; span: Span; onChange(span: Span): void }) {
  const field = (label: string, key: 'from_min' | 'to_min', hint: string) => (
    <TypedField
      label={label}
      shown={showClock(span[key])}
      read={readClock}
      hint={hint}
      inputClassName="w-20"
      onChange={(minutes) => onChange({ ...span, [key]: minutes })}
    />
  );
  return (
    <>
      {field(labels[0], 'from_min', 'A time, such as 22:00.')}
      {field(labels[1], 'to_min', 'A time, such as 06:00.')}
    </>
  );
}
