import { fail, ok, type Result } from './result';
import { readNumber, type DecimalSign } from './readNumber';

/** Units in which light is typed and shown by meters. */
export const LIGHT_UNITS = ['lx', 'fc', 'umol'] as const;
export type LightUnit = (typeof LIGHT_UNITS)[number];

/** Lux for each foot-candle. */
export const LUX_PER_FOOT_CANDLE = 10.763910416709722; // exact: 1/0.3048²; lm/ft² in lm/m²

/** A number of light with the unit in which it was read. */
export interface LightReading {
  readonly value: number;
  readonly unit: LightUnit;
}

/**
 * Reads a light reading as people type it: `850`, `850 lx`, `1.2klx`, `300 fc`, `120 µmol`, `120 ppfd`.
 *
 * @param bare     the unit of a number without one
 * @param decimal  of the person's own place, as in `readNumber`
 * @returns ≥ 0
 */
export function readLight(text: string, bare: LightUnit, decimal: DecimalSign = '.'): Result<LightReading> {
  const clean = text.trim().toLowerCase();
  if (!clean) return fail({ code: 'light/empty', at: '' });
  const parts = /^(-?[\d.,\s]*\d\.?)\s*(k)?\s*(lx|lux|fc|ftc|foot-?\s?candles?|[µμu]mol.*|ppfd|par)?$/.exec(clean);
  const number = parts && readNumber(parts[1]!, decimal);
  if (!parts || number === null) return fail({ code: 'light/not-a-reading', at: '', found: text });
  if (number < 0) return fail({ code: 'light/negative', at: '', found: text });
  const word = parts[3] ?? '';
  const unit: LightUnit = word.startsWith('l') ? 'lx' : word.startsWith('f') ? 'fc' : word ? 'umol' : bare;
  return ok({ value: number * (parts[2] ? 1000 : 1), unit });
}

/**
 * PPFD from a reading, by the lux that the lamp's spectrum gives for each µmol m⁻² s⁻¹.
 *
 * @param luxPerUmol  > 0; needs the lamp's own spectrum: 8 … 80 for real lamps
 * Source: definition of the foot-candle; Thimijan & Heins 1983 for the kind of factor.
 */
export function ppfdOfReading({ value, unit }: LightReading, luxPerUmol: number): number {
  if (!(luxPerUmol > 0)) throw new RangeError(`luxPerUmol must be > 0, got ${luxPerUmol}`);
  if (unit === 'umol') return value;
  return (unit === 'fc' ? value * LUX_PER_FOOT_CANDLE : value) / luxPerUmol;
}

/** The other way round: what a meter in that unit would show. */
export function readingOfPpfd(ppfd: number, unit: LightUnit, luxPerUmol: number): number {
  if (!(luxPerUmol > 0)) throw new RangeError(`luxPerUmol must be > 0, got ${luxPerUmol}`);
  if (unit === 'umol') return ppfd;
  return unit === 'fc' ? (ppfd * luxPerUmol) / LUX_PER_FOOT_CANDLE : ppfd * luxPerUmol;
}
