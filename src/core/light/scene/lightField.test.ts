import fc from 'fast-check';
import { mulberry } from '../../units/mulberry';
import { evenly } from '../../../../test/evenly';
import { cosinePowerOfBeam } from '../emitters/cosinePower';
import type { Emitter } from '../emitters/Emitter';
import { irradianceOf } from '../emitters/irradianceOf';
import { directOnPatches } from '../room/directOnPatches';
import { patchesOf, type Patches } from '../room/patches';
import { emitterKey } from '../emitters/emitterKey';
import { FACES, OPEN, type Face, type FaceName, type Room } from '../room/Room';
import { incidentOn, settle } from '../room/solveRoom';
import { ringOf } from '../emitters/ring';
import { lightFieldOf } from './LightField';
import { isHidden } from './visibility';
import { createCache } from './Cache';
import type { Scene } from './Scene';

const BLACK: Face = { reflectance: 0, transmittance: 0 };
const allFaces = (face: (name: FaceName) => Face) => Object.fromEntries(FACES.map((n) => [n, face(n)])) as Record<FaceName, Face>;
const box = (faces: Record<FaceName, Face>, size: Partial<Room> = {}): Room => ({
  x: 0,
  y: 0,
  z: 0,
  width: 1,
  depth: 0.5,
  height: 0.5,
  faces,
  ...size,
});
const lampOf = (...emitters: Emitter[]) => ({ id: 'lamp', emitters });
const bulb: Emitter = { kind: 'point', x: 0.5, y: 0.25, z: 0.35, ppf: 50, cosinePower: null };
const tube: Emitter = { kind: 'tube', x: 0.5, y: 0.25, z: 0.4, ppf: 30, length: 0.7, diameter: 0.026, turn: 0 };
const sceneOf = (room: Room | null, emitter: Emitter, more: Partial<Scene> = {}): Scene => ({
  lamps: [lampOf(emitter)],
  rooms: room ? [room] : [],
  obstructions: [],
  ...more,
});

const face: fc.Arbitrary<Face> = fc
  .tuple(evenly(0, 0.95), evenly(0, 1))
  .map(([reflectance, t]) => ({ reflectance, transmittance: t * (1 - reflectance) }));
const anyRoom = fc
  .tuple(fc.tuple(face, face, face, face, face, face), evenly(0.3, 1.3), evenly(0.25, 0.8), evenly(0.25, 0.9))
  .map(([faces, width, depth, height]) =>
    box(
      allFaces((n) => faces[FACES.indexOf(n)]!),
      { width, depth, height },
    ),
  );
/** A lamp well inside a room of that size, by shares. */
const lampIn = (room: Room): fc.Arbitrary<Emitter> =>
  fc
    .tuple(evenly(0.3, 0.7), evenly(0.3, 0.7), evenly(0.5, 0.85), fc.integer({ min: 0, max: 2 }), evenly(1, 3))
    .map(([a, b, c, kind, cosinePower]): Emitter => {
      const at = { x: a * room.width, y: b * room.depth, z: c * room.height, ppf: 40 };
      if (kind === 0) return { kind: 'point', ...at, cosinePower: null };
      if (kind === 1) return { kind: 'tube', ...at, length: 0.4 * room.width, diameter: 0.016, turn: 0 };
      return { kind: 'rect', ...at, length: 0.4 * room.width, width: 0.3 * room.depth, turn: 0, cosinePower };
    });

test('no photon is lost or made: what lamps send out is swallowed or leaves, in any box', () => {
  fc.assert(
    fc.property(
      anyRoom.chain((room) => fc.tuple(fc.constant(room), lampIn(room))),
      ([room, lamp]) => {
        const { settled, patches } = settledOf(room, lamp);
        let gone = 0;
        for (const f of patches.faces)
          for (let k = f.first; k < f.first + f.columns * f.rows; k++) gone += settled[k]! * patches.area[k]! * (1 - f.reflectance);
        // The sums over patches alone lose or win little; the field takes that out. The worst of 12 000 boxes lost 1.03 %, a
        // panel in a narrow one three times as high as it is deep.
        expect(gone).toBeWithin(lamp.ppf, { relative: 0.013 });
        const black = Object.fromEntries(FACES.map((n) => [n, { ...room.faces[n], transmittance: 0 }])) as Room['faces'];
        const { emitted, absorbed } = lightFieldOf(sceneOf({ ...room, faces: black }, lamp)).balance();
        expect(absorbed).toBeWithin(emitted, { relative: 0.002 });
      },
    ),
    { numRuns: 25 },
  );
});

