'use client';
import { readClock, showClock } from '@/core/units/clock';
import { TypedField } from '../parts/TypedField';

/** A time of day. */
export function ClockField({ label, value, onChange }: { label: string; value: number; onChange(minutes: number): void }) {
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
