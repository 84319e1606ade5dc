import { lampLibrary } from '../../things/lamp/lampLibrary';
import type { Fitting } from './Site';
import { alongSide, trayPointsOf } from './trayPoints';

const bar = lampLibrary.find((l) => l.id === 'led-shop-12-twin-42')!;
const at = (x: number, y: number, turn: number) => ({ fitting: { x, y, turn } as Fitting, lamp: bar });
const area = { x0: 0.1, x1: 0.5, y0: 0, y1: 0.25 };
const rounded = (places: readonly (readonly [number, number])[]) => places.map(([x, y]) => [x.toFixed(3), y.toFixed(3)].join());

test('under a lamp it is looked at its middle and half way to its ends, turned as it hangs, and never beyond the tray', () => {
  const feet = (lamp: ReturnType<typeof at>) => rounded(trayPointsOf(area, [lamp]).places.slice(-3));
  const quarter = bar.length / 4;
  expect(quarter).toBeGreaterThan(0.25);
  const wide = { x0: -1, x1: 1, y0: -1, y1: 1 };
  expect(rounded(trayPointsOf(wide, [at(0.1, 0.2, 0)]).places.slice(-3))).toEqual(
    rounded([-1, 0, 1].map((u) => [0.1 + u * quarter, 0.2] as const)),
  );
  expect(rounded(trayPointsOf(wide, [at(0.1, 0.2, Math.PI / 2)]).places.slice(-3))).toEqual(
    rounded([-1, 0, 1].map((u) => [0.1, 0.2 + u * quarter] as const)),
  );
  // Its ends lie beyond this tray: there the rim is looked at.
  const [left, middle, right] = feet(at(0.3, 0.1, 0));
  expect(middle).toBe('0.300,0.100');
  expect([left, right].map((p) => Number(p!.split(',')[0]))).toEqual([expect.closeTo(0.1, 1), expect.closeTo(0.5, 1)]);
  for (const [x, y] of trayPointsOf(area, [at(2, -1, 0.7)]).places) {
    expect(x).toBeGreaterThan(area.x0);
    expect(x).toBeLessThan(area.x1);
    expect(y).toBeGreaterThan(area.y0);
    expect(y).toBeLessThan(area.y1);
  }
});

test('the grid has the mean of the area: weights add up to one, and light that rises evenly has the mean of its middle', () => {
  const { places, weights } = trayPointsOf(area, [at(0.3, 0.1, 0)]);
  expect(places).toHaveLength(weights.length);
  const mean = (of: (x: number, y: number) => number) => places.reduce((sum, [x, y], i) => sum + weights[i]! * of(x, y), 0);
  expect(mean(() => 1)).toBeWithin(1, { relative: 1e-12 });
  expect(mean((x) => x)).toBeWithin(0.3, { relative: 1e-9 });
  expect(mean((_, y) => y)).toBeWithin(0.125, { relative: 1e-9 });
  // What is under the lamps counts for the strongest spot alone.
  expect([...weights.slice(-3)]).toEqual([0, 0, 0]);
});

test('places along a side are even and inside its ends, however short it is', () => {
  const long = alongSide(0, 1, 5);
  expect(new Set(long.slice(1).map((v, i) => (v - long[i]!).toFixed(9))).size).toBe(1);
  expect(long[0]! + long[4]!).toBeWithin(1, { relative: 1e-12 });
  expect(long[0]).toBeGreaterThan(0);
  expect(alongSide(0, 0.004, 3)).toEqual([0.001, 0.002, 0.003].map((v) => expect.closeTo(v, 12) as number));
});
