import fc from 'fast-check';
import { evenly } from '../../../../test/evenly';
import { lightOf, ppfdAtPoint } from '../ppfdAtPoint';
import { cosineIntegral, cosinePowerOfBeam } from './cosinePower';
import type { Emitter } from './Emitter';

const ppfdFromEmitter = (e: Emitter, x: number, y: number, z: number) => lightOf(e)(x, y, z);
const place = evenly(-0.6, 0.6);
const at = fc.record({ x: place, y: place, z: evenly(0.05, 1), ppf: evenly(1, 200) });
const beam = evenly(0.4, 8);
const emitter: fc.Arbitrary<Emitter> = fc.oneof(
  fc.tuple(at, fc.oneof(fc.constant(null), beam)).map(([a, cosinePower]): Emitter => ({ kind: 'point', ...a, cosinePower })),
  fc.tuple(at, evenly(0.1, 1.5), evenly(0, 3)).map(([a, length, turn]): Emitter => ({ kind: 'tube', ...a, length, turn })),
  fc
    .tuple(at, evenly(0.1, 1.5), fc.oneof(fc.constant(0), evenly(0.02, 0.6)), evenly(0, 3), fc.oneof(fc.constant(1), beam))
    .map(([a, length, width, turn, cosinePower]): Emitter => ({ kind: 'rect', ...a, length, width, turn, cosinePower })),
  fc
    .tuple(at, evenly(0.02, 0.3), fc.oneof(fc.constant(1), beam))
    .map(([a, radius, cosinePower]): Emitter => ({ kind: 'disc', ...a, radius, cosinePower })),
);

/** Of a lamp’s photons, so few on a square metre are none: where sines of grazing rays are raised to high powers. */
const NOTHING = 1e-9;

test('making every length k times as long divides the light by k²', () => {
  fc.assert(
    fc.property(emitter, place, place, evenly(0.2, 5), (e, x, y, k) => {
      const grown = { ...e, x: e.x * k, y: e.y * k, z: e.z * k } as Emitter;
      const larger = (
        grown.kind === 'rect'
          ? { ...grown, length: grown.length * k, width: grown.width * k }
          : grown.kind === 'tube'
            ? { ...grown, length: grown.length * k }
            : grown.kind === 'disc'
              ? { ...grown, radius: grown.radius * k }
              : grown
      ) as Emitter;
      const expected = ppfdFromEmitter(e, x, y, 0) / k ** 2;
      expect(ppfdFromEmitter(larger, k * x, k * y, 0)).toBeWithin(expected, { absolute: 1e-6 * expected + NOTHING * e.ppf });
    }),
  );
});

test('moving lamp and place together changes nothing', () => {
  fc.assert(
    fc.property(emitter, place, place, place, place, (e, x, y, dx, dy) => {
      const moved = { ...e, x: e.x + dx, y: e.y + dy };
      expect(ppfdFromEmitter(moved, x + dx, y + dy, 0)).toBeWithin(ppfdFromEmitter(e, x, y, 0), { relative: 1e-6 });
    }),
  );
});

test('turning lamp and place together about the lamp changes nothing', () => {
  fc.assert(
    fc.property(emitter, place, place, evenly(0, 6), (e, dx, dy, turn) => {
      const turned = { ...e, turn: (e.turn ?? 0) + turn } as Emitter;
      const [c, s] = [Math.cos(turn), Math.sin(turn)];
      const there = ppfdFromEmitter(turned, e.x + dx * c - dy * s, e.y + dx * s + dy * c, 0);
      // Nearly along the face a narrow beam magnifies the last figures of sine and cosine.
      expect(there).toBeWithin(ppfdFromEmitter(e, e.x + dx, e.y + dy, 0), { relative: 1e-5 });
    }),
  );
});

test('two lamps give the sum, twice the photons twice the light, and never less than none', () => {
  fc.assert(
    fc.property(emitter, emitter, place, place, (a, b, x, y) => {
      const [la, lb] = [ppfdFromEmitter(a, x, y, 0), ppfdFromEmitter(b, x, y, 0)];
      expect(la).toBeGreaterThanOrEqual(0);
      expect(ppfdAtPoint([a, b], x, y, 0)).toBeWithin(la + lb, { relative: 1e-12 });
      expect(ppfdFromEmitter({ ...a, ppf: 2 * a.ppf }, x, y, 0)).toBeWithin(2 * la, { relative: 1e-12 });
    }),
  );
});

test('no lamp lights a level leaf above itself', () => {
  fc.assert(fc.property(emitter, place, place, (e, x, y) => ppfdFromEmitter(e, x, y, e.z + 0.01) === 0));
});

/** Sum of the light over a very wide floor; what falls outside is the rest of a far field ∝ 1/d³ or less. */
function landing(e: Emitter): number {
  // Polar midpoint sum around the lamp; radii spread as s/(1−s), so the rings reach 400 times the height.
  let sum = 0;
  const rings = 200, spokes = 24; // prettier-ignore
  for (let i = 0; i < rings; i++) {
    const s0 = i / rings, s1 = (i + 1) / rings, s = (s0 + s1) / 2; // prettier-ignore
    if (i === rings - 1) break;
    const [r0, r1, r] = [s0 / (1 - s0), s1 / (1 - s1), s / (1 - s)];
    for (let k = 0; k < spokes; k++) {
      const turn = (2 * Math.PI * (k + 0.5)) / spokes;
      sum += ppfdFromEmitter(e, e.x + r * Math.cos(turn), e.y + r * Math.sin(turn), 0) * ((Math.PI * (r1 ** 2 - r0 ** 2)) / spokes);
    }
  }
  return sum;
}