/** Light that falls on each patch once all is settled. */
function settledOf(room: Room, lamp: Emitter): { settled: Float64Array; patches: Patches } {
  const patches = patchesOf(room);
  const direct = directOnPatches(patches, room, lamp, irradianceOf(lamp)).mean;
  return { settled: incidentOn(patches, settle(patches, direct), direct), patches };
}

test('a sharp spot loses nothing either', () => {
  const room = box(allFaces(() => ({ reflectance: 0.5, transmittance: 0 })));
  for (const beam of [15, 30, 60]) {
    const spot: Emitter = {
      kind: 'disc',
      x: 0.43,
      y: 0.21,
      z: 0.45,
      ppf: 40,
      radius: 0.04,
      cosinePower: cosinePowerOfBeam((beam * Math.PI) / 180),
      tilt: 0.3,
    };
    const patches = patchesOf(room);
    const { mean: direct } = directOnPatches(patches, room, spot, irradianceOf(spot));
    expect(direct.reduce((sum, v, i) => sum + v * patches.area[i]!, 0)).toBeWithin(40, { relative: 0.01 });
  }
});

test('the balance of a field says the same: what leaves is what falls on its open faces, added up by itself', () => {
  const closed = lightFieldOf(sceneOf(box(allFaces(() => ({ reflectance: 0.6, transmittance: 0 }))), bulb)).balance();
  expect(closed.absorbed).toBeWithin(closed.emitted, { relative: 0.005 });
  const half = box(
    allFaces((n) => (n === 'front' || n === 'ceiling' ? { reflectance: 0, transmittance: 1 } : { reflectance: 0.7, transmittance: 0 })),
  );
  const { left, emitted } = lightFieldOf(sceneOf(half, bulb)).balance();
  const { settled, patches } = settledOf(half, bulb);
  let through = 0;
  for (const f of patches.faces)
    for (let k = f.first; k < f.first + f.columns * f.rows; k++) through += settled[k]! * patches.area[k]! * f.transmittance;
  expect(left).toBeWithin(through, { relative: 0.015 });
  expect(left).toBeGreaterThan(0.2 * emitted);
});

test('light that has not come to rest is said, and light that has is not', () => {
  const of = (reflectance: number) => lightFieldOf(sceneOf(box(allFaces(() => ({ reflectance, transmittance: 0 }))), bulb)).converged;
  expect(of(0.9)).toBe(true);
  const patches = patchesOf(box(allFaces(() => ({ reflectance: 0.6, transmittance: 0 }))));
  const direct = new Float64Array(patches.count).fill(1);
  expect(settle(patches, direct).converged).toBe(true);
  // Floor and ceiling that send each other everything, each patch to the one over it: no number of turns settles that.
  const formFactors = new Float32Array(patches.formFactors.length);
  const [floor, ceiling] = patches.faces as [Patches['faces'][0], Patches['faces'][0]];
  for (let k = 0; k < floor.columns * floor.rows; k++) {
    formFactors[(floor.first + k) * patches.count + ceiling.first + k] = 1;
    formFactors[(ceiling.first + k) * patches.count + floor.first + k] = 1;
  }
  expect(settle({ ...patches, formFactors, reflectance: patches.reflectance.map(() => 1) }, direct).converged).toBe(false);
});

