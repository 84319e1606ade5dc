import type { YearAtPlace } from '../../answer/daylight/yearOf';
import { dayFrom, isoOf } from '../../units/day';
import { halvesOf, meanDay } from './yearHalves';

const PARTS = 24;
const place = { latitude: (50 * Math.PI) / 180, longitude: 0, elevation: 0 };
const noShift = () => 0;

/** A year at a place of which only the first days count: mean, clear and overcast dose of each, and light at noon as strong as the day's number says. */
function yearAt(days: readonly (readonly [mean: number, clear: number, overcast: number, noon: number, clearNoon: number])[]): YearAtPlace {
  const course = new Float32Array(days.length * PARTS);
  const clearCourse = new Float32Array(days.length * PARTS);
  days.forEach(([, , , noon, clearNoon], d) => {
    course[d * PARTS + 12] = noon;
    clearCourse[d * PARTS + 12] = clearNoon;
  });
  return {
    mean: Float32Array.from(days, (d) => d[0]),
    clear: Float32Array.from(days, (d) => d[1]),
    overcast: Float32Array.from(days, (d) => d[2]),
    course,
    clearCourse,
    months: [],
  };
}
const from = dayFrom(2027, 1, 1);
const year = { from, days: 365, parts: PARTS, places: [] };

test('a year has twenty-four halves without a gap, leap day and all', () => {
  for (const y of [2027, 2028]) {
    const first = dayFrom(y, 1, 1);
    const days = dayFrom(y + 1, 1, 1) - first;
    const halves = halvesOf({ from: first, days });
    expect(halves).toHaveLength(24);
    expect([halves[0]!.from, halves[23]!.to]).toEqual([first, first + days - 1]);
    for (const [i, half] of halves.entries()) {
      expect(half.to - half.from).toBeGreaterThanOrEqual(12);
      expect(half.to - half.from).toBeLessThanOrEqual(15);
      if (i > 0) expect(half.from).toBe(halves[i - 1]!.to + 1);
    }
    expect(halves.map((h) => isoOf(h.from).slice(8))).toEqual(Array.from({ length: 24 }, (_, i) => (i % 2 ? '16' : '01')));
  }
});

test('the mean day is the mean over its days, its course too; the ends are those of clear and grey days', () => {
  const at = yearAt([[4, 6, 2, 100, 300], [2, 3, 1, 60, 120], [8, 10, 6, 200, 500], [2, 1, 3, 40, 80]]); // prettier-ignore
  const day = meanDay(year, at, { from, to: from + 3 }, place, noShift)!;
  expect(day.dli).toBeCloseTo(4, 6);
  expect(day.course!.mean[12]).toBeCloseTo(100, 4);
  expect(day.course!.clear[12]).toBeCloseTo(250, 4);
  expect(day.course!.peak).toBeCloseTo(250, 4);
  expect(day.course!.mean[11]).toBe(0);
  // The lower of both skies is 2, 1, 6 and 1, the higher 6, 3, 10 and 3, of a mean of 4.
  expect(day.course!.off.low).toBeCloseTo(1 - 2.5 / 4, 6);
  expect(day.course!.off.high).toBeCloseTo(5.5 / 4 - 1, 6);
  // From sunrise to sunset of its middle: about eight hours in a northern January, around noon.
  expect(day.to_min - day.from_min).toBeGreaterThan(7 * 60);
  expect(day.to_min - day.from_min).toBeLessThan(9 * 60);
  expect((day.to_min + day.from_min) / 2).toBeWithin(720, { absolute: 15 });
});

test('clocks an hour ahead see the sun an hour later', () => {
  const a = yearAt([[4, 6, 2, 100, 300]]); // prettier-ignore
  const [plain, ahead] = [noShift, () => 60].map((shift) => meanDay(year, a, { from, to: from }, place, shift)!);
  expect(ahead!.from_min - plain!.from_min).toBeCloseTo(60, 6);
});

test('no day without sun or without light', () => {
  const dark = yearAt([[0, 0, 0, 0, 0]]); // prettier-ignore
  const lit = yearAt([[4, 6, 2, 100, 300]]); // prettier-ignore
  const half = { from, to: from };
  expect(meanDay(year, dark, half, place, noShift)).toBeNull();
  // Far north of the polar circle the sun does not rise in January.
  expect(meanDay(year, lit, half, { ...place, latitude: (80 * Math.PI) / 180 }, noShift)).toBeNull();
  expect(meanDay(year, lit, half, place, noShift)).not.toBeNull();
});
