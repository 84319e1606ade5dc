import fc from 'fast-check';
import { evenSpread, SPREAD_PARTS, scaled, shareBetween, spreadOf } from './LightSpread';
import { lightDayOf } from './LightDay';
import { nineOfMap, spreadOfMap, spreadWith } from './spreadOfMap';

const strengths = fc.array(fc.double({ min: 0, max: 1000, noNaN: true }), { minLength: 1, maxLength: 60 });

test('a spread has the ends and the mean of what it sums up, and its parts are the values at equal shares of the area', () => {
  fc.assert(
    fc.property(strengths, (values) => {
      const spread = spreadOf(values);
      const sorted = [...values].sort((a, b) => a - b);
      expect([spread.weakest, spread.strongest]).toEqual([sorted[0], sorted.at(-1)]);
      expect(spread.mean).toBeWithin(values.reduce((a, b) => a + b, 0) / values.length, { absolute: 1e-6 });
      spread.parts.forEach((part, p) => {
        const rank = sorted.filter((v) => v < part).length / sorted.length;
        const upTo = sorted.filter((v) => v <= part).length / sorted.length;
        const middle = (p + 0.5) / SPREAD_PARTS;
        expect(rank).toBeLessThanOrEqual(middle + 1e-9);
        expect(upTo).toBeGreaterThanOrEqual(middle - 1e-9);
      });
      expect(() => spreadOf([])).toThrow(RangeError);
    }),
  );
});

test('weights count like so many equal values', () => {
  const even = spreadOf([1, 1, 1, 2, 5, 5]);
  expect(spreadOf([5, 1, 2], [2 / 6, 3 / 6, 1 / 6])).toEqual({ ...even, mean: expect.closeTo(even.mean, 9) as number });
});

test('twice the light is a spread of twice the strengths', () => {
  fc.assert(
    fc.property(strengths, (values) => {
      const [twice, direct] = [scaled(spreadOf(values), 2), spreadOf(values.map((v) => 2 * v))];
      expect(twice).toEqual({ ...direct, mean: expect.closeTo(direct.mean, 6) as number });
    }),
  );
});

test('the share between two strengths is that of a tray whose light rises evenly, and adds up', () => {
  // From 100 to 200 evenly: a share follows by rule of three.
  const rising = spreadOf(Array.from({ length: 800 }, (_, i) => 100 + (i + 0.5) / 8));
  for (const [low, high, share] of [
    [100, 200, 1],
    [150, 200, 0.5],
    [100, 125, 0.25],
    [120, 180, 0.6],
    [0, 99, 0],
    [201, 300, 0],
    [180, 120, 0],
    [150, 150, 0],
  ] as const)
    // prettier-ignore
    expect(shareBetween(rising, low, high)).toBeWithin(share, { absolute: 0.003 });
  expect(shareBetween(evenSpread(50), 50, 60)).toBe(1);
  expect(shareBetween(evenSpread(50), 40, 50)).toBe(1);
  expect(shareBetween(evenSpread(50), 50.1, 60)).toBe(0);
  fc.assert(
    fc.property(strengths, fc.double({ min: 0, max: 1000, noNaN: true }), fc.double({ min: 0, max: 1000, noNaN: true }), (values, a, b) => {
      const [low, high] = [Math.min(a, b), Math.max(a, b)];
      const share = shareBetween(spreadOf(values), low, high);
      expect(share).toBeGreaterThanOrEqual(0);
      expect(share).toBeLessThanOrEqual(1 + 1e-12);
      expect(shareBetween(spreadOf(values), low, high + 10)).toBeGreaterThanOrEqual(share - 1e-12);
      expect(shareBetween(spreadOf(values), 0, 1000)).toBe(1);
    }),
  );
});

test('the nine spots are known of one rectangle alone, column after column', () => {
  const area = { x0: 0, x1: 3, y0: 0, y1: 3 };
  const map = { area, z: 0, columns: 3, rows: 3, ppfd: Float32Array.from([1, 2, 3, 4, 5, 6, 7, 8, 9]) };
  expect(nineOfMap(map, [area]).nine).toEqual([1, 4, 7, 2, 5, 8, 3, 6, 9]);
  expect(nineOfMap(map, [area, area])).toEqual({});
  expect(nineOfMap(map, [])).toEqual({});
});

test('a map is summed up once for each of its trays, and a tray that was moved off it is lit evenly', () => {
  const area = { x0: 0, x1: 1, y0: 0, y1: 1 };
  const map = { area, z: 0, columns: 10, rows: 10, ppfd: Float32Array.from({ length: 100 }, (_, i) => i) };
  const left = { ...area, x1: 0.5 };
  expect(spreadOfMap(map, [area])).toBe(spreadOfMap(map, [{ ...area }]));
  expect([spreadOfMap(map, [area]).mean, spreadOfMap(map, [left]).mean]).toEqual([expect.closeTo(49.5, 6), expect.closeTo(47, 6)]);
  // The same cells in another map are another map.
  expect(spreadOfMap({ ...map, ppfd: map.ppfd.map((v) => 2 * v) }, [area]).mean).toBeWithin(99, { absolute: 1e-6 });
  const away = { x0: 3, x1: 4, y0: 3, y1: 4 };
  expect(() => spreadOfMap(map, [away])).toThrow(RangeError);
  const spots = { weakest: 5, mean: 7, strongest: 9 };
  expect(spreadWith(spots, map, [away])).toEqual({ ...evenSpread(7), ...spots });
  expect(spreadWith(spots, map, [area])).toMatchObject({ ...spots, parts: spreadOfMap(map, [area]).parts });
});

test('the same times under the same daylight are one day, any other is another', () => {
  const at = { on_min: 360, lit_min: 840, pause: null };
  const sun = { dli: 3, from_min: 400, to_min: 1000 };
  expect(lightDayOf(at, null)).toBe(lightDayOf({ ...at }, null));
  expect(lightDayOf(at, sun)).toBe(lightDayOf({ ...at }, sun));
  const pause = { from_min: 600, to_min: 660 };
  const days = [
    lightDayOf(at, null),
    lightDayOf(at, sun),
    lightDayOf(at, { ...sun }),
    lightDayOf({ ...at, pause }, null),
    lightDayOf({ ...at, pause: { ...pause, to_min: 661 } }, null),
    lightDayOf({ ...at, on_min: 361, lit_min: 839 }, null),
    lightDayOf({ ...at, on_min: 360.5 }, null),
    lightDayOf({ ...at, lit_min: 840.5 }, null),
  ];
  expect(new Set(days).size).toBe(days.length);
  expect(days.map((d) => [d.on_min, d.lit_min, d.pause, d.daylight])).toEqual([
    [360, 840, null, null],
    [360, 840, null, sun],
    [360, 840, null, sun],
    [360, 840, pause, null],
    [360, 840, { ...pause, to_min: 661 }, null],
    [361, 839, null, null],
    [360.5, 840, null, null],
    [360, 840.5, null, null],
  ]);
});
