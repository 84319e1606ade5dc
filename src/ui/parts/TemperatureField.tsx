'use client';
import { readTemperature, showTemperature, type TemperatureUnit } from '@/core/units/temperature';
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

/** Why a temperature cannot be taken; null when it can. What is as warm as the limit in whole degrees of either unit is. */
export const temperatureProblem = (celsius: number, min: number, max: number, unit: TemperatureUnit): string | null =>
  celsius >= min - 0.3 && celsius <= max + 0.3
    ? null
    : `Enter a temperature between ${showTemperature(min, unit)} and ${showTemperature(max, unit)}.`;

/** A temperature in the person's own unit; the other world's is understood as well. */
export function TemperatureField({ value, min, max, ...rest }: TemperatureFieldProps) {
  const { temperatureUnit } = useSettings();
  return (
    <TypedField
      {...rest}
      shown={value === null ? '' : showTemperature(value, temperatureUnit)}
      unit={value === null ? `°${temperatureUnit}` : undefined}
      read={(text) => readTemperature(text, temperatureUnit, decimalSign())}
      refuse={(v) => temperatureProblem(v, min, max, temperatureUnit)}
      hint="A temperature, such as 21 °C or 70 F."
    />
  );
}
