import type { Emitter } from '../emitters/Emitter';
import { frameOf } from '../emitters/frameOf';
import { lightOf } from '../ppfdAtPoint';
import { visibilityOf } from './visibility';
import type { Scene, Obstruction } from './Scene';
import { levelLight } from './straightLight';

const KINDS: readonly (readonly [string, Emitter])[] = [
  ['tube', { kind: 'tube', x: 0, y: 0, z: 0.5, ppf: 40, length: 1.1, diameter: 0, turn: 0.3 }],
  ['panel', { kind: 'rect', x: 0, y: 0, z: 0.5, ppf: 40, length: 0.6, width: 0.3, turn: 0.2, cosinePower: 1 }],
  ['tilted bar', { kind: 'rect', x: 0, y: 0, z: 0.5, ppf: 40, length: 1, width: 0.03, turn: 0, tilt: 0.4, cosinePower: 1.5 }],
  ['disc', { kind: 'disc', x: 0, y: 0, z: 0.5, ppf: 40, radius: 0.15, cosinePower: 1 }],
];

/** The same emitter as thousands of small ones, each with a ray of its own. */
function fine(emitter: Emitter): Emitter[] {
  if (emitter.kind === 'point' || emitter.kind === 'photometric') throw new Error('not cut');
  const { u, v } = frameOf(emitter);
  const at = (a: number, b: number) => ({ x: emitter.x + a * u[0] + b * v[0], y: emitter.y + a * u[1] + b * v[1], z: emitter.z + a * u[2] + b * v[2] }); // prettier-ignore
  if (emitter.kind === 'tube')
    return Array.from({ length: 2000 }, (_, i) => ({ ...emitter, ...at(((i + 0.5) / 2000 - 0.5) * emitter.length, 0), length: emitter.length / 2000, ppf: emitter.ppf / 2000 })); // prettier-ignore
  const [length, width] = emitter.kind === 'disc' ? [2 * emitter.radius, 2 * emitter.radius] : [emitter.length, emitter.width];
  const [n, m] = width < length / 5 ? [200, 200] : [100, 100];
  const places = Array.from({ length: n * m }, (_, k) => [(((k % n) + 0.5) / n - 0.5) * length, ((Math.floor(k / n) + 0.5) / m - 0.5) * width] as const); // prettier-ignore
  const inside = emitter.kind === 'disc' ? places.filter(([a, b]) => Math.hypot(a, b) <= emitter.radius) : places;
  const { tilt, pitch, turn, cosinePower } = emitter;
  return inside.map(([a, b]) => ({ kind: 'point', ...at(a, b), ppf: emitter.ppf / inside.length, cosinePower, turn: turn ?? 0, tilt: tilt ?? 0, pitch: pitch ?? 0 })); // prettier-ignore
}

/** A pot that stands up, and a board that hangs over part of the plants. */
const THINGS: readonly Obstruction[] = [
  { x0: -0.1, x1: 0.05, y0: -0.06, y1: 0.08, z0: 0, z1: 0.22 },
  { x0: -0.3, x1: 0.1, y0: 0.02, y1: 0.3, z0: 0.3, z1: 0.32 },
];

test.each(KINDS)('the shadow of a box under a %s is within 1 %% of the unshaded light of what ten thousand rays say', (_, emitter) => {
  const rays = fine(emitter).map((e) => ({ e, light: lightOf(e) }));
  for (const thing of THINGS) {
    const scene: Scene = { lamps: [], rooms: [], obstructions: [thing] };
    const visibility = visibilityOf(scene);
    const light = levelLight(emitter, scene, visibility);
    let shaded = 0;
    for (let i = 0; i < 40; i++) {
      const [x, y, z] = [-0.35 + 0.7 * ((i * 0.618) % 1), -0.3 + 0.6 * ((i * 0.755) % 1), 0.02];
      if (x > thing.x0 - 0.01 && x < thing.x1 + 0.01 && y > thing.y0 - 0.01 && y < thing.y1 + 0.01 && z > thing.z0 - 0.01 && z < thing.z1) continue; // prettier-ignore
      const clear = lightOf(emitter)(x, y, z);
      const all = rays.reduce((sum, r) => sum + r.light(x, y, z), 0);
      const seen = rays.reduce((sum, r) => sum + visibility(r.e.x, r.e.y, r.e.z, x, y, z) * r.light(x, y, z), 0);
      if (seen < 0.98 * all) shaded++;
      expect(light(x, y, z)).toBeWithin((clear * seen) / all, { absolute: 0.01 * clear });
    }
    expect(shaded).toBeGreaterThan(4);
  }
});

