import fc from 'fast-check';
import { evenly } from '../../../../test/evenly';
import { lightOf } from '../ppfdAtPoint';
import type { Emitter, TubeEmitter } from './Emitter';
import { frameOf } from './frameOf';
import { irradianceOf } from './irradianceOf';

const up = (e: Emitter, x: number, y: number, z: number) => irradianceOf(e)(x, y, z, 0, 0, 1);
const place = evenly(-0.6, 0.6);
const at = fc.record({ x: place, y: place, z: evenly(0.1, 0.8), ppf: evenly(1, 200) });
const beam = fc.oneof(fc.constant(1), evenly(0.4, 6));
const emitter: fc.Arbitrary<Emitter> = fc.oneof(
  fc.tuple(at, fc.oneof(fc.constant(null), beam)).map(([a, cosinePower]): Emitter => ({ kind: 'point', ...a, cosinePower })),
  fc.tuple(at, evenly(0.1, 1.5), evenly(0, 3)).map(([a, length, turn]): Emitter => ({ kind: 'tube', ...a, length, turn })),
  fc
    .tuple(at, evenly(0.1, 1.5), fc.oneof(fc.constant(0), evenly(0.02, 0.6)), evenly(0, 3), beam)
    .map(([a, length, width, turn, cosinePower]): Emitter => ({ kind: 'rect', ...a, length, width, turn, cosinePower })),
  fc.tuple(at, evenly(0.02, 0.3), beam).map(([a, radius, cosinePower]): Emitter => ({ kind: 'disc', ...a, radius, cosinePower })),
);

test('on level leaves the general way agrees with the closed forms', () => {
  fc.assert(
    fc.property(emitter, place, place, (e, x, y) => {
      const closed = lightOf(e)(x, y, 0);
      expect(up(e, x, y, 0)).toBeWithin(closed, { relative: 6e-3 });
    }),
    { numRuns: 400 },
  );
});

test('turning the whole world changes nothing, however the lamp is tilted and pitched', () => {
  fc.assert(
    fc.property(emitter, evenly(-1.2, 1.2), evenly(-1, 1), evenly(0, 6), place, place, (e, tilt, pitch, turn, x, y) => {
      const lamp = { ...e, x: 0, y: 0, z: 0.7, tilt, pitch, turn: 0 } as Emitter;
      const [c, s] = [Math.cos(turn), Math.sin(turn)];
      const light = up({ ...lamp, turn } as Emitter, x * c - y * s, x * s + y * c, 0);
      expect(light).toBeWithin(up(lamp, x, y, 0), { relative: 1e-6 });
    }),
  );
});

test('a lamp tilted on its side lights a wall as a level one lights the floor', () => {
  fc.assert(
    fc.property(emitter, place, place, evenly(0.1, 0.6), (e, a, b, d) => {
      const level = { ...e, x: 0, y: 0, z: 0, turn: 0 } as Emitter;
      // Tilted by 90° it shines towards +y; what was below it (−z) is now at +y, what was at +y is now above.
      const side = irradianceOf({ ...level, tilt: Math.PI / 2 } as Emitter)(a, d, b, 0, -1, 0);
      expect(side).toBeWithin(up(level, a, b, -d), { relative: 1e-6 });
    }),
  );
});

test('the frame is right-angled and of unit length, and shines down when untouched', () => {
  fc.assert(
    fc.property(evenly(-3, 3), evenly(-3, 3), evenly(-3, 3), (turn, tilt, pitch) => {
      const { u, v, w } = frameOf({ turn, tilt, pitch });
      const dot = (a: readonly number[], b: readonly number[]) => a.reduce((sum, n, i) => sum + n * b[i]!, 0);
      for (const axis of [u, v, w]) expect(dot(axis, axis)).toBeWithin(1, { relative: 1e-12 });
      for (const pair of [dot(u, v), dot(v, w), dot(w, u)]) expect(pair).toBeWithin(0, { absolute: 1e-12 });
    }),
  );
  expect(frameOf({}).w.map((n) => n + 0)).toEqual([0, 0, -1]);
});

