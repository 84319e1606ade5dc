'use client';
import clsx from 'clsx';
import { isoOf, readDay, type Day } from '@/core/units/day';

interface DayFieldProps {
  label: string;
  value: Day | null;
  min?: Day;
  max?: Day;
  /** Null when it is emptied. */
  onChange(day: Day | null): void;
  className?: string;
}

/** A day, by the calendar of the browser. */
export function DayField({ label, value, min, max, onChange, className }: DayFieldProps) {
  return (
    <label className={clsx('block text-sm text-soft', className)}>
      {label}
      <input
        type="date"
        aria-label={label}
        className="mt-0.5 block min-h-9 rounded-md border border-line bg-sheet px-2 text-base font-semibold text-ink max-md:min-h-11"
        value={value === null ? '' : isoOf(value)}
        min={min === undefined ? undefined : isoOf(min)}
        max={max === undefined ? undefined : isoOf(max)}
        onChange={(e) => {
          if (!e.target.value) return onChange(null);
          const day = readDay(e.target.value);
          // While a year is being typed there is no such day yet.
          if (day.ok && (min === undefined || day.value >= min) && (max === undefined || day.value <= max)) onChange(day.value);
        }}
      />
    </label>
  );
}