test('a measured far field is told from another by every figure of it, and costs little to name', () => {
  const table = { gamma: [0, 1, 2], c: [0], perFlux: [0.3, 0.2, 0.1] };
  const of = (perFlux: number[]): Emitter =>
    ({
      kind: 'table',
      x: 0,
      y: 0,
      z: 1,
      ppf: 1,
      turn: 0,
      length: 0,
      width: 0,
      round: false,
      table: { ...table, perFlux },
    }) as unknown as Emitter;
  expect(emitterKey(of([0.3, 0.2, 0.1]))).toBe(emitterKey(of([0.3, 0.2, 0.1])));
  expect(emitterKey(of([0.3, 0.2, 0.1]))).not.toBe(emitterKey(of([0.3, 0.2, 0.1 + 1e-12])));
  expect(emitterKey(of([0.3, 0.2, 0.1]))).not.toBe(emitterKey(of([0.2, 0.3, 0.1])));
  expect(emitterKey({ ...of([0.3, 0.2, 0.1]), x: 1 } as Emitter)).not.toBe(emitterKey(of([0.3, 0.2, 0.1])));
  const large = of(Array.from({ length: 40_000 }, (_, i) => Math.sin(i)));
  expect(emitterKey(large).length).toBeLessThan(300);
});

test('form factors of a cube are the published ones, and those of any box add up to 1', () => {
  const whole = (p: Patches, a: FaceName, b: FaceName) => {
    const [fa, fb] = [a, b].map((n) => p.faces.find((f) => f.name === n)!) as [Patches['faces'][0], Patches['faces'][0]];
    let sum = 0;
    for (let i = fa.first; i < fa.first + fa.columns * fa.rows; i++)
      for (let j = fb.first; j < fb.first + fb.columns * fb.rows; j++) sum += p.area[i]! * p.formFactors[i * p.count + j]!;
    return sum;
  };
  const cubeOf = (face: (name: FaceName) => Face) => patchesOf(box(allFaces(face), { width: 1, depth: 1, height: 1 }));
  const cube = cubeOf(() => ({ reflectance: 0.5, transmittance: 0 }));
  // Siegel & Howell, Thermal Radiation Heat Transfer: 0.1998 opposite, 0.2000 adjacent.
  expect(whole(cube, 'floor', 'ceiling')).toBeWithin(0.199825, { absolute: 1e-6 });
  expect(whole(cube, 'floor', 'left')).toBeWithin(0.200044, { absolute: 1e-6 });
  expect(whole(cube, 'right', 'back')).toBeWithin(0.200044, { absolute: 1e-6 });
  // What sends nothing is left out.
  const dark = cubeOf((name) => (name === 'left' ? BLACK : { reflectance: 0.5, transmittance: 0 }));
  expect([whole(dark, 'floor', 'left'), whole(dark, 'left', 'floor')]).toEqual([0, whole(cube, 'left', 'floor')]);
  fc.assert(
    fc.property(anyRoom, (room) => {
      const p = patchesOf(room);
      for (let i = 0; i < p.count; i += 37) {
        let sum = 0;
        for (let j = 0; j < p.count; j++) sum += p.formFactors[i * p.count + j]!;
        expect(sum).toBeWithin(1, { absolute: 1e-5 });
      }
    }),
    { numRuns: 10 },
  );
});

test('black walls and open sides change nothing', () => {
  fc.assert(
    fc.property(evenly(0, 1), evenly(0, 0.5), evenly(0, 0.3), fc.constantFrom(BLACK, OPEN), (x, y, z, wall) => {
      const bare = lightFieldOf(sceneOf(null, tube)).ppfdAt(x, y, z);
      expect(lightFieldOf(sceneOf(box(allFaces(() => wall)), tube)).ppfdAt(x, y, z)).toBeWithin(bare, { relative: 1e-9 });
    }),
    { numRuns: 20 },
  );
});

