/**
 * An amount of money as the person's own place writes it; small amounts keep two more digits, so that a lamp's day is not "0".
 *
 * @param currency  three letters of ISO 4217
 * @param locale    language tag; the browser's own when left out
 */
export function showMoney(amount: number, currency: string, locale?: string): string {
  const digits = Math.abs(amount) > 0 && Math.abs(amount) < 0.1 ? 3 : 2;
  return new Intl.NumberFormat(locale, {
    style: 'currency',
    currency,
    minimumFractionDigits: digits,
    maximumFractionDigits: digits,
  }).format(amount);
}

/** Whether a text is the code of a currency that can be shown. */
export function isCurrency(text: string): boolean {
  return /^[A-Z]{3}$/.test(text);
}
