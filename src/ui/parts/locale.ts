import { ownEnglish } from '@/core/units/ownEnglish';

/**
 * The language of the texts as the person's own place writes it: dates and numbers in them, whatever else the browser speaks. What is
 * rendered before there is a browser holds neither.
 */
export const LOCALE = typeof document === 'undefined' ? 'en-GB' : ownEnglish();

/** `50,000` */
export const wholeWords = (value: number): string => Math.round(value).toLocaleString(LOCALE);

/** `1,234.5` */
export const numberWords = (value: number): string => value.toLocaleString(LOCALE);
