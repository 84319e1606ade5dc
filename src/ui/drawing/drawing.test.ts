import fc from 'fast-check';
import { evenly } from '../../../test/evenly';
import { dliBeside, dliSpanWords } from './lightWords';
import { coarser, contoursOf, roundSteps } from './contours';
import { coloursOf, colourOfLight } from './lightColours';
import { drawingFrame } from './drawingFrame';

const room = fc.record({ width: evenly(320, 1400), height: evenly(420, 1000) });
const tier = fc.record({ width: evenly(0.2, 2), depth: evenly(0.15, 1) });

test('both drawings fit the stage, in one scale and one line', () => {
  fc.assert(
    fc.property(room, tier, evenly(0.36, 1.2), (r, t, top) => {
      const frame = drawingFrame(r, t, top, 136);
      expect(frame.front.left + frame.front.width).toBeLessThanOrEqual(r.width + 1e-6 + (frame.scale === 40 ? 2000 : 0));
      expect(frame.above.left).toBeWithin(frame.x(0), { absolute: 1e-6 });
      expect(frame.above.width).toBeWithin(t.width * frame.scale, { relative: 1e-9 });
      expect(frame.above.top).toBeGreaterThan(frame.front.top + frame.front.height);
      expect(frame.metresOfZ(frame.z(0.3))).toBeWithin(0.3, { relative: 1e-9 });
      expect(frame.z(0.1)).toBeGreaterThan(frame.z(0.2));
      expect(frame.y(0)).toBeGreaterThan(frame.y(t.depth)); // the front edge is drawn below
    }),
  );
});

test('steps between two numbers are round, rise, and are a handful', () => {
  fc.assert(
    fc.property(evenly(0, 50), evenly(0.5, 900), (low, span) => {
      const steps = roundSteps(low, low + span);
      expect(steps.length).toBeLessThanOrEqual(6);
      steps.forEach((v, i) => {
        expect(v).toBeGreaterThanOrEqual(low - 1e-9);
        expect(v).toBeLessThan(low + span);
        if (i > 0) expect(v).toBeGreaterThan(steps[i - 1]!);
      });
    }),
  );
  expect(roundSteps(0, 100)).toEqual([0, 20, 40, 60, 80]);
  expect(roundSteps(5, 5)).toEqual([]);
});

test('a line of equal light about a round hill is a ring of the right size, in metres', () => {
  const [columns, rows] = [80, 60];
  const at = (i: number, j: number) => Math.hypot((i + 0.5) / 100 - 0.4, (j + 0.5) / 100 - 0.3);
  const ppfd = Float32Array.from({ length: columns * rows }, (_, k) => 100 - 200 * at(k % columns, Math.floor(k / columns)));
  const map = { area: { x0: 0, x1: 0.8, y0: 0, y1: 0.6 }, z: 0, columns, rows, ppfd };
  const [line] = contoursOf(map, [60]); // 100 − 200 r = 60 at r = 0.2
  expect(line!.rings).toHaveLength(1);
  for (const [x, y] of line!.rings[0]!) expect(Math.hypot(x - 0.4, y - 0.3)).toBeWithin(0.2, { absolute: 0.003 });
  expect(line!.label![0]).toBeWithin(0.6, { absolute: 0.003 });
  // While a hand moves: the same ring, drawn from a quarter of the cells; an odd row more moves nothing.
  const odd = { ...map, area: { ...map.area, y1: 0.61 }, rows: 61, ppfd: Float32Array.from([...ppfd, ...ppfd.slice(-columns)]) };
  for (const half of [coarser(map), coarser(odd)]) {
    expect([half.columns, half.rows, half.area.y1]).toEqual([40, 30, expect.closeTo(0.6, 9)]);
    for (const [x, y] of contoursOf(half, [60])[0]!.rings[0]!) expect(Math.hypot(x - 0.4, y - 0.3)).toBeWithin(0.2, { absolute: 0.003 });
  }
});

test('where light stops at the rim of the map there is no line along the rim', () => {
  const map = { area: { x0: 0, x1: 1, y0: 0, y1: 1 }, z: 0, columns: 10, rows: 10, ppfd: new Float32Array(100).fill(50) };
  expect(contoursOf(map, [20])[0]!.rings).toEqual([]);
});

test('colours change where the band does, and within each band lighter means more', () => {
  const [red, green, blue] = [0, 8, 16].map((shift) => (c: number) => (c >>> shift) & 255) as [
    (c: number) => number,
    (c: number) => number,
    (c: number) => number,
  ];
  const lightness = (c: number) => 0.3 * red(c) + 0.6 * green(c) + 0.1 * blue(c);
  const table = coloursOf({ low: 140, high: 280 });
  const at = (ppfd: number) => colourOfLight(table, ppfd);
  // slate: more blue than red; verdigris: green leads; copper: red leads
  expect(blue(at(137)) > red(at(137))).toBe(true);
  expect(green(at(143)) > red(at(143)) && green(at(143)) > blue(at(143))).toBe(true);
  expect(green(at(274)) > red(at(274))).toBe(true);
  expect(red(at(286)) > green(at(286))).toBe(true);
  for (const [from, to] of [
    [1, 138],
    [142, 276],
    [284, 1500],
  ] as const)
    for (let v = from; v < to; v *= 1.05) expect(lightness(at(v * 1.05 < to ? v * 1.05 : to))).toBeGreaterThanOrEqual(lightness(at(v)) - 1);
  expect([at(0), at(-1), at(1e9)].every(Number.isInteger)).toBe(true);
});

test('a span of DLI beside its range: each end as fine as it takes to see that it is outside', () => {
  const words = (weakest: number, strongest: number) => dliSpanWords({ weakest, strongest }, 2.5, 5.7);
  expect([words(3.1, 4.26), words(2.48, 5.7), words(2.5, 5.72), words(1.2, 8)]).toEqual(['3.1–4.3', '2.48–5.7', '2.5–5.72', '1.2–8.0']);
});

test('a DLI that is just short of a range does not look like its end', () => {
  expect([dliBeside(2.46, 2.5), dliBeside(2.496, 2.5), dliBeside(2.4, 2.5), dliBeside(2.5, 2.5), dliBeside(2.49999, 2.5)]).toEqual([
    '2.46',
    '2.496',
    '2.4',
    '2.5',
    '2.5',
  ]);
});
