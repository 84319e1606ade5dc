'use client';
import { fail, ok } from '@/core/units/result';
import { readNumber } from '@/core/units/readNumber';
import { decimalSign } from './decimalSign';
import { TypedField } from './TypedField';

interface NumberFieldProps {
  label: string;
  value: number | null;
  min: number;
  max: number;
  whole?: boolean;
  unit?: string;
  onChange(value: number): void;
  inputClassName?: string;
  className?: string;
  hideLabel?: boolean;
}

export function NumberField({ value, min, max, whole = false, ...rest }: NumberFieldProps) {
  return (
    <TypedField
      {...rest}
      shown={value === null ? '' : String(Math.round(value * 1000) / 1000)}
      read={(text) => {
        const number = readNumber(text, decimalSign());
        return number === null ? fail({ code: 'number/not-a-number', at: '', found: text }) : ok(number);
      }}
      refuse={(v) =>
        v < min || v > max ? `Enter a number between ${min} and ${max}.` : whole && !Number.isInteger(v) ? 'Enter a whole number.' : null
      }
      hint="A number, such as 42 or 1.5."
    />
  );
}
