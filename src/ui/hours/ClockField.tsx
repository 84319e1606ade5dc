'use client';
import { readClock, showClock } from '@/core/units/clock';
import { TypedField } from '../parts/TypedField';

interface ClockFieldProps {
  label: string;
  value: number;
  onChange(minutes: number): void;
  /** Why a time cannot be; null when it can. */
  refuse?(minutes: number): string | null;
}

/** A time of day. */
export function ClockField({ label, value, onChange, refuse }: ClockFieldProps) {
  return (
    <TypedField
      label={label}
      shown={showClock(value)}
      read={readClock}
      {...(refuse ? { refuse } : {})}
      onChange={onChange}
      hint="A time of day, such as 6:30."
      inputClassName="w-20"
    />
  );
}
