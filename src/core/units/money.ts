import { ownEnglish } from './ownEnglish';

/** Making one takes longer than all that it ever writes. */
const formats = new Map<string, Intl.NumberFormat>();

/**
 * An amount of money in the language of the texts; small amounts keep two more digits, so that a lamp's day is not "0".
 *
 * @param currency  three letters of ISO 4217
 * @param locale    language tag; left out: English as the browser's own place writes it
 */
export function showMoney(amount: number, currency: string, locale = ownEnglish()): string {
  const digits = Math.abs(amount) > 0 && Math.abs(amount) < 0.1 ? 3 : 2;
  const key = `${locale} ${currency} ${digits}`;
  let format = formats.get(key);
  if (!format) {
    format = new Intl.NumberFormat(locale, { style: 'currency', currency, minimumFractionDigits: digits, maximumFractionDigits: digits });
    formats.set(key, format);
  }
  return format.format(amount);
}

/** Whether a text is the code of a currency that can be shown. */
export function isCurrency(text: string): boolean {
  return /^[A-Z]{3}$/.test(text);
}