test('paler walls never take light away, and twice the photons are twice the light', () => {
  const grey = (reflectance: number) => box(allFaces(() => ({ reflectance, transmittance: 0 })));
  fc.assert(
    fc.property(evenly(0, 1), evenly(0, 0.5), evenly(0, 0.9), (x, y, rho) => {
      const here = lightFieldOf(sceneOf(grey(rho), tube)).ppfdAt(x, y, 0.05);
      expect(lightFieldOf(sceneOf(grey(rho + 0.05), tube)).ppfdAt(x, y, 0.05)).toBeGreaterThan(here);
      expect(lightFieldOf(sceneOf(grey(rho), { ...tube, ppf: 60 })).ppfdAt(x, y, 0.05)).toBeWithin(2 * here, { relative: 1e-6 });
    }),
    { numRuns: 10 },
  );
});

test('two lamps together give the sum, and a mirrored room the mirrored light', () => {
  const room = box(allFaces((n) => ({ reflectance: n === 'left' ? 0.9 : 0.3, transmittance: 0 })));
  const mirrored = box(allFaces((n) => ({ reflectance: n === 'right' ? 0.9 : 0.3, transmittance: 0 })));
  const lamp: Emitter = { ...bulb, x: 0.3 };
  const at = (scene: Scene, x: number) => lightFieldOf(scene).ppfdAt(x, 0.2, 0);
  expect(at({ ...sceneOf(room, lamp), lamps: [lampOf(lamp), lampOf(tube)] }, 0.7)).toBeWithin(
    at(sceneOf(room, lamp), 0.7) + at(sceneOf(room, tube), 0.7),
    { relative: 1e-4 },
  );
  expect(at(sceneOf(mirrored, { ...lamp, x: 0.7 }), 0.3)).toBeWithin(at(sceneOf(room, lamp), 0.7), { relative: 1e-4 });
});

test('more patches change little: the answer is settled', () => {
  const room = box(allFaces((n) => ({ reflectance: n === 'floor' ? 0.1 : 0.8, transmittance: 0 })));
  for (const [x, y] of [
    [0.5, 0.25],
    [0.05, 0.05],
    [0.9, 0.3],
  ] as const) {
    const fine = lightFieldOf(sceneOf(room, tube), undefined, 2).ppfdAt(x, y, 0.03); // prettier-ignore
    expect(lightFieldOf(sceneOf(room, tube)).ppfdAt(x, y, 0.03)).toBeWithin(fine, { relative: 0.01 });
  }
});

test('map and slice agree with single points, reflections between the nodes included', () => {
  const room = box(allFaces((n) => ({ reflectance: n === 'floor' ? 0.1 : 0.85, transmittance: 0 })));
  const field = lightFieldOf(sceneOf(room, tube));
  const map = field.map({ x0: 0, x1: 1, y0: 0, y1: 0.5 }, 0.06, 0.02);
  const slice = field.slice({ x0: 0, x1: 1, z0: 0, z1: 0.5, y: 0.21 }, 0.02);
  for (let k = 0; k < map.ppfd.length; k += 41) {
    const [x, y] = [((k % map.columns) + 0.5) * 0.02, (Math.floor(k / map.columns) + 0.5) * 0.02];
    expect(map.ppfd[k]!).toBeWithin(field.ppfdAt(x, y, 0.06), { relative: 0.02 });
  }
  for (let k = 0; k < slice.ppfd.length; k += 43) {
    const [x, z] = [((k % slice.columns) + 0.5) * 0.02, (Math.floor(k / slice.columns) + 0.5) * 0.02];
    // A centimetre under a pale ceiling the cubic is off by a tenth; leaves stand below the lamp.
    if (z < 0.4) expect(slice.ppfd[k]!).toBeWithin(field.ppfdAt(x, 0.21, z), { relative: 0.025 });
  }
});

test('what is remembered from the last frame gives the same light as computing anew', () => {
  const cache = createCache();
  const room = box(allFaces(() => ({ reflectance: 0.5, transmittance: 0 })));
  const area = { x0: 0, x1: 1, y0: 0, y1: 0.5 };
  for (const z of [0.3, 0.35, 0.4, 0.3]) {
    const scene = sceneOf(room, { ...tube, z });
    const anew = lightFieldOf(scene).map(area, 0, 0.05).ppfd;
    lightFieldOf(scene, cache)
      .map(area, 0, 0.05)
      .ppfd.forEach((v, i) => expect(v).toBeWithin(anew[i]!, { relative: 1e-3 }));
  }
});

