'use client';
import type { Metres } from '@/core/units/quantities';
import { readLength, showLength } from '@/core/units/length';
import { useSettings } from '../shell/WorkspaceContext';
import { decimalSign } from './decimalSign';
import { TypedField } from './TypedField';

interface LengthFieldProps {
  label: string;
  value: Metres | null;
  min: Metres;
  max: Metres;
  onChange(value: Metres): void;
  placeholder?: string;
  className?: string;
  inputClassName?: string;
  hideLabel?: boolean;
}

/** A length in the person's own unit; the other world's is understood as well. */
export function LengthField({ value, min, max, ...rest }: LengthFieldProps) {
  const { lengthUnit } = useSettings();
  return (
    <TypedField
      {...rest}
      shown={value === null ? '' : showLength(value, lengthUnit)}
      unit={value === null ? lengthUnit : undefined}
      read={(text) => readLength(text, lengthUnit, decimalSign())}
      refuse={(v) =>
        v >= min - 1e-9 && v <= max + 1e-9
          ? null
          : `Enter a length between ${showLength(min, lengthUnit)} and ${showLength(max, lengthUnit)}.`
      }
      hint="A length, such as 30 cm or 12in."
    />
  );
}
