import { dayFrom, isoOf, type Day } from '@/core/units/day';
import { noonOf } from '@/core/units/day';
import { LOCALE } from '../parts/locale';

/** Days along the width of a picture. */
export interface TimeAxis {
  readonly from: Day;
  readonly until: Day;
  readonly width: number;
  /** Pixels of a day. */
  readonly perDay: number;
  x(day: Day): number;
}

/** Narrower than this a day can't be pointed at, px. */
const LEAST_PER_DAY = 4.2;

export function timeAxis(from: Day, until: Day, room: number): TimeAxis {
  const days = Math.max(14, until - from);
  const perDay = Math.max(LEAST_PER_DAY, room / days);
  return { from, until: from + days, width: perDay * days, perDay, x: (day) => (day - from) * perDay };
}

const MONTH = new Intl.DateTimeFormat(LOCALE, { timeZone: 'UTC', month: 'short' });

/** The first days of the months on an axis, with their names; the year with each January. */
export function monthsOf({ from, until }: Pick<TimeAxis, 'from' | 'until'>): { readonly day: Day; readonly name: string }[] {
  const [year, month] = isoOf(from).split('-').map(Number) as [number, number];
  return Array.from({ length: 40 }, (_, i) => dayFrom(year, month + i, 1))
    .filter((day) => day >= from && day < until)
    .map((day) => ({ day, name: MONTH.format(noonOf(day)) + (isoOf(day).slice(5, 7) === '01' ? ` ${isoOf(day).slice(0, 4)}` : '') }));
}
