'use client';
import { ok } from '@/core/units/result';
import { TypedField } from './TypedField';

interface TextFieldProps {
  label: string;
  value: string;
  /** Longest, letters. */
  most: number;
  onChange(value: string): void;
  className?: string;
  hideLabel?: boolean;
}

/** A line of text, taken by Enter or on leaving. */
export function TextField({ value, most, className = 'w-48', ...rest }: TextFieldProps) {
  return (
    <TypedField
      {...rest}
      inputClassName={className}
      shown={value}
      read={(text) => ok(text.trim())}
      refuse={(text) => (text.length > most ? `Enter at most ${most} letters.` : null)}
      hint="A few words."
    />
  );
}