/** Every small piece of a cylinder's surface that faces the receiver, added up. */
function piecewise({ x: x0, y: y0, z: z0, length, ppf, diameter }: TubeEmitter, x: number, y: number, z: number): number {
  const radius = diameter! / 2;
  const radiance = ppf / (Math.PI * Math.PI * diameter! * length);
  const along = 1500, around = 120; // prettier-ignore
  let sum = 0;
  for (let i = 0; i < along; i++) {
    const px = x0 + ((i + 0.5) / along - 0.5) * length - x;
    for (let k = 0; k < around; k++) {
      const t = (2 * Math.PI * (k + 0.5)) / around;
      const [ny, nz] = [Math.cos(t), Math.sin(t)];
      const py = y0 + radius * ny - y, pz = z0 + radius * nz - z; // prettier-ignore
      const d2 = px * px + py * py + pz * pz;
      const facing = -(py * ny + pz * nz);
      if (facing > 0 && pz > 0) sum += (facing * pz) / (d2 * d2);
    }
  }
  return (radiance * sum * length * 2 * Math.PI * radius) / (along * around);
}

test.each([
  [0, 0, 0.04],
  [0.28, 0.01, 0.05],
  [0.1, 0.2, 0.03],
  // Farther off than twenty diameters, where a line would be wrong by up to a third beyond the ends.
  [0.02, 0.7, 0.4],
  [0.5, 0.02, 0.12],
  [1.1, 0.1, 0.3],
])('a real tube lights (%d, %d) at %d m below as its whole surface does', (x, y, h) => {
  const tube: TubeEmitter = { kind: 'tube', x: 0, y: 0, z: h, ppf: 30, length: 0.6, diameter: 0.038, turn: 0 };
  expect(up(tube, x, y, 0)).toBeWithin(piecewise(tube, x, y, 0), { relative: 3e-3 });
});

test.each([
  [0.34, 0, 0.05],
  [0.4, 0.05, 0.08],
])('and beyond its ends, at (%d, %d), %d m below, where a line would be wrong by tens of per cent', (x, y, h) => {
  const tube: TubeEmitter = { kind: 'tube', x: 0, y: 0, z: h, ppf: 30, length: 0.6, diameter: 0.038, turn: 0 };
  const whole = piecewise(tube, x, y, 0);
  expect(up(tube, x, y, 0)).toBeWithin(whole, { relative: 1e-2 });
  expect(Math.abs(up({ ...tube, diameter: 0 }, x, y, 0) / whole - 1)).toBeGreaterThan(0.1);
});

test('a thin tube is a line, and a thick one far away nearly so', () => {
  fc.assert(
    fc.property(evenly(-0.8, 0.8), evenly(-0.4, 0.4), evenly(0.1, 0.6), evenly(0.3, 1.2), (x, y, z, length) => {
      const line: TubeEmitter = { kind: 'tube', x: 0, y: 0, z, ppf: 30, length, turn: 0 };
      expect(up({ ...line, diameter: 1e-5 }, x, y, 0)).toBeWithin(up(line, x, y, 0), { relative: 4e-4 });
      expect(up({ ...line, diameter: 0.0002 }, x, y, 0)).toBeWithin(up(line, x, y, 0), { relative: 8e-3 });
    }),
  );
});

test('beyond the dark end of a tube, in line with it, there is no light', () => {
  const tube: TubeEmitter = { kind: 'tube', x: 0, y: 0, z: 0, ppf: 30, length: 0.6, diameter: 0.038, turn: 0 };
  expect(irradianceOf(tube)(0.4, 0, 0.01, -1, 0, 0)).toBe(0);
  expect(irradianceOf(tube)(0.4, 0, 0.05, -1, 0, 0)).toBeGreaterThan(0);
});

test('diodes are points near by and an even face far away', () => {
  const even: Emitter = { kind: 'rect', x: 0, y: 0, z: 0, ppf: 10, length: 0.4, width: 0.2, turn: 0, cosinePower: 1 };
  const board: Emitter = { ...even, diodes: { columns: 8, rows: 4 } };
  // Half-way between four diodes, 5 mm below: far less than under the even face, and right under one far more.
  expect(lightOf(board)(0, 0, -0.005)).toBeLessThan(0.3 * lightOf(even)(0, 0, -0.005));
  expect(lightOf(board)(0.025, 0.025, -0.005)).toBeGreaterThan(3 * lightOf(even)(0.025, 0.025, -0.005));
  for (const [x, y] of [[0, 0], [0.19, 0.09], [0.3, 0.2]] as const) expect(up(board, x, y, -0.6)).toBeWithin(lightOf(even)(x, y, -0.6), { relative: 2e-3 }); // prettier-ignore
});

