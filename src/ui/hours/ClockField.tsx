'use client';
import { readClock, showClock } from '@/core/units/clock';
import { TypedField } from '../parts/TypedField';
import { useSettings } from '../shell/WorkspaceContext';

interface ClockFieldProps {
  label: string;
  value: number;
  onChange(minutes: number): void;
  /** Why a time cannot be; null when it can. */
  refuse?(minutes: number): string | null;
}

/** A time of day. */
export function ClockField({ label, value, onChange, refuse }: ClockFieldProps) {
  const { clock } = useSettings();
  return (
    <TypedField
      label={label}
      shown={showClock(value, clock)}
      read={readClock}
      {...(refuse ? { refuse } : {})}
      onChange={onChange}
      hint={`A time of day, such as ${showClock(390, clock)}.`}
      inputClassName={clock === '24' ? 'w-20' : 'w-24'}
    />
  );
}
