import box from '../../../test/cases/light-box.json';
import area from '../../../test/cases/light-area.json';
import falloff from '../../../test/cases/light-falloff.json';
import line from '../../../test/cases/light-line.json';
import multi from '../../../test/cases/light-multi.json';
import point from '../../../test/cases/light-point.json';
import type { Emitter } from './emitters/Emitter';
import { statsOver } from './field/statsOver';
import { ppfdAtPoint } from './ppfdAtPoint';
import type { Room } from './room/Room';
import { lightFieldOf, type LightField } from './scene/LightField';

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
interface CaseBox {
  width: number;
  depth: number;
  height: number;
  rho: Record<'floor' | 'ceiling' | 'x0' | 'x1' | 'y0' | 'y1', number>;
}
interface Case {
  id: string;
  quantity: string;
  scene?: { luminaires: CaseLamp[]; box: CaseBox | null };
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
  const lamps = c.scene!.luminaires.map((l, i) => ({ id: String(i), emitters: [emitterOf(l)] }));
  const map = lightFieldOf({ lamps, rooms: [], obstructions: [] }).map(g, g.z, (g.x1 - g.x0) / g.nx);
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

function roomOf({ width, depth, height, rho }: CaseBox): Room {
  const wall = (reflectance: number) => ({ reflectance, transmittance: 0 });
  const faces = {
    floor: wall(rho.floor),
    ceiling: wall(rho.ceiling),
    left: wall(rho.x0),
    right: wall(rho.x1),
    front: wall(rho.y0),
    back: wall(rho.y1),
  };
  return { x: 0, y: 0, z: 0, width, depth, height, faces };
}

/** The mean over a cell, by enough points that their number does not matter. */
function cellMean(field: LightField, x0: number, x1: number, y0: number, y1: number, z: number): number {
  const { ppfd } = field.map({ x0, x1, y0, y1 }, z, Math.max(x1 - x0, y1 - y0) / 24);
  return ppfd.reduce((sum, v) => sum + v, 0) / ppfd.length;
}

const boxes = box.cases as unknown as Case[];
test.each(boxes.map((c) => [c.id, c] as const))('%s', (_, c) => {
  const room = roomOf(c.scene!.box!);
  const lamps = c.scene!.luminaires.map((l, i) => ({ id: String(i), emitters: [emitterOf(l)] }));
  const field = lightFieldOf({ rooms: [room], lamps, obstructions: [] });
  const expected = c.expected as number[];
  const g = c.grid;
  const cells = g
    ? Array.from({ length: g.nx * g.ny }, (_, k) => {
        const [i, j] = [k % g.nx, Math.floor(k / g.nx)];
        const [dx, dy] = [(g.x1 - g.x0) / g.nx, (g.y1 - g.y0) / g.ny];
        return { x0: g.x0 + i * dx, x1: g.x0 + (i + 1) * dx, y0: g.y0 + j * dy, y1: g.y0 + (j + 1) * dy };
      })
    : [];
  switch (c.quantity) {
    case 'energy_balance': {
      const { emitted, absorbed } = field.balance();
      return expect(absorbed / emitted).toBeWithin(expected[0]!, { relative: 0.005 });
    }
    case 'floor_mean_ppfd':
      return expect(cellMean(field, 0, room.width, 0, room.depth, 0)).toBeWithin(expected[0]!, { relative: 0.005 });
    case 'cell_mean_ppfd':
      return cells.forEach((r, k) => expect(cellMean(field, r.x0, r.x1, r.y0, r.y1, g!.z)).toBeWithin(expected[k]!, { relative: 0.015 }));
    case 'ppfd_at_cell_centres':
      return cells.forEach((r, k) =>
        expect(field.ppfdAt((r.x0 + r.x1) / 2, (r.y0 + r.y1) / 2, g!.z)).toBeWithin(expected[k]!, { relative: 0.015 }),
      );
    default:
      return c.receivers!.forEach(([x, y, z], k) => expect(field.ppfdAt(x!, y!, z!)).toBeWithin(expected[k]!, { relative: 0.02 }));
  }
});

test('every kind of case was read', () => {
  expect(atPoints.length).toBeGreaterThan(50);
  expect(grids.length).toBeGreaterThan(5);
  expect(curves.length).toBeGreaterThan(5);
  expect(boxes.length).toBeGreaterThan(50);
});