const wire: Face = { reflectance: 0, transmittance: 0.7 };
const twoTiers = (shelf: Face, side: Face): Room[] => [
  box(allFaces((n) => (n === 'ceiling' ? shelf : n === 'floor' ? BLACK : side))),
  box(
    allFaces((n) => (n === 'floor' ? shelf : n === 'ceiling' ? OPEN : side)),
    { z: 0.5 },
  ),
];

test('light falls through a wire shelf with its share, not through a board, and past it where the sides are open', () => {
  const upper: Emitter = { ...bulb, z: 0.9 };
  const at = (rooms: Room[], x = 0.5) => lightFieldOf({ rooms, lamps: [lampOf(upper)], obstructions: [] }).ppfdAt(x, 0.25, 0);
  const free = lightFieldOf(sceneOf(null, upper)).ppfdAt(0.5, 0.25, 0);
  expect(at(twoTiers(wire, BLACK))).toBeWithin(0.7 * free, { relative: 1e-6 });
  expect(at(twoTiers(BLACK, BLACK))).toBe(0);
  const beside = { ...upper, x: 1.3 };
  const spill = lightFieldOf({ rooms: twoTiers(BLACK, OPEN), lamps: [lampOf(beside)], obstructions: [] }).ppfdAt(0.9, 0.25, 0);
  expect(spill).toBeWithin(lightFieldOf(sceneOf(null, beside)).ppfdAt(0.9, 0.25, 0), { relative: 1e-6 });
});

test('reflected light comes through a wire shelf too', () => {
  const pale: Face = { reflectance: 0.9, transmittance: 0 };
  const upward: Emitter = { kind: 'point', x: 0.5, y: 0.25, z: 0.6, ppf: 50, cosinePower: 1, tilt: Math.PI };
  const rooms = twoTiers(wire, pale).map((r, i) => (i === 1 ? { ...r, faces: { ...r.faces, ceiling: pale } } : r));
  const below = lightFieldOf({ rooms, lamps: [lampOf(upward)], obstructions: [] }).ppfdAt(0.5, 0.25, 0);
  expect(below).toBeGreaterThan(5); // the lamp shines away from it: all of it is reflected light
});

/** Mean light on the floor of the lower of two tiers, by following photons one by one; sides of one reflectance, black ends. */
function countedBelow(side: number, shelf: Face, photons: number): number {
  const chance = mulberry(7);
  const [width, depth, height] = [1, 0.5, 0.5];
  let landed = 0;
  for (let k = 0; k < photons; k++) {
    let p = [0.5, 0.25, 0.9];
    let n = [0, 0, -1];
    for (let alive = true; alive;) {
      // A diffuse direction about n.
      const [r, phi] = [Math.sqrt(chance()), 2 * Math.PI * chance()];
      const t = Math.abs(n[2]!) > 0.5 ? [1, 0, 0] : [0, 0, 1];
      const b = [n[1]! * t[2]! - n[2]! * t[1]!, n[2]! * t[0]! - n[0]! * t[2]!, n[0]! * t[1]! - n[1]! * t[0]!];
      const c = [n[1]! * b[2]! - n[2]! * b[1]!, n[2]! * b[0]! - n[0]! * b[2]!, n[0]! * b[1]! - n[1]! * b[0]!];
      const d = [0, 1, 2].map((i) => Math.sqrt(1 - r * r) * n[i]! + r * Math.cos(phi) * b[i]! + r * Math.sin(phi) * c[i]!);
      for (let through = true; through;) {
        through = false;
        const low = [0, 0, p[2]! > height || (p[2] === height && d[2]! > 0) ? height : 0];
        const high = [width, depth, low[2]! + height];
        const far = [0, 1, 2].map((i) => (d[i]! > 0 ? (high[i]! - p[i]!) / d[i]! : d[i]! < 0 ? (low[i]! - p[i]!) / d[i]! : Infinity));
        const axis = far.indexOf(Math.min(...far));
        p = p.map((v, i) => (i === axis ? (d[i]! > 0 ? high[i]! : low[i]!) : v + far[axis]! * d[i]!));
        n = [0, 0, 0];
        n[axis] = d[axis]! > 0 ? -1 : 1;
        const lot = chance();
        if (axis < 2) alive = lot < side;
        else if (p[2] === height) {
          if (lot < shelf.transmittance) through = true;
          else alive = lot < shelf.transmittance + shelf.reflectance;
        } else {
          if (p[2] === 0) landed++;
          alive = false;
        }
      }
    }
  }
  return landed / photons / (width * depth);
}

