'use client';
import { fail, ok } from '@/core/units/result';
import { readNumber } from '@/core/units/readNumber';
import { decimalSign } from './decimalSign';
import { TypedField } from './TypedField';

interface MaybeNumberFieldProps {
  label: string;
  value: number | null;
  min: number;
  max: number;
  unit?: string;
  onChange(value: number | null): void;
  inputClassName?: string;
}

/** A number that need not be there: emptied, it is not known. */
export function MaybeNumberField({ value, min, max, ...rest }: MaybeNumberFieldProps) {
  return (
    <TypedField<number | null>
      {...rest}
      shown={value === null ? '' : String(Math.round(value * 1000) / 1000)}
      read={(text) => {
        if (!text.trim()) return ok(null);
        const number = readNumber(text, decimalSign());
        return number === null ? fail({ code: 'number/not-a-number', at: '', found: text }) : ok(number);
      }}
      refuse={(v) => (v !== null && (v < min || v > max) ? `Enter a number between ${min} and ${max}.` : null)}
      hint="A number, such as 42 or 1.5, or nothing."
    />
  );
}
