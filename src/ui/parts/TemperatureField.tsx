'use client';
import { readTemperature, showTemperature } from '@/core/units/temperature';
import { useSettings } from '../shell/WorkspaceContext';
import { decimalSign } from './decimalSign';
import { TypedField } from './TypedField';

interface TemperatureFieldProps {
  label: string;
  /** °C; null: not said. */
  value: number | null;
  min: number;
  max: number;
  onChange(celsius: number): void;
  inputClassName?: string;
}

/** A temperature in the person's own unit; the other world's is understood as well. */
export function TemperatureField({ value, min, max, ...rest }: TemperatureFieldProps) {
  const { temperatureUnit } = useSettings();
  return (
    <TypedField
      {...rest}
      shown={value === null ? '' : showTemperature(value, temperatureUnit)}
      read={(text) => readTemperature(text, temperatureUnit, decimalSign())}
      refuse={(v) =>
        v >= min - 0.3 && v <= max + 0.3
          ? null
          : `Enter a temperature between ${showTemperature(min, temperatureUnit)} and ${showTemperature(max, temperatureUnit)}.`
      }
      hint="A temperature, such as 21 °C or 70 F."
    />
  );
}
