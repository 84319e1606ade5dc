import fc from 'fast-check';
import { evenly } from '../../../../test/evenly';
import type { Emitter } from '../emitters/Emitter';
import { ppfdAtPoint } from '../ppfdAtPoint';
import { createCache } from './Cache';
import { lightFieldOf } from './LightField';

const AREA = { x0: 0, x1: 1, y0: 0, y1: 0.5 };
const SLICE = { x0: 0, x1: 1, z0: 0, z1: 0.5, y: 0.25 };

/** Turned, tilted or not, before the slice and behind it, some at the same height and some at the same distance from it. */
const lamp: fc.Arbitrary<Emitter> = fc
  .tuple(
    evenly(0.1, 0.9),
    fc.constantFrom(0.1, 0.2, 0.3, 0.4),
    fc.constantFrom(0.3, 0.4, 0.45),
    fc.constantFrom(0, 0, Math.PI / 2, 0.4),
    fc.constantFrom(0, 0, 0.3),
    fc.integer({ min: 0, max: 4 }),
  )
  .map(([x, y, z, turn, tilt, kind]): Emitter => {
    const at = { x, y, z, ppf: 20, turn, ...(tilt > 0 && { tilt }) };
    if (kind === 0) return { kind: 'point', ...at, cosinePower: 2 };
    if (kind === 1) return { kind: 'disc', ...at, radius: 0.06, cosinePower: 1.5 };
    if (kind === 2) return { kind: 'rect', ...at, length: 0.4, width: 0.1, cosinePower: 1 };
    if (kind === 3) return { kind: 'rect', ...at, length: 0.3, width: 0.1, cosinePower: 1.2, diodes: { columns: 6, rows: 2 } };
    return { kind: 'tube', ...at, length: 0.5, diameter: 0.026, shaded: tilt > 0 };
  });

test('maps and slices agree with single points, whatever has been worked out before of lamps of the same kind', () => {
  const cache = createCache();
  fc.assert(
    fc.property(fc.array(lamp, { minLength: 1, maxLength: 4 }), fc.constantFrom(0, 0.08, 0.2), (emitters, z) => {
      const field = lightFieldOf({ lamps: [{ id: 'lamps', emitters }], rooms: [], obstructions: [] }, cache);
      const map = field.map(AREA, z, 0.02);
      const slice = field.slice(SLICE, 0.02);
      const most = map.ppfd.reduce((a, b) => Math.max(a, b), 0);
      for (let k = 0; k < map.ppfd.length; k += 37) {
        const [x, y] = [((k % map.columns) + 0.5) * 0.02, (Math.floor(k / map.columns) + 0.5) * 0.02];
        expect(map.ppfd[k]!).toBeWithin(ppfdAtPoint(emitters, x, y, z), { relative: 1e-3, absolute: 3e-3 * most });
      }
      for (let k = 0; k < slice.ppfd.length; k += 37) {
        const [x, height] = [((k % slice.columns) + 0.5) * 0.02, (Math.floor(k / slice.columns) + 0.5) * 0.02];
        const there = ppfdAtPoint(emitters, x, SLICE.y, height);
        expect(slice.ppfd[k]!).toBeWithin(there, { relative: 3e-3, absolute: 3e-3 * most });
      }
    }),
    { numRuns: 60 },
  );
});

test('a pair before and behind a slice is not one lamp to a map, nor where a thing stands before one of them', () => {
  const pair = [0.1, 0.4].map((y): Emitter => ({ kind: 'disc', x: 0.5, y, z: 0.4, ppf: 20, radius: 0.05, cosinePower: 1 }));
  const at = (emitters: readonly Emitter[], hidden: boolean) => {
    const thing = { x0: 0.3, x1: 0.7, y0: 0.1, y1: 0.2, z0: 0.2, z1: 0.25 };
    const field = lightFieldOf({ lamps: [{ id: 'lamps', emitters }], rooms: [], obstructions: hidden ? [thing] : [] });
    return { map: field.map(AREA, 0, 0.1).ppfd, slice: field.slice(SLICE, 0.1).ppfd };
  };
  const sum = (values: Float32Array) => values.reduce((a, b) => a + b, 0);
  for (const hidden of [false, true]) {
    const [both, ...each] = [at(pair, hidden), ...pair.map((e) => at([e], hidden))];
    expect(sum(both!.map)).toBeWithin(sum(each[0]!.map) + sum(each[1]!.map), { relative: 1e-5 });
    expect(sum(both!.slice)).toBeWithin(sum(each[0]!.slice) + sum(each[1]!.slice), { relative: 1e-5 });
    if (hidden) expect(sum(each[0]!.slice)).toBeLessThan(0.9 * sum(each[1]!.slice));
    else expect(sum(each[0]!.slice)).toBeWithin(sum(each[1]!.slice), { relative: 1e-6 });
  }
});
