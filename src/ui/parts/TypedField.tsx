'use client';
import clsx from 'clsx';
import { useId, useState } from 'react';
import type { Result } from '@/core/units/result';

interface TypedFieldProps<T> {
  label: string;
  /** The value as words; shown whenever the person is not typing. */
  shown: string;
  read(text: string): Result<T>;
  /** Why a value that reads well still can't be used; null when it can. */
  refuse?(value: T): string | null;
  onChange(value: T): void;
  /** Said when the text can't be read, with an example. */
  hint: string;
  unit?: string;
  className?: string;
  inputClassName?: string;
  hideLabel?: boolean;
}

/**
 * A field for a typed quantity. What a person typed stays in the field, with the reason beside it, until it can be used;
 * Enter or leaving the field takes it, Escape gives it up.
 */
export function TypedField<T>({
  label,
  shown,
  read,
  refuse,
  onChange,
  hint,
  unit,
  className,
  inputClassName,
  hideLabel,
}: TypedFieldProps<T>) {
  const id = useId();
  const [draft, setDraft] = useState<string | null>(null);
  const [problem, setProblem] = useState<string | null>(null);

  function take() {
    if (draft === null) return;
    const result = read(draft);
    const reason = !result.ok ? hint : (refuse?.(result.value) ?? null);
    setProblem(reason);
    if (reason !== null || !result.ok) return;
    setDraft(null);
    if (draft.trim() !== shown) onChange(result.value);
  }

  return (
    <div className={className}>
      <label htmlFor={id} className={clsx('block text-sm text-soft', hideLabel && 'sr-only')}>
        {label}
      </label>
      <span className="inline-flex items-baseline gap-1">
        <input
          id={id}
          className={clsx(
            'min-h-9 rounded-md border border-line bg-sheet px-2 font-semibold text-ink max-md:min-h-11',
            problem && 'border-copper',
            inputClassName ?? 'w-24',
          )}
          value={draft ?? shown}
          autoComplete="off"
          aria-invalid={problem !== null}
          aria-describedby={problem ? `${id}-problem` : undefined}
          onFocus={(e) => e.currentTarget.select()}
          onChange={(e) => {
            setDraft(e.target.value);
            setProblem(null);
          }}
          onBlur={take}
          onKeyDown={(e) => {
            if (e.key === 'Enter') {
              e.preventDefault();
              take();
            } else if (e.key === 'Escape' && draft !== null) {
              e.stopPropagation();
              setDraft(null);
              setProblem(null);
            }
          }}
        />
        {unit && <span className="text-soft">{unit}</span>}
      </span>
      {problem && (
        <p id={`${id}-problem`} role="alert" className="max-w-64 text-sm text-copper">
          {problem}
        </p>
      )}
    </div>
  );
}
