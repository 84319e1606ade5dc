import type { LengthUnit } from './length';
import type { Kilograms } from './quantities';
import { plainFractions, readNumber, type DecimalSign } from './readNumber';
import { fail, ok, type Result } from './result';

/** Exact; international avoirdupois pound, 1959. */
const POUND: Kilograms = 0.45359237;

const IN_KILOGRAMS: Readonly<Record<string, Kilograms>> = {
  g: 0.001,
  gram: 0.001,
  kg: 1,
  kilo: 1,
  kilogram: 1,
  oz: POUND / 16,
  ounce: POUND / 16,
  lb: POUND,
  pound: POUND,
};

/**
 * Reads a weight as people type it: `25`, `800 g`, `1,4 kg`, `350 lbs`, `1/2 lb`.
 *
 * @param bare     of a number without a unit: kilograms beside centimetres, pounds beside inches
 * @param decimal  of the person's own place, as in `readNumber`
 * @returns kilograms, of any sign; the caller knows its own range
 */
export const readWeight = (text: string, bare: LengthUnit, decimal: DecimalSign = '.'): Result<Kilograms> =>
  readIn(text, weightUnit(bare), decimal);

function readIn(text: string, bare: string, decimal: DecimalSign): Result<Kilograms> {
  const match = /^(.*?\d)\s*([a-z]*)\.?$/i.exec(plainFractions(text).trim());
  const number = match && readNumber(match[1]!, decimal);
  const unit = match?.[2]?.toLowerCase() ?? '';
  const each = unit === '' ? IN_KILOGRAMS[bare] : (IN_KILOGRAMS[unit] ?? IN_KILOGRAMS[unit.replace(/s$/, '')]);
  return number === null || number === undefined || each === undefined
    ? fail({ code: 'weight/not-a-weight', at: '', found: text })
    : ok(number * each);
}

/** The unit of weights that goes with one's lengths. */
export const weightUnit = (unit: LengthUnit): 'kg' | 'lb' => (unit === 'in' ? 'lb' : 'kg');

/** A weight in the unit that goes with one's lengths, as a number. */
export const weightIn = (weight: Kilograms, unit: LengthUnit): number => (unit === 'in' ? weight / POUND : weight);

/** A weight in words, to three digits, as fine as any scale in a household: `4.5 kg`, or `9.92 lb` beside inches. */
export function showWeight(weight: Kilograms, unit: LengthUnit): string {
  const value = weightIn(weight, unit);
  return `${value < 100 ? Number(value.toPrecision(3)) : Math.round(value)} ${weightUnit(unit)}`;
}

/** The number alone, as for a field that shows its unit beside it: kilograms to the gram, pounds to a tenth, few of them to a hundredth. */
export function weightNumber(weight: Kilograms, unit: LengthUnit): string {
  const value = weightIn(weight, unit);
  const finest = unit === 'cm' ? 1000 : value < 10 ? 100 : 10;
  return String(Math.round(value * finest) / finest);
}

const OUNCE_g = (1000 * POUND) / 16;

/** The unit of a kitchen scale that goes with one's lengths. */
export const scaleUnit = (unit: LengthUnit): 'g' | 'oz' => (unit === 'in' ? 'oz' : 'g');

/** What a kitchen scale says, as `readWeight` has it, but grams or ounces where no unit is typed. @returns grams, of any sign */
export function readGrams(text: string, bare: LengthUnit, decimal: DecimalSign = '.'): Result<number> {
  const read = readIn(text, scaleUnit(bare), decimal);
  return read.ok ? ok(1000 * read.value) : read;
}

/** Grams as a number in the unit of one's kitchen scale: to a tenth, few of them to a hundredth. */
export function gramsNumber(grams: number, unit: LengthUnit): string {
  const value = unit === 'in' ? grams / OUNCE_g : grams;
  const finest = value < 10 ? 100 : 10;
  return String(Math.round(value * finest) / finest);
}

/** Grams in words: `85 g`, or `3 oz` beside inches. */
export const showGrams = (grams: number, unit: LengthUnit): string => `${gramsNumber(grams, unit)} ${scaleUnit(unit)}`;

/** Of so much what it cost is told: about a handful of leaves. @returns grams */
export const handfulOf = (unit: LengthUnit): number => (unit === 'in' ? 4 * OUNCE_g : 100); // our choice