test('what comes through a shelf is what photons followed one by one come to, though the lower tier says nothing of its ceiling', () => {
  const shelf: Face = { reflectance: 0.2, transmittance: 0.6 };
  const pale: Face = { reflectance: 0.8, transmittance: 0 };
  const rooms = twoTiers(shelf, pale).map((r, i) => ({ ...r, faces: { ...r.faces, ceiling: i === 0 ? OPEN : BLACK } }));
  const lamp: Emitter = { kind: 'point', x: 0.5, y: 0.25, z: 0.9, ppf: 1, cosinePower: 1 };
  const map = lightFieldOf({ rooms, lamps: [lampOf(lamp)], obstructions: [] }).map({ x0: 0, x1: 1, y0: 0, y1: 0.5 }, 0, 0.02);
  const mean = map.ppfd.reduce((sum, v) => sum + v, 0) / map.ppfd.length;
  // The engine spreads evenly what comes through reflected; photons go on as they came.
  expect(mean).toBeWithin(countedBelow(0.8, shelf, 150_000), { relative: 0.03 });
});

test('on the plane that two tiers share, leaves see the light of the upper one, once', () => {
  const shelf: Face = { reflectance: 0.3, transmittance: 0.2 };
  const pale: Face = { reflectance: 0.8, transmittance: 0 };
  const field = lightFieldOf({
    rooms: twoTiers(shelf, pale),
    lamps: [lampOf({ ...bulb, z: 0.9 }), lampOf({ ...bulb, z: 0.4 })],
    obstructions: [],
  });
  const on = field.ppfdAt(0.3, 0.2, 0.5);
  expect(on).toBeWithin(field.ppfdAt(0.3, 0.2, 0.5001), { relative: 2e-3 });
  const map = field.map({ x0: 0.29, x1: 0.31, y0: 0.19, y1: 0.21 }, 0.5, 0.02);
  expect(map.ppfd[0]).toBeWithin(on, { relative: 5e-3 });
});

test('a box in the way throws a shadow and gives no light', () => {
  const pot = { x0: 0.6, x1: 0.7, y0: 0.2, y1: 0.3, z0: 0, z1: 0.3 };
  const scene = (obstructions: Scene['obstructions'], room: Room | null) => ({ ...sceneOf(room, bulb), obstructions });
  const open = lightFieldOf(scene([pot], null));
  expect(open.ppfdAt(0.9, 0.25, 0)).toBe(0);
  expect(open.ppfdAt(0.2, 0.25, 0)).toBeWithin(lightFieldOf(sceneOf(null, bulb)).ppfdAt(0.2, 0.25, 0), { relative: 1e-9 });
  expect(open.ppfdAt(0.65, 0.25, 0.3)).toBeGreaterThan(0); // on its top there is light
  const pale = box(allFaces(() => ({ reflectance: 0.8, transmittance: 0 })));
  const [withPot, without] = [lightFieldOf(scene([pot], pale)).ppfdAt(0.9, 0.25, 0), lightFieldOf(scene([], pale)).ppfdAt(0.9, 0.25, 0)];
  expect(withPot).toBeGreaterThan(0);
  expect(withPot).toBeLessThan(without);
});

