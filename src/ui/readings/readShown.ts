import { decimalSign } from '../parts/decimalSign';
import { readLight, type LightReading, type LightUnit } from '@/core/units/light';

/** What a person is told when a number is no reading. */
export const NO_READING = 'What the meter shows, such as 850 lx, 1.2klx, 300 fc or 120 µmol.';

/** More than any meter shows. */
export const MOST_SHOWN = 1e7;
export const TOO_MUCH = 'The value is above the range of every known meter.';

/** Reads what a person typed off a meter, or says in words why it can't be. */
export function readShown(text: string, bare: LightUnit): { readonly shown: LightReading } | { readonly problem: string } {
  const read = readLight(text, bare, decimalSign());
  if (!read.ok) return { problem: NO_READING };
  if (read.value.value <= 0) return { problem: 'The value must be above 0. Is the lamp on and the sensor uncovered?' };
  if (read.value.value > MOST_SHOWN) return { problem: TOO_MUCH };
  return { shown: read.value };
}
