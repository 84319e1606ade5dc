import { fail, ok, type Result } from './result';

/** A day of the calendar without a time or a place: whole days since 1 January 1970. */
export type Day = number;

const MS_PER_DAY = 86_400_000; // exact, of days without a clock change: these here have none

/** Reads `2027-03-28`. Days that do not exist, such as 30 February, are refused; years 1900 … 2199. */
export function readDay(text: string): Result<Day> {
  const parts = /^(\d{4})-(\d{2})-(\d{2})$/.exec(text.trim());
  const day = parts ? dayFrom(Number(parts[1]), Number(parts[2]), Number(parts[3])) : NaN;
  const year = Number(parts?.[1]);
  if (!parts || isoOf(day) !== text.trim() || year < 1900 || year > 2199) return fail({ code: 'day/not-a-day', at: '', found: text });
  return ok(day);
}

/** A day of a text that has been checked. @throws RangeError for one that has not */
export function dayOf(text: string): Day {
  const day = readDay(text);
  if (!day.ok) throw new RangeError(`not a day: ${text}`);
  return day.value;
}

/** @param month  1 … 12 */
export const dayFrom = (year: number, month: number, day: number): Day => Math.floor(Date.UTC(year, month - 1, day) / MS_PER_DAY);

/** `2027-03-28`. */
export const isoOf = (day: Day): string => (Number.isFinite(day) ? new Date(day * MS_PER_DAY).toISOString().slice(0, 10) : '');

/** Of the week: 0 is Sunday. */
export const weekdayOf = (day: Day): number => new Date(day * MS_PER_DAY).getUTCDay();

/** Which day it is where the person is. @param now_ms  since 1970, as clocks count */
export function dayAt(now_ms: number, timeZone?: string): Day {
  const parts = new Intl.DateTimeFormat('en-CA', { timeZone, year: 'numeric', month: '2-digit', day: '2-digit' }).format(now_ms);
  const [y, m, d] = parts.split('-').map(Number);
  return dayFrom(y!, m!, d!);
}

/** A day as a `Date` at noon UTC, for writers of dates that are told to write UTC. */
export const noonOf = (day: Day): Date => new Date(day * MS_PER_DAY + MS_PER_DAY / 2);

/** The year of the calendar that a day is of. */
export const yearOfDay = (day: Day): number => noonOf(day).getUTCFullYear();
