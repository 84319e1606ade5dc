import type { Metres } from './quantities';
import { fail, ok, type Result } from './result';
import { plainFractions, readNumber, type DecimalSign } from './readNumber';

export type LengthUnit = 'cm' | 'in';

const IN_METRES: Readonly<Record<string, number>> = {
  mm: 0.001,
  cm: 0.01,
  m: 1,
  in: 0.0254, // exact; international inch, 1959
  inch: 0.0254,
  inches: 0.0254,
  '"': 0.0254,
  ft: 0.3048, // exact
  foot: 0.3048,
  feet: 0.3048,
  "'": 0.3048,
};

/** Quotes as phones and word processors set them, and a full stop at the end, as a tape and a reader have them. */
const plainMarks = (text: string) =>
  text
    .replace(/[’‘′´]/g, "'")
    .replace(/[”“″]|''/g, '"')
    .replace(/(\p{L})\.$/u, '$1');

/**
 * Reads a length as people type it: `30`, `30 cm.`, `12in`, `1 ft 6 in`, `1 ft 3`, `5’11”`, `1/2 in`, `1 1/2"`, `12,5 cm`.
 *
 * @param bare     the unit of a number without one; after feet it is inches
 * @param decimal  of the person's own place, as in `readNumber`
 * @returns metres, of any sign; the caller knows its own range
 */
export function readLength(text: string, bare: LengthUnit, decimal: DecimalSign = '.'): Result<Metres> {
  const clean = plainMarks(plainFractions(text).trim().toLowerCase());
  if (!clean) return fail({ code: 'length/empty', at: '' });
  let rest = clean;
  let sum = 0;
  let parts = 0;
  let last = '';
  while (rest) {
    const part = /^(-?\d+\s+\d+\/\d+|-?\d+\/\d+|-?[\d.,]+)\s*(mm|cm|m(?![a-z])|inches|inch|in|feet|foot|ft|"|')?\s*/.exec(rest);
    if (!part) return fail({ code: 'length/not-a-length', at: '', found: text });
    const number = readNumber(part[1]!, decimal);
    const inches = parts > 0 && /^(feet|foot|ft|')$/.test(last) && !part[2];
    if (number === null || (parts > 0 && !part[2] && !inches)) return fail({ code: 'length/not-a-length', at: '', found: text });
    sum += number * IN_METRES[inches ? 'in' : (part[2] ?? bare)]!;
    rest = rest.slice(part[0].length);
    last = part[2] ?? '';
    parts++;
  }
  return ok(sum);
}

/** A length in words for a person: `14 cm`, `14.5 cm`, `5½ in`; inches in quarters, as on a tape. */
export function showLength(length: Metres, unit: LengthUnit): string {
  return `${showLengthNumber(length, unit)} ${unit}`;
}

/** The number alone, as for a field that shows its unit beside it. */
export function showLengthNumber(length: Metres, unit: LengthUnit): string {
  if (unit === 'cm') return String(Math.round(length * 1000) / 10);
  const quarters = Math.round((length / 0.0254) * 4);
  const whole = Math.trunc(quarters / 4);
  const rest = ['', '¼', '½', '¾'][Math.abs(quarters % 4)]!;
  return whole === 0 && rest ? `${quarters < 0 ? '-' : ''}${rest}` : `${whole}${rest}`;
}
