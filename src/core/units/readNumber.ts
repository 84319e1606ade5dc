/** The decimal sign of the person's own place: a single comma before three digits is read by it. */
export type DecimalSign = '.' | ',';

/** What people type beside an amount of money. */
const CURRENCY = /\p{Sc}|\b(?:eur|usd|gbp|chf|sek|nok|dkk|pln|czk|jpy|aud|cad|nzd|inr|kr|zł)\b\.?/giu;

/**
 * Reads a number as people type it: `1200`, `1.2k`, `0,285`, `1.234,5`, `1 200`, `1 1/2`, `3/4`, `½`, `€ 0,30`, `850.`.
 *
 * Of a comma and a dot in one number the last is the decimal sign. A dot alone is one; a comma alone is one too, unless it stands
 * before three digits where the decimal sign is a dot: `1,200`. Groups of a number have three digits: `1 2 3` is none.
 *
 * @param decimal  of the person's own place
 * @returns null when it is not a number
 */
export function readNumber(text: string, decimal: DecimalSign = '.'): number | null {
  const clean = plainFractions(text.replace(/[\u00a0\u202f\u2009]/g, ' ').replace(CURRENCY, ' '))
    .trim()
    .toLowerCase();
  const fraction = /^(-?)(?:(\d+)\s+)?(\d+)\/(\d+)$/.exec(clean);
  if (fraction) {
    const denominator = Number(fraction[4]);
    if (denominator === 0) return null;
    return (fraction[1] ? -1 : 1) * (Number(fraction[2] ?? 0) + Number(fraction[3]) / denominator);
  }
  const plain = /^([-−]?)([\d.,'’ ]+?)\.?\s*(k)?$/.exec(clean);
  if (!plain) return null;
  const digits = plainDigits(plain[2]!.trim(), decimal);
  if (digits === null) return null;
  const value = (plain[1] ? -1 : 1) * Number(digits) * (plain[3] ? 1000 : 1);
  return Number.isFinite(value) ? value : null;
}

/** Digits with a dot for the decimal sign and nothing between groups; null when the groups are none. */
function plainDigits(text: string, decimal: DecimalSign): string | null {
  const sign = decimalSignOf(text, decimal);
  const at = sign === null ? -1 : text.lastIndexOf(sign);
  const whole = at < 0 ? text : text.slice(0, at);
  const part = at < 0 ? '' : text.slice(at + 1);
  if (!/^\d*$/.test(part)) return null;
  // Groups of three after the first, all parted by the same sign.
  if (!/^\d*$/.test(whole) && !/^\d{1,3}([.,'’ ])\d{3}(?:\1\d{3})*$/.test(whole)) return null;
  const plain = `${whole.replace(/\D/g, '')}${part ? `.${part}` : ''}`;
  return /^(\d+(\.\d+)?|\.\d+)$/.test(plain) ? plain : null;
}

/** Which sign of a number parts its whole from its rest; null: none does. */
function decimalSignOf(text: string, decimal: DecimalSign): DecimalSign | null {
  const dots = text.split('.').length - 1;
  const commas = text.split(',').length - 1;
  if (dots > 0 && commas > 0) return text.lastIndexOf(',') > text.lastIndexOf('.') ? ',' : '.';
  if (dots === 1) return '.';
  if (commas !== 1) return null;
  // `1,200` is a thousand and more where a dot is the decimal sign; `0,285`, `12,5` and `1234,567` are not.
  return decimal === '.' && /^[1-9]\d{0,2},\d{3}$/.test(text) ? null : ',';
}

/** `5½` as `5 1/2`: fractions as a tape shows them, written out. */
export function plainFractions(text: string): string {
  return text.replace(/[¼½¾]/g, (f) => ({ '¼': ' 1/4', '½': ' 1/2', '¾': ' 3/4' })[f]!);
}