test('a way that only touches a box is free', () => {
  const thing = { x0: 0, x1: 1, y0: 0, y1: 1, z0: 0, z1: 1 };
  expect(isHidden(thing, -1, 0.5, 0.5, 2, 0.5, 0.5)).toBe(true);
  expect(isHidden(thing, -1, 0.5, 1.01, 2, 0.5, 1.01)).toBe(false);
  expect(isHidden(thing, 0.5, 0.5, 1, 0.5, 0.5, 2)).toBe(false);
});

test('when the last lamp is taken away it is dark, whatever shone there before', () => {
  const room = box(allFaces(() => ({ reflectance: 0.8, transmittance: 0 })));
  const cache = createCache();
  expect(lightFieldOf(sceneOf(room, bulb), cache).ppfdAt(0.5, 0.25, 0.1)).toBeGreaterThan(1);
  expect(lightFieldOf({ lamps: [], rooms: [room], obstructions: [] }, cache).ppfdAt(0.5, 0.25, 0.1)).toBe(0);
});

test('a lamp just above an open box is summed as finely as one within it', () => {
  const white = { reflectance: 0.8, transmittance: 0 };
  const open = box(allFaces((name) => (name === 'ceiling' ? OPEN : white)));
  const above: Emitter = {
    kind: 'rect',
    x: 0.5,
    y: 0.25,
    z: open.height + 0.02,
    ppf: 50,
    length: 0.7,
    width: 0.1,
    turn: 0,
    cosinePower: 1,
  };
  const [plain, fine] = [1, 2].map((finer) => lightFieldOf(sceneOf(open, above), createCache(), finer));
  for (const x of [0.1, 0.3, 0.5]) expect(plain!.ppfdAt(x, 0.2, 0.1)).toBeWithin(fine!.ppfdAt(x, 0.2, 0.1), { relative: 0.015 });
});

test('what comes indirectly is all light but the straight light of the lamps of the same tier', () => {
  const shelf: Face = { reflectance: 0.1, transmittance: 0.75 };
  const faces = allFaces((name) => (name === 'floor' ? shelf : name === 'left' ? { reflectance: 0.8, transmittance: 0 } : OPEN));
  const [low, high] = [box(faces), box(faces, { z: 0.5 })];
  const above: Emitter = { ...tube, z: 0.9 };
  const field = lightFieldOf({ lamps: [lampOf(tube), { id: 'above', emitters: [above] }], rooms: [low, high], obstructions: [] });
  const indirectAt = (x: number, y: number, z: number) => field.indirectOver(Float64Array.of(x), Float64Array.of(y), z)[0]!;
  for (const [x, y] of [
    [0.1, 0.1],
    [0.5, 0.25],
    [0.9, 0.4],
  ] as const) {
    expect(indirectAt(x, y, 0.1)).toBeWithin(field.ppfdAt(x, y, 0.1) - irradianceOf(tube)(x, y, 0.1, 0, 0, 1), { absolute: 1e-9 });
    expect(indirectAt(x, y, 0.1)).toBeGreaterThan(field.reflectedAt(x, y, 0.1));
    expect(indirectAt(x, y, 0.6)).toBeWithin(field.ppfdAt(x, y, 0.6) - irradianceOf(above)(x, y, 0.6, 0, 0, 1), { absolute: 1e-9 });
  }
});

test('asked at many heights under one place, what is reflected is the same as asked one by one', () => {
  const low = box(allFaces((n) => ({ reflectance: n === 'floor' ? 0.1 : 0.85, transmittance: 0 })));
  const high = box(
    allFaces((n) => ({ reflectance: n === 'back' ? 0.9 : 0.2, transmittance: 0, specular: n === 'back' ? 0.6 : 0 })),
    { z: 0.5 },
  );
  const above: Emitter = { ...tube, z: 0.85 };
  const field = lightFieldOf({ lamps: [lampOf(tube), { id: 'above', emitters: [above] }], rooms: [low, high], obstructions: [] });
  const places = [[0.05, 0.05], [0.5, 0.25], [0.9, 0.4], [1.4, 0.2]] as const; // prettier-ignore
  const along = field.reflectedAlong(places);
  for (const z of [0.013, 0.1, 0.22, 0.31, 0.56, 0.7])
    along(z).forEach((v, i) =>
      expect(v).toBeWithin(field.reflectedAt(places[i]![0], places[i]![1], z), { relative: 0.025, absolute: 1e-9 }),
    );
  expect(along(0.1)[3]).toBe(0); // beside the rack
});

