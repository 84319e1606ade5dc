'use client';
import clsx from 'clsx';
import { useId } from 'react';

interface ShownFieldProps {
  label: string;
  /** Where a sign says what it is, the name is only spoken. */
  hideLabel?: boolean;
  value: string;
  onChange(value: string): void;
  placeholder?: string;
  /** The id of what says why it cannot be taken. */
  problemId?: string | null;
  className?: string;
}

/** What a meter shows, as it is copied from its display: a number, with its unit or without. */
export function ShownField({
  label,
  hideLabel,
  value,
  onChange,
  placeholder,
  problemId = null,
  className = 'min-h-9 w-28',
}: ShownFieldProps) {
  const id = useId();
  return (
    <div>
      <label htmlFor={id} className={hideLabel ? 'sr-only' : 'block text-sm text-soft'}>
        {label}
      </label>
      <input
        id={id}
        inputMode="decimal"
        autoComplete="off"
        className={clsx('rounded-md border border-line bg-sheet px-2 font-semibold text-ink max-md:min-h-11', className)}
        value={value}
        placeholder={placeholder}
        aria-invalid={problemId !== null}
        aria-describedby={problemId ?? undefined}
        onChange={(e) => onChange(e.target.value)}
      />
    </div>
  );
}
