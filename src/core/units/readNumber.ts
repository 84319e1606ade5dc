/**
 * Reads a number as people type it: `1200`, `1.2k`, `0,5`, `1 1/2`, `3/4`, `½`. A single comma before one or two digits is a
 * decimal comma; commas before each three digits separate thousands.
 *
 * @returns null when it is not a number
 */
export function readNumber(text: string): number | null {
  const clean = plainFractions(text).trim().toLowerCase();
  const fraction = /^(-?)(?:(\d+)\s+)?(\d+)\/(\d+)$/.exec(clean);
  if (fraction) {
    const denominator = Number(fraction[4]);
    if (denominator === 0) return null;
    return (fraction[1] ? -1 : 1) * (Number(fraction[2] ?? 0) + Number(fraction[3]) / denominator);
  }
  const plain = /^(-?[\d.,\s]*\d|-?\d+\.)(k)?$/.exec(clean);
  if (!plain) return null;
  let digits = plain[1]!.replace(/\s/g, '');
  if (/^-?\d{1,3}(,\d{3})+(\.\d+)?$/.test(digits)) digits = digits.replace(/,/g, '');
  else digits = digits.replace(',', '.');
  if (!/^-?(\d+\.?\d*|\.\d+)$/.test(digits)) return null;
  return Number(digits) * (plain[2] ? 1000 : 1);
}

/** `5½` as `5 1/2`: fractions as a tape shows them, written out. */
export function plainFractions(text: string): string {
  return text.replace(/[¼½¾]/g, (f) => ({ '¼': ' 1/4', '½': ' 1/2', '¾': ' 3/4' })[f]!);
}
