import type { LengthUnit } from './length';
import type { Litres } from './quantities';
import { plainFractions, readNumber, type DecimalSign } from './readNumber';
import { fail, ok, type Result } from './result';

/** Litres in each; US customary where nothing else is said. Source: NIST Handbook 44 (2023), appendix C; UK gallon: Units of Measurement Regulations 1995. */
const IN_LITRES: Readonly<Record<string, Litres>> = {
  ml: 0.001,
  millilitre: 0.001,
  milliliter: 0.001,
  cl: 0.01,
  dl: 0.1,
  l: 1,
  litre: 1,
  liter: 1,
  tsp: 0.00492892159375,
  teaspoon: 0.00492892159375,
  tbsp: 0.01478676478125,
  tablespoon: 0.01478676478125,
  'fl oz': 0.0295735295625,
  cup: 0.2365882365,
  pt: 0.473176473,
  pint: 0.473176473,
  qt: 0.946352946,
  quart: 0.946352946,
  gal: 3.785411784,
  gallon: 3.785411784,
  'us gal': 3.785411784,
  'us gallon': 3.785411784,
  'uk gal': 4.54609,
  'uk gallon': 4.54609,
  'imp gal': 4.54609,
};

export const TEASPOON: Litres = IN_LITRES.tsp!;
/** Of the United States. */
export const GALLON: Litres = IN_LITRES.gal!;

/** Litres in a unit as people write it, in the plural or with a full stop too; null: no unit of volume. */
export function litresIn(unit: string): Litres | null {
  const plain = unit.trim().toLowerCase().replace(/\./g, '').replace(/\s+/g, ' ');
  return IN_LITRES[plain] ?? IN_LITRES[plain.replace(/s$/, '')] ?? null;
}

/**
 * Reads a volume as people type it: `4`, `500 ml`, `1.5 gal`, `1/2 gallon`.
 *
 * @param bare     of a number without a unit: litres beside centimetres, US gallons beside inches
 * @param decimal  of the person's own place, as in `readNumber`
 * @returns litres, of any sign; the caller knows its own range
 */
export function readVolume(text: string, bare: LengthUnit, decimal: DecimalSign = '.'): Result<Litres> {
  const match = /^(.*?\d)\s*([a-z. ]*)$/i.exec(plainFractions(text).trim());
  const number = match && readNumber(match[1]!, decimal);
  const unit = match?.[2] ? litresIn(match[2]) : bare === 'in' ? GALLON : 1;
  return number === null || number === undefined || unit === null
    ? fail({ code: 'volume/not-a-volume', at: '', found: text })
    : ok(number * unit);
}

/** The unit of volumes that goes with one's lengths. */
export const volumeUnit = (unit: LengthUnit): 'L' | 'US gal' => (unit === 'in' ? 'US gal' : 'L');

/** A volume in the unit that goes with one's lengths, as a number. */
export const volumeIn = (litres: Litres, unit: LengthUnit): number => (unit === 'in' ? litres / GALLON : litres);

/** A volume in words: `4 L`, `0.25 L`, or `1.5 US gal` beside inches. */
export const showVolume = (litres: Litres, unit: LengthUnit): string => `${short(volumeIn(litres, unit))} ${volumeUnit(unit)}`;

/** What a cell or a small pot holds: `40 ml`, or `1.4 fl oz` beside inches. */
export const showSmallVolume = (litres: Litres, unit: LengthUnit): string =>
  unit === 'in' ? `${(litres / IN_LITRES['fl oz']!).toFixed(1)} fl oz` : `${Math.round(litres * 1000)} ml`;

const short = (v: number): string => String(Number(v.toPrecision(3)));
