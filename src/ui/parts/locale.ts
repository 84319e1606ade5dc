/** The language of the texts: dates and numbers in them are written its way, whatever the browser speaks. */
export const LOCALE = 'en-GB';

/** `50,000` */
export const wholeWords = (value: number): string => Math.round(value).toLocaleString(LOCALE);

/** `1,234.5` */
export const numberWords = (value: number): string => value.toLocaleString(LOCALE);
