import { fail, ok, type Result } from './result';
import { readNumber, type DecimalSign } from './readNumber';

export type TemperatureUnit = 'C' | 'F';

/** Reads a temperature as people type it: `21`, `21 °C`, `70F`. @returns degrees Celsius */
export function readTemperature(text: string, bare: TemperatureUnit, decimal: DecimalSign = '.'): Result<number> {
  const parts = /^(-?[\d.,]+)\s*(?:°|deg(?:rees)?)?\s*([cf])?$/.exec(text.trim().toLowerCase());
  const number = parts && readNumber(parts[1]!, decimal);
  if (!parts || number === null) return fail({ code: 'temperature/not-a-temperature', at: '', found: text });
  const unit = parts[2]?.toUpperCase() ?? bare;
  return ok(unit === 'F' ? ((number - 32) * 5) / 9 : number);
}

/** `21 °C` or `70 °F`, in whole degrees. */
export function showTemperature(celsius: number, unit: TemperatureUnit): string {
  return `${Math.round(unit === 'F' ? (celsius * 9) / 5 + 32 : celsius)} °${unit}`;
}