test.each<[string, Emitter, number]>([
  ['an even bulb sends half of its photons down', { kind: 'point', x: 0, y: 0, z: 0.3, ppf: 10, cosinePower: null }, 5],
  ['a beam sends all of them down', { kind: 'point', x: 0, y: 0, z: 0.3, ppf: 10, cosinePower: 3.3 }, 10],
  ['a tube sends half of them down', { kind: 'tube', x: 0, y: 0, z: 0.3, ppf: 10, length: 0.6, turn: 0.4 }, 5],
  ['a strip sends all of them down', { kind: 'rect', x: 0, y: 0, z: 0.3, ppf: 10, length: 0.6, width: 0, turn: 1, cosinePower: 1.7 }, 10],
  ['so does a panel', { kind: 'rect', x: 0, y: 0, z: 0.3, ppf: 10, length: 0.4, width: 0.3, turn: 1, cosinePower: 1 }, 10],
  ['and a panel with a beam', { kind: 'rect', x: 0, y: 0, z: 0.3, ppf: 10, length: 0.4, width: 0.3, turn: 0, cosinePower: 1.5 }, 10],
  ['and a disc', { kind: 'disc', x: 0, y: 0, z: 0.3, ppf: 10, radius: 0.2, cosinePower: 1 }, 10],
  ['and a disc with a beam', { kind: 'disc', x: 0, y: 0, z: 0.3, ppf: 10, radius: 0.2, cosinePower: 4 }, 10],
])('%s', (_, e, expected) => expect(landing(e)).toBeWithin(expected, { relative: 0.01 }));

test.each([0.05, 0.2, 1])('a panel with a beam equals many points with that beam, %d widths away', (gap) => {
  const rect: Emitter = { kind: 'rect', x: 0, y: 0, z: 0.1 * gap, ppf: 1, length: 0.3, width: 0.1, turn: 0, cosinePower: 1.12 };
  for (const [x, y] of [
    [0, 0],
    [0.02, 0.013],
    [0.15, 0.05],
    [0.3, 0.2],
  ] as const) {
    // prettier-ignore
    let sum = 0;
    const nx = 900, ny = 300; // prettier-ignore
    for (let j = 0; j < ny; j++) {
      const py = ((j + 0.5) / ny - 0.5) * 0.1;
      for (let i = 0; i < nx; i++) {
        const d2 = (x - ((i + 0.5) / nx - 0.5) * 0.3) ** 2 + (y - py) ** 2 + rect.z ** 2;
        sum += Math.pow((rect.z * rect.z) / d2, (1.12 + 1) / 2) / d2;
      }
    }
    const points = ((1.12 + 1) / (2 * Math.PI)) * (sum / (nx * ny));
    expect(ppfdFromEmitter(rect, x, y, 0)).toBeWithin(points, { relative: 1e-3 });
  }
});

test.each([0.2, 0.5, 2])('a disc with a beam equals many points with that beam, %d radii away', (gap) => {
  const disc: Emitter = { kind: 'disc', x: 0, y: 0, z: 0.1 * gap, ppf: 1, radius: 0.1, cosinePower: 4 };
  for (const x of [0, 0.05, 0.1, 0.25]) {
    let sum = 0;
    const n = 500;
    for (let i = 0; i < n; i++) {
      const r = 0.1 * Math.sqrt((i + 0.5) / n);
      for (let k = 0; k < n; k++) {
        const t = (2 * Math.PI * (k + 0.5)) / n;
        const d2 = (x - r * Math.cos(t)) ** 2 + (r * Math.sin(t)) ** 2 + disc.z ** 2;
        sum += (disc.z * disc.z / d2) ** 2.5 / d2; // prettier-ignore
      }
    }
    expect(ppfdFromEmitter(disc, x, 0, 0)).toBeWithin(((5 / (2 * Math.PI)) * sum) / n ** 2, { relative: 1e-3 });
  }
});

test('touching the middle of a wide lamp, a leaf gets the flux of the lamp over its area, whatever the beam', () => {
  fc.assert(
    fc.property(evenly(0.5, 6), (cosinePower) => {
      const near = { x: 0, y: 0, z: 1e-5, ppf: 1, cosinePower };
      expect(ppfdFromEmitter({ kind: 'rect', ...near, length: 0.3, width: 0.2, turn: 0 }, 0.03, 0.02, 0)).toBeWithin(1 / 0.06, {
        relative: 5e-3,
      });
      expect(ppfdFromEmitter({ kind: 'disc', ...near, radius: 0.1 }, 0.02, 0, 0)).toBeWithin(1 / (Math.PI * 0.01), { relative: 5e-3 });
    }),
  );
});

test('the beam angle and the exponent name the same beam', () => {
  expect(cosinePowerOfBeam((120 * Math.PI) / 180)).toBeWithin(1, { relative: 1e-12 });
  expect(cosinePowerOfBeam(Math.PI / 2)).toBeWithin(2, { relative: 1e-12 });
  expect(() => cosinePowerOfBeam(Math.PI)).toThrow('fwhm_rad');
  expect(() => cosinePowerOfBeam(NaN)).toThrow(RangeError);
});

test('the table of cosine integrals agrees with the closed forms', () => {
  fc.assert(
    fc.property(evenly(-Math.PI / 2, Math.PI / 2), (phi) => {
      expect(cosineIntegral(2)(phi)).toBeWithin((phi + Math.sin(phi) * Math.cos(phi)) / 2, { absolute: 1e-7 });
      expect(cosineIntegral(3)(phi)).toBeWithin(Math.sin(phi) - Math.sin(phi) ** 3 / 3, { absolute: 1e-7 });
    }),
  );
});
