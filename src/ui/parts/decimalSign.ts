import type { DecimalSign } from '@/core/units/readNumber';

/** What parts the whole of a number from its rest where the person is, as their browser knows it. */
export const decimalSign = (language = globalThis.navigator?.language): DecimalSign =>
  new Intl.NumberFormat(language).formatToParts(1.5).find((p) => p.type === 'decimal')?.value === ',' ? ',' : '.';
