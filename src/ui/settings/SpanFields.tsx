'use client';
import { readClock, showClock } from '@/core/units/clock';
import type { Span } from '@/core/units/Span';
import { TypedField } from '../parts/TypedField';
import { useSettings } from '../shell/WorkspaceContext';

/** Two times of day between which something holds. */
export function SpanFields({ labels, span, onChange }: { labels: readonly [string, string]; span: Span; onChange(span: Span): void }) {
  const { clock } = useSettings();
  const field = (label: string, key: 'from_min' | 'to_min', example_min: number) => (
    <TypedField
      label={label}
      shown={showClock(span[key], clock)}
      read={readClock}
      hint={`A time, such as ${showClock(example_min, clock)}.`}
      inputClassName={clock === '24' ? 'w-20' : 'w-24'}
      onChange={(minutes) => onChange({ ...span, [key]: minutes })}
    />
  );
  return (
    <>
      {field(labels[0], 'from_min', 22 * 60)}
      {field(labels[1], 'to_min', 6 * 60)}
    </>
  );
}