test('a lamp that was settled in its tier alone gives the same light in a rack of such tiers, wherever it stands there', () => {
  const faces = allFaces((n) => (n === 'floor' ? { reflectance: 0.3, transmittance: 0.2 } : n === 'left' ? OPEN : { reflectance: 0.7, transmittance: 0 })); // prettier-ignore
  const rack = (z: number): Scene => ({
    lamps: [lampOf({ ...tube, z: z + tube.z }), { id: 'other', emitters: [{ ...bulb, z: 0.25 }] }],
    rooms: [box(faces), box(faces, { z })],
    obstructions: [],
  });
  const cache = createCache();
  lightFieldOf(sceneOf(box(faces), tube), cache);
  for (const z of [0.5, 0.62])
    for (const [x, y, h] of [
      [0.1, 0.1, 0.05],
      [0.8, 0.3, 0.3],
    ] as const)
      // prettier-ignore
      for (const up of [0, z])
        expect(lightFieldOf(rack(z), cache).ppfdAt(x, y, up + h)).toBeWithin(lightFieldOf(rack(z)).ppfdAt(x, y, up + h), { relative: 1e-5 });
});

test('the hole of a ring is taken away everywhere: in maps and slices, in pale rooms, and where a thing hides a part of it', () => {
  const disc = { kind: 'disc', x: 0.5, y: 0.25, z: 0.4, ppf: 50, radius: 0.15, cosinePower: 1 } as const;
  const ring = ringOf(disc, 0.1);
  expect(ring.reduce((sum, e) => sum + e.ppf, 0)).toBeWithin(50, { relative: 1e-12 });
  // The same ring of narrow sectors, each shining by itself.
  const [around, across] = [60, 4];
  const sectors = Array.from({ length: around * across }, (_, i): Emitter => {
    const r = Math.sqrt(0.1 ** 2 + (((i % across) + 0.5) / across) * (0.15 ** 2 - 0.1 ** 2));
    const angle = (2 * Math.PI * Math.floor(i / across)) / around;
    return {
      kind: 'point',
      x: 0.5 + r * Math.cos(angle),
      y: 0.25 + r * Math.sin(angle),
      z: 0.4,
      ppf: 50 / (around * across),
      cosinePower: 1,
    };
  });
  const pale = box(allFaces((n) => ({ reflectance: n === 'floor' ? 0.2 : 0.7, transmittance: 0 })));
  const thing = { x0: 0.52, x1: 0.75, y0: 0.1, y1: 0.4, z0: 0.25, z1: 0.27 };
  for (const [room, things] of [
    [null, []],
    [pale, []],
    [null, [thing]],
  ] as const) {
    const fields = [ring, sectors].map((emitters) =>
      lightFieldOf({ lamps: [lampOf(...emitters)], rooms: room ? [room] : [], obstructions: things }),
    );
    const [maps, slices] = [fields.map((f) => f.map({ x0: 0.2, x1: 0.8, y0: 0, y1: 0.5 }, 0.12, 0.05)), fields.map((f) => f.slice({ x0: 0.2, x1: 0.8, z0: 0, z1: 0.2, y: 0.21 }, 0.05))] as const; // prettier-ignore
    for (const [a, b] of [maps, slices] as const) {
      const most = Math.max(...b!.ppfd);
      a!.ppfd.forEach((v, i) => expect(v).toBeWithin(b!.ppfd[i]!, { absolute: 0.02 * most }));
    }
  }
});
