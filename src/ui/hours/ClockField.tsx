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
  /** A time that is told when another can't be read. */
  example_min?: number;
}

/** A time of day. */
export function ClockField({ label, value, onChange, refuse, example_min = 390 }: ClockFieldProps) {
  const { clock } = useSettings();
  return (
    <TypedField
      label={label}
      shown={showClock(value, clock)}
      read={(text) => readClock(text, clock)}
      {...(refuse ? { refuse } : {})}
      onChange={onChange}
      hint={`A time${clock === '12' ? ' with am or pm' : ''}, such as ${showClock(example_min, clock)}.`}
      inputClassName={clock === '12' ? 'w-24' : 'w-20'}
    />
  );
}
