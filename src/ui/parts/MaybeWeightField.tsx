'use client';
import { ok } from '@/core/units/result';
import { readWeight, showWeight, weightNumber, weightUnit } from '@/core/units/weight';
import { useSettings } from '../shell/WorkspaceContext';
import { decimalSign } from './decimalSign';
import { TypedField } from './TypedField';

interface MaybeWeightFieldProps {
  label: string;
  /** kg; null: not known. */
  value: number | null;
  min: number;
  max: number;
  onChange(weight_kg: number | null): void;
  inputClassName?: string;
}

/** A weight that need not be there: emptied, it is not known. */
export function MaybeWeightField({ value, min, max, ...rest }: MaybeWeightFieldProps) {
  const { lengthUnit } = useSettings();
  const show = (kg: number) => showWeight(kg, lengthUnit);
  return (
    <TypedField<number | null>
      {...rest}
      unit={weightUnit(lengthUnit)}
      shown={value === null ? '' : weightNumber(value, lengthUnit)}
      read={(text) => (text.trim() ? readWeight(text, lengthUnit, decimalSign()) : ok(null))}
      refuse={(v) => (v !== null && (v < min || v > max) ? `Enter a weight between ${show(min)} and ${show(max)}.` : null)}
      hint="A weight, such as 25 kg or 50 lb, or nothing."
    />
  );
}
