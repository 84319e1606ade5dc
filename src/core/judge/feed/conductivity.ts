import { readNumber, type DecimalSign } from '../../units/readNumber';

/** The most that is taken for a feed or what runs off, mS/cm; our convention: feeds lie below 5, sea water is about 50. */
export const MOST_CONDUCTIVITY = 20;

/**
 * What was typed as a conductivity, in whatever unit a meter shows; nothing is guessed.
 *
 * @param decimal  of the person's own place, as in `readNumber`
 * @returns mS/cm, ≥ 0; null where unit or scale is missing and has to be asked for
 * Source: 1 mS/cm = 1 dS/m = 1000 µS/cm, exact; ppm by the three scales that meters use, 500, 640 and 700 mg/l for each mS/cm.
 */
export function readConductivity(text: string, decimal: DecimalSign = '.'): number | null {
  const match = /^([\d.,'’\s]+)(\D.*)$/.exec(text.trim());
  const value = match && readNumber(match[1]!, decimal);
  if (value === null) return null;
  const unit = match![2]!.toLowerCase().replace(/\s+/g, '').replace(/[µμ]/, 'u');
  if (['ms/cm', 'ds/m', 'mscm-1', 'dsm-1', 'mmho/cm', 'mmhos/cm'].includes(unit)) return value;
  if (['us/cm', 'uscm-1', 'umho/cm', 'umhos/cm'].includes(unit)) return value / 1000;
  const scale = /^(?:ppm|mg\/l)\D*(500|640|700)\D*$/.exec(unit)?.[1];
  return scale ? value / Number(scale) : null;
}