/** Light on the inside of a large ball around the lamp: all that it sends out. */
function wholeFlux(e: Emitter): number {
  const light = irradianceOf(e);
  let sum = 0;
  const n = 300;
  for (let i = 0; i < n; i++) {
    const cos = 1 - (2 * (i + 0.5)) / n;
    const sin = Math.sqrt(1 - cos * cos);
    for (let k = 0; k < n; k++) {
      const t = (2 * Math.PI * (k + 0.5)) / n;
      const [nx, ny, nz] = [sin * Math.cos(t), sin * Math.sin(t), cos];
      sum += light(3 * nx, 3 * ny, 3 * nz, -nx, -ny, -nz);
    }
  }
  return (sum * 4 * Math.PI * 9) / (n * n);
}

test.each<[string, Emitter]>([
  ['bulb', { kind: 'point', x: 0.1, y: 0, z: 0, ppf: 10, cosinePower: null }],
  ['tilted spot', { kind: 'point', x: 0.1, y: 0, z: 0, ppf: 10, cosinePower: 5, tilt: 1, pitch: 0.4 }],
  ['tilted tube', { kind: 'tube', x: 0, y: 0.2, z: 0, ppf: 10, length: 1, diameter: 0.03, turn: 1, pitch: 0.6 }],
  ['line', { kind: 'tube', x: 0, y: 0.2, z: 0, ppf: 10, length: 1, turn: 1 }],
  ['tilted panel', { kind: 'rect', x: 0, y: 0.2, z: 0, ppf: 10, length: 0.6, width: 0.4, turn: 1, tilt: 0.7, cosinePower: 1 }],
  ['disc with a beam', { kind: 'disc', x: 0, y: 0.2, z: 0, ppf: 10, radius: 0.2, cosinePower: 2.2, tilt: -0.3 }],
])('all that a %s sends out arrives on a ball around it', (_, e) => expect(wholeFlux(e)).toBeWithin(10, { relative: 2e-3 }));

test('a strip or panel of any beam is what its points add up to, wherever the receiver looks', () => {
  const direction = fc.tuple(evenly(-1, 1), evenly(-1, 1), evenly(-1, 1)).filter(([a, b, c]) => Math.hypot(a, b, c) > 0.1);
  const sides = fc.tuple(evenly(0.05, 0.9), evenly(0.02, 0.3));
  fc.assert(
    fc.property(
      sides,
      evenly(0.4, 5),
      evenly(0, 3),
      evenly(-1, 1),
      place,
      place,
      evenly(0.75, 1.2),
      direction,
      (size, n, turn, tilt, x, y, z, way) => {
        const [length, width] = size;
        const lamp: Emitter = { kind: 'rect', x: 0, y: 0, z, ppf: 1, length, width, turn, tilt, cosinePower: n };
        const { u, v } = frameOf(lamp);
        const d = Math.hypot(...way);
        const [nx, ny, nz] = way.map((c) => c / d) as [number, number, number];
        let sum = 0;
        const [N, M] = [60, 24];
        for (let i = 0; i < N; i++)
          for (let j = 0; j < M; j++) {
            const [a, b] = [((i + 0.5) / N - 0.5) * length, ((j + 0.5) / M - 0.5) * width];
            const at = { x: a * u[0] + b * v[0], y: a * u[1] + b * v[1], z: z + a * u[2] + b * v[2] };
            sum += irradianceOf({ kind: 'point', ...at, ppf: 1 / (N * M), turn, tilt, cosinePower: n } as Emitter)(x, y, 0, nx, ny, nz);
          }
        expect(irradianceOf(lamp)(x, y, 0, nx, ny, nz)).toBeWithin(sum, { absolute: 6e-3 * sum + 5e-3 });
      },
    ),
    { numRuns: 40 },
  );
});
