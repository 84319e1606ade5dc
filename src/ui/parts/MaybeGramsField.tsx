'use client';
import { ok } from '@/core/units/result';
import { gramsNumber, readGrams, scaleUnit, showGrams } from '@/core/units/weight';
import { useSettings } from '../shell/WorkspaceContext';
import { decimalSign } from './decimalSign';
import { TypedField } from './TypedField';

interface MaybeGramsFieldProps {
  label: string;
  /** null: not weighed. */
  value: number | null;
  onChange(grams: number | null): void;
  inputClassName?: string;
}

const MOST_g = 1_000_000;

/** What a kitchen scale says, in the person's own unit; emptied, nothing was weighed. */
export function MaybeGramsField({ value, ...rest }: MaybeGramsFieldProps) {
  const { lengthUnit } = useSettings();
  return (
    <TypedField<number | null>
      {...rest}
      unit={scaleUnit(lengthUnit)}
      shown={value === null ? '' : gramsNumber(value, lengthUnit)}
      read={(text) => (text.trim() ? readGrams(text, lengthUnit, decimalSign()) : ok(null))}
      refuse={(v) => (v !== null && (v < 0 || v > MOST_g) ? `Enter a weight between 0 and ${showGrams(MOST_g, lengthUnit)}.` : null)}
      hint="A weight, such as 85 g or 3 oz, or nothing."
    />
  );
}
