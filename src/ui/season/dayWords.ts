import { noonOf, type Day } from '@/core/units/day';
import { LOCALE } from '../parts/locale';

/** A way to write days; made when it is first used, since making one takes a while. */
function style(options: Intl.DateTimeFormatOptions): (day: Day) => string {
  let format: Intl.DateTimeFormat | undefined;
  return (day) => (format ??= new Intl.DateTimeFormat(LOCALE, { timeZone: 'UTC', ...options })).format(noonOf(day));
}
const SHORT = style({ weekday: 'short', day: 'numeric', month: 'short' });
const LONG = style({ weekday: 'long', day: 'numeric', month: 'long', year: 'numeric' });

/** `Sat 13 Feb`. */
export const dayWords = (day: Day): string => SHORT(day).replace(',', '');
/** `Saturday 13 February 2027`. */
export const longDayWords = (day: Day): string => LONG(day).replace(',', '');

const DATED = style({ day: 'numeric', month: 'short', year: 'numeric' });
/** `13 Feb 2027`, where it may be of another year. */
export const datedWords = (day: Day): string => DATED(day);

const BRIEF = style({ day: 'numeric', month: 'short' });
/** `13 Feb`, for the foot of a chart. */
export const briefDayWords = (day: Day): string => BRIEF(day);

/** How far off a day is, from today. */
export function awayWords(day: Day, today: Day): string {
  const n = day - today;
  if (n === 0) return 'today';
  if (n === 1) return 'tomorrow';
  if (n === -1) return 'yesterday';
  return n > 0 ? `in ${n} days` : `${-n} days ago`;
}

export const daysWords = (n: number): string => (n === 1 ? '1 day' : `${n} days`);

/** `Sat 13 Feb`, or `Sat 13 to Tue 16 Feb`. */
export const spanWords = (from: Day, to: Day): string => (from === to ? dayWords(from) : `${dayWords(from)} to ${dayWords(to)}`);
