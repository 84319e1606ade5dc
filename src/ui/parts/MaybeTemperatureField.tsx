'use client';
import { ok } from '@/core/units/result';
import { readTemperature, showTemperature } from '@/core/units/temperature';
import { useSettings } from '../shell/WorkspaceContext';
import { decimalSign } from './decimalSign';
import { temperatureProblem } from './TemperatureField';
import { TypedField } from './TypedField';

interface MaybeTemperatureFieldProps {
  label: string;
  /** °C; null: not looked at. */
  value: number | null;
  min: number;
  max: number;
  onChange(celsius: number | null): void;
}

/** A temperature that need not be there: emptied, it was not looked at. */
export function MaybeTemperatureField({ value, min, max, ...rest }: MaybeTemperatureFieldProps) {
  const { temperatureUnit } = useSettings();
  return (
    <TypedField<number | null>
      {...rest}
      shown={value === null ? '' : showTemperature(value, temperatureUnit)}
      unit={value === null ? `°${temperatureUnit}` : undefined}
      read={(text) => (text.trim() ? readTemperature(text, temperatureUnit, decimalSign()) : ok(null))}
      refuse={(v) => (v === null ? null : temperatureProblem(v, min, max, temperatureUnit))}
      hint="A temperature, such as 21 °C or 70 F, or nothing."
    />
  );
}
