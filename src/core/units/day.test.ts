import fc from 'fast-check';
import { dayAt, dayFrom, isoOf, noonOf, readDay, weekdayOf } from './day';

test('days are read as they are written, and those that do not exist are refused', () => {
  expect(readDay('1970-01-01')).toEqual({ ok: true, value: 0 });
  expect(readDay(' 2028-02-29 ')).toMatchObject({ ok: true });
  for (const text of ['2027-02-29', '2027-13-01', '2027-00-10', '27-1-1', '2027/01/01', '', '2027-02-30', '1899-12-31', '9999-99-99'])
    expect(readDay(text)).toMatchObject({ ok: false, problems: [{ code: 'day/not-a-day' }] });
});

test('written and read again a day is the same', () => {
  fc.assert(fc.property(fc.integer({ min: -25_567, max: 84_003 }), (day) => expect(readDay(isoOf(day))).toEqual({ ok: true, value: day })));
});

test('days of the week, by dates that are known', () => {
  expect(weekdayOf(dayFrom(1969, 7, 20))).toBe(0); // a Sunday
  expect(weekdayOf(dayFrom(2000, 1, 1))).toBe(6); // a Saturday
});

test('which day it is depends on where one is, also in the night of a clock change', () => {
  const late = Date.UTC(2027, 2, 28, 23, 30); // half past midnight in Lisbon, whose clocks went forward that morning
  expect(isoOf(dayAt(late, 'Europe/Lisbon'))).toBe('2027-03-29');
  expect(isoOf(dayAt(late, 'UTC'))).toBe('2027-03-28');
  expect(isoOf(dayAt(late, 'America/Vancouver'))).toBe('2027-03-28');
  expect(noonOf(dayFrom(2027, 3, 28)).toISOString()).toBe('2027-03-28T12:00:00.000Z');
});