test('a shadow has no steps: from one millimetre to the next no more than half a per cent of the unshaded light', () => {
  for (const [, emitter] of KINDS) {
    const scene: Scene = { lamps: [], rooms: [], obstructions: [THINGS[0]!] };
    const light = levelLight(emitter, scene, visibilityOf(scene));
    const clear = lightOf(emitter)(0.2, 0.05, 0.02);
    let before = light(0.06, 0.05, 0.02);
    for (let mm = 61; mm < 300; mm++) {
      const now = light(mm / 1000, 0.05, 0.02);
      // The edge of a shadow moves by three millimetres over the lamp for each here.
      expect(Math.abs(now - before)).toBeLessThan(0.015 * clear);
      before = now;
    }
  }
});

test('what is hidden altogether is dark, and what nothing hides is as bright as in the open', () => {
  for (const [, emitter] of KINDS) {
    const wall: Obstruction = { x0: -2, x1: 2, y0: -2, y1: 2, z0: 0.3, z1: 0.31 };
    const at = (thing: Obstruction) =>
      levelLight(emitter, { lamps: [], rooms: [], obstructions: [thing] }, visibilityOf({ rooms: [], obstructions: [thing] }));
    expect(at(wall)(0.1, 0.1, 0)).toBe(0);
    expect(at({ ...wall, z0: 0.7, z1: 0.8 })(0.1, 0.1, 0)).toBe(lightOf(emitter)(0.1, 0.1, 0));
  }
});

test.each(KINDS)(
  'a %s of the tier above, seen through wire and past a side, is within 1 %% of its own light of what thousands of rays say',
  (_, emitter) => {
    const solid = { reflectance: 0, transmittance: 0 };
    const open = { reflectance: 0, transmittance: 1 };
    const wire = { reflectance: 0, transmittance: 0.75 };
    const faces = { floor: wire, ceiling: solid, left: solid, right: open, front: open, back: solid };
    const left = 'length' in emitter && emitter.length > 0.7 ? -0.6 : -0.35;
    const tier = { x: left, y: -0.3, width: 0.6 - left, depth: 0.6, faces };
    const rooms = [
      { ...tier, z: 0.2, height: 0.4 },
      { ...tier, z: -0.2, height: 0.4, faces: { ...faces, left: open } },
    ];
    const scene: Scene = { lamps: [], rooms, obstructions: [] };
    const visibility = visibilityOf(scene);
    const light = levelLight(emitter, scene, visibility);
    const rays = fine(emitter).map((e) => ({ e, light: lightOf(e) }));
    let partly = 0;
    for (let i = 0; i < 100; i++) {
      // In the tier below, and in the open beside both, where the solid side above hides part of the lamp.
      const [x, y, z] = [-0.9 + 1.8 * ((i * 0.618) % 1), -0.28 + 0.56 * ((i * 0.755) % 1), i % 2 ? -0.15 : 0.25];
      if (Math.abs(x - left) < 0.012 || Math.abs(x - 0.6) < 0.012) continue;
      const all = rays.reduce((sum, r) => sum + r.light(x, y, z), 0);
      const seen = rays.reduce((sum, r) => sum + visibility(r.e.x, r.e.y, r.e.z, x, y, z) * r.light(x, y, z), 0);
      if (seen > 0.02 * all && seen < 0.7 * all) partly++;
      expect(light(x, y, z)).toBeWithin((lightOf(emitter)(x, y, z) * seen) / all, { absolute: 0.01 * lightOf(emitter)(0, 0, 0.02) });
    }
    expect(partly).toBeGreaterThan(2);
  },
);
