import fc from 'fast-check';
import { evenly } from '../../../../test/evenly';
import type { Emitter } from '../emitters/Emitter';
import { heightsOf } from '../emitters/heightsOf';
import { lightOf } from '../ppfdAtPoint';
import { FACES, OPEN, type Face, type FaceName, type Room } from '../room/Room';
import { cutUp } from './cutUp';
import { isHidden, visibilityOf, roomAbove } from './visibility';
import { nodesAlong, weightsBetween } from './planeNodes';
import { createCache, NO_CACHE } from './Cache';

const room = (z: number, faces: Partial<Record<FaceName, Face>>): Room => ({
  x: 0,
  y: 0,
  z,
  width: 1,
  depth: 1,
  height: 0.5,
  faces: { ...(Object.fromEntries(FACES.map((n) => [n, OPEN])) as Record<FaceName, Face>), ...faces },
});
const wall = (transmittance: number): Face => ({ reflectance: 0, transmittance });
const inside = evenly(0.05, 0.95);
const low = evenly(0.05, 0.45);

test('within one room nothing is in the way, whatever its faces are made of', () => {
  const visibility = visibilityOf({ rooms: [room(0, { left: wall(0), floor: wall(0), ceiling: wall(0.3) })], obstructions: [] });
  fc.assert(fc.property(inside, inside, low, inside, inside, low, (a, b, c, d, e, f) => visibility(a, b, c, d, e, f) === 1));
});

test('each face on the way lets its share through, in both directions', () => {
  const visibility = visibilityOf({ rooms: [room(0, { left: wall(0.5), right: wall(0.4) })], obstructions: [] });
  fc.assert(
    fc.property(inside, low, inside, low, (y0, z0, y1, z1) => {
      expect(visibility(-1, y0, z0, 2, y1, z1)).toBeWithin(0.2, { relative: 1e-9 });
      expect(visibility(2, y1, z1, -1, y0, z0)).toBeWithin(0.2, { relative: 1e-9 });
      expect(visibility(-1, y0, z0, 0.5, y1, z1)).toBeWithin(0.5, { relative: 1e-9 });
    }),
  );
});

test('a shelf between two tiers counts once', () => {
  const [below, above] = [room(0, { ceiling: wall(0.7) }), room(0.5, { floor: wall(0.7) })];
  expect(roomAbove(below, [below, above])).toBe(above);
  expect(roomAbove(above, [below, above])).toBeUndefined();
  expect(visibilityOf({ rooms: [below, above], obstructions: [] })(0.5, 0.5, 0.9, 0.5, 0.5, 0.1)).toBeWithin(0.7, { relative: 1e-9 });
});

test('what lies past the edge of a face is not touched by it', () => {
  const visibility = visibilityOf({ rooms: [room(0, { left: wall(0) })], obstructions: [] });
  expect(visibility(-1, 0.5, 0.9, 0.5, 0.5, 0.8)).toBe(1); // over the top of the wall
  expect(visibility(-1, 1.5, 0.2, 0.5, 1.5, 0.2)).toBe(1); // past its end
});

test('whether a box hides one place from another does not depend on which looks', () => {
  const box = { x0: 0.4, x1: 0.6, y0: 0.4, y1: 0.6, z0: 0.2, z1: 0.4 };
  fc.assert(
    fc.property(inside, inside, low, inside, inside, low, (a, b, c, d, e, f) => {
      expect(isHidden(box, a, b, c, d, e, f)).toBe(isHidden(box, d, e, f, a, b, c));
    }),
  );
});

const lamps: Emitter[] = [
  { kind: 'tube', x: 0, y: 0, z: 0.5, ppf: 20, length: 1.1, diameter: 0.026, turn: 0.4, pitch: 0.2 },
  { kind: 'rect', x: 0, y: 0, z: 0.5, ppf: 20, length: 0.5, width: 0.3, turn: 1, tilt: 0.3, cosinePower: 1.4 },
  { kind: 'rect', x: 0, y: 0, z: 0.5, ppf: 20, length: 0.3, width: 0.2, turn: 0, cosinePower: 1, diodes: { columns: 4, rows: 3 } },
  { kind: 'disc', x: 0, y: 0, z: 0.5, ppf: 20, radius: 0.15, cosinePower: 2 },
  { kind: 'point', x: 0, y: 0, z: 0.5, ppf: 20, cosinePower: null },
];

test.each(lamps.map((l) => [l.kind, l] as const))('a %s cut up shines as it does whole', (_, lamp) => {
  const parts = cutUp(lamp);
  expect(parts.reduce((sum, p) => sum + p.ppf, 0)).toBeWithin(lamp.ppf, { relative: 1e-9 });
  for (const [x, y] of [
    [0, 0],
    [0.3, 0.1],
    [-0.4, 0.4],
  ] as const) {
    const sum = parts.reduce((all, p) => all + lightOf(p)(x, y, 0), 0); // prettier-ignore
    expect(sum).toBeWithin(lightOf(lamp)(x, y, 0), { relative: 0.01 });
  }
});

test('heights of a lamp hold its ends, however it is tilted', () => {
  expect(heightsOf({ kind: 'tube', x: 0, y: 0, z: 1, ppf: 1, length: 2, turn: 0, pitch: Math.PI / 6 })).toEqual({
    lowest: expect.closeTo(0.5, 9),
    highest: expect.closeTo(1.5, 9),
  });
  expect(heightsOf({ kind: 'rect', x: 0, y: 0, z: 1, ppf: 1, length: 1, width: 0.4, turn: 1, tilt: Math.PI / 2, cosinePower: 1 }).lowest).toBeCloseTo(0.8, 9); // prettier-ignore
  expect(heightsOf({ kind: 'point', x: 0, y: 0, z: 1, ppf: 1, cosinePower: null, tilt: 1 })).toEqual({ lowest: 1, highest: 1 });
});

test('between its nodes a plane is carried over without bending a straight line, and cubics hardly', () => {
  const nodes = nodesAlong(0, 1.2, 12);
  const wanted = Float64Array.from({ length: 97 }, (_, i) => (1.2 * (i + 0.5)) / 97);
  const { index, weight } = weightsBetween(nodes, wanted);
  const carried = (f: (x: number) => number, w: number) => [0, 1, 2, 3].reduce((sum, k) => sum + weight[4 * w + k]! * f(nodes.at[index[4 * w + k]!]!), 0); // prettier-ignore
  for (let w = 0; w < wanted.length; w++) {
    expect(carried(() => 1, w)).toBeWithin(1, { absolute: 1e-12 });
    expect(carried((x) => 3 - 2 * x, w)).toBeWithin(3 - 2 * wanted[w]!, { absolute: 1e-3 });
    expect(carried((x) => Math.sin(2 * x), w)).toBeWithin(Math.sin(2 * wanted[w]!), { absolute: 4e-3 });
  }
});

test('what is remembered is computed once, the oldest is forgotten, and nothing is remembered where that is asked', () => {
  const cache = createCache(2);
  let made = 0;
  const ask = (key: string) => cache.get(key, () => ++made);
  expect([ask('a'), ask('a'), ask('b'), ask('a')]).toEqual([1, 1, 2, 1]);
  ask('c'); // b was used longest ago
  expect(ask('a')).toBe(1);
  expect(ask('b')).toBe(4);
  expect(cache.next<number>('n', (last) => (last ?? 10) + 1)).toBe(11);
  expect(cache.next<number>('n', (last) => (last ?? 10) + 1)).toBe(12);
  expect(NO_CACHE.get('a', () => 7)).toBe(7);
});
