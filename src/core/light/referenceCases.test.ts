import area from '../../../test/cases/light-area.json';
import falloff from '../../../test/cases/light-falloff.json';
import line from '../../../test/cases/light-line.json';
import multi from '../../../test/cases/light-multi.json';
import point from '../../../test/cases/light-point.json';
import type { Emitter } from './emitters/Emitter';
import { computeMap } from './field/computeMap';
import { statsOver } from './field/statsOver';
import { ppfdAtPoint } from './ppfdAtPoint';

/** The reference files name lamps in their own words; this is the only place that knows them. */
interface CaseLamp {
  type: string;
  ppf: number;
  center: (number | string)[];
  n?: number;
  axis?: string;
  length?: number;
  size?: number[];
  radius?: number;
}
interface Case {
  id: string;
  quantity: string;
  scene?: { luminaires: CaseLamp[] };
  receivers?: number[][];
  receiver?: number[];
  heights?: number[];
  grid?: { x0: number; x1: number; y0: number; y1: number; z: number; nx: number; ny: number };
  expected: unknown;
}

function emitterOf(lamp: CaseLamp, h = 0): Emitter {
  const [x, y, z] = lamp.center.map((c) => (c === 'h' ? h : Number(c))) as [number, number, number];
  const at = { x, y, z, ppf: lamp.ppf };
  const turn = lamp.axis === 'y' ? Math.PI / 2 : 0;
  switch (lamp.type) {
    case 'point_isotropic':
      return { kind: 'point', ...at, cosinePower: null };
    case 'point_cosn':
      return { kind: 'point', ...at, cosinePower: lamp.n! };
    case 'line_tube':
      return { kind: 'tube', ...at, length: lamp.length!, turn };
    case 'line_strip':
      return { kind: 'rect', ...at, length: lamp.length!, width: 0, turn, cosinePower: lamp.n! };
    case 'rect_panel':
      return { kind: 'rect', ...at, length: lamp.size![0]!, width: lamp.size![1]!, turn: 0, cosinePower: 1 };
    case 'disc_panel':
      return { kind: 'disc', ...at, radius: lamp.radius!, cosinePower: 1 };
    default:
      throw new Error(`unknown lamp ${lamp.type}`);
  }
}

const cases = [...point.cases, ...line.cases, ...area.cases, ...multi.cases, ...falloff.cases] as unknown as Case[];
const tolerance = { relative: 0.005 }; // asked of us; we are far inside it

const atPoints = cases.filter((c) => c.quantity === 'ppfd_at_points');
test.each(atPoints.map((c) => [c.id, c] as const))('%s', (_, c) => {
  const lamps = c.scene!.luminaires.map((l) => emitterOf(l));
  const expected = c.expected as number[];
  c.receivers!.forEach(([x, y, z], i) => expect(ppfdAtPoint(lamps, x!, y!, z!)).toBeWithin(expected[i]!, tolerance));
});

const grids = cases.filter((c) => c.quantity === 'ppfd_at_cell_centres' || c.quantity === 'plane_stats');
test.each(grids.map((c) => [c.id, c] as const))('%s', (_, c) => {
  const g = c.grid!;
  const map = computeMap(
    c.scene!.luminaires.map((l) => emitterOf(l)),
    g,
    g.z,
    (g.x1 - g.x0) / g.nx,
  );
  const expected = c.expected as number[];
  if (c.quantity === 'plane_stats') {
    const s = statsOver(map, [g]);
    [s.mean, s.weakest.ppfd, s.strongest.ppfd, s.uniformityMinOverMean, s.uniformityMinOverMax].forEach((value, i) =>
      expect(value).toBeWithin(expected[i]!, tolerance),
    );
  } else {
    expect([map.columns, map.rows]).toEqual([g.nx, g.ny]);
    expected.forEach((value, i) => expect(map.ppfd[i]!).toBeWithin(value, tolerance));
  }
});

const curves = cases.filter((c) => c.quantity === 'ppfd_vs_height');
test.each(curves.map((c) => [c.id, c] as const))('%s', (_, c) => {
  const [x, y, z] = c.receiver as [number, number, number];
  const expected = c.expected as number[];
  c.heights!.forEach((h, i) => {
    const lamps = c.scene!.luminaires.map((l) => emitterOf(l, h));
    expect(ppfdAtPoint(lamps, x, y, z)).toBeWithin(expected[i]!, tolerance);
  });
});

test('every kind of case was read', () => {
  expect(atPoints.length).toBeGreaterThan(50);
  expect(grids.length).toBeGreaterThan(5);
  expect(curves.length).toBeGreaterThan(5);
});
