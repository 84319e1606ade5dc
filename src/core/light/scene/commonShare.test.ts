import fc from 'fast-check';
import { evenly } from '../../../../test/evenly';
import type { Face, Room } from '../room/Room';
import { commonShareOf } from './commonShare';
import { visibilityOf } from './visibility';

const face = (transmittance: number): Face => ({ reflectance: 0, transmittance });
const share = fc.constantFrom(0, 0.3, 0.5, 1);

/** A rack of up to four tiers, some of them touching, with sides or without. */
const rack = fc
  .record({
    heights: fc.array(evenly(0.2, 0.6), { minLength: 1, maxLength: 4 }),
    gap: fc.constantFrom(0, 0.02),
    shelf: share,
    left: share,
    back: share,
    narrower: fc.boolean(),
  })
  .map(({ heights, gap, shelf, left, back, narrower }) => {
    let z = 0;
    return heights.map((height, i): Room => {
      const open = face(1);
      const faces = { floor: face(shelf), ceiling: face(shelf), left: face(left), right: open, front: open, back: face(back) };
      const room: Room = { x: 0, y: 0, z, width: narrower && i % 2 ? 0.7 : 1, depth: 0.5, height, faces };
      z += height + gap;
      return room;
    });
  });

const box = fc
  .tuple(evenly(-0.2, 1.2), evenly(-0.2, 0.7), evenly(0, 2), evenly(0, 0.8), evenly(0, 0.4), evenly(0, 0.3))
  .map(([x, y, z, w, d, h]) => ({ low: [x, y, z], high: [x + w, y + d, z + h] }) as const);

const within = fc.array(evenly(0, 1), { minLength: 6, maxLength: 6 });

test('what is said of two boxes is what every way between them lets through', () => {
  let told = 0;
  fc.assert(
    fc.property(rack, box, box, fc.array(within, { minLength: 30, maxLength: 30 }), (rooms, a, b, ways) => {
      const said = commonShareOf({ rooms, obstructions: [] })(a, b);
      if (said === null) return;
      told++;
      const seen = visibilityOf({ rooms, obstructions: [] });
      const at = ({ low, high }: typeof a, k: 0 | 1 | 2, t: number) => low[k] + t * (high[k] - low[k]);
      const passes = (ways as [number, number, number, number, number, number][]).map(([t, u, v, p, q, r]) =>
        seen(at(a, 0, t), at(a, 1, u), at(a, 2, v), at(b, 0, p), at(b, 1, q), at(b, 2, r)),
      );
      expect(Math.max(...passes.map((p) => Math.abs(p - said)))).toBeLessThan(1e-12);
    }),
    { numRuns: 3000 },
  );
  expect(told).toBeGreaterThan(500);
});

test('a lamp two tiers up comes through the whole of two shelves; a thing in the way, or a shelf that ends there, has to be looked at', () => {
  const open = face(1);
  const tier = (z: number): Room => ({ x: 0, y: 0, z, width: 1, depth: 0.5, height: 0.4, faces: { floor: face(0.6), ceiling: face(0.6), left: open, right: open, front: open, back: open } }); // prettier-ignore
  const rooms = [tier(0), tier(0.42), tier(0.84)];
  const lamp = { low: [0.1, 0.1, 1.1], high: [0.9, 0.4, 1.1] } as const;
  const tray = { low: [0, 0, 0.05], high: [1, 0.5, 0.05] } as const;
  expect(commonShareOf({ rooms, obstructions: [] })(lamp, tray)).toBeCloseTo(0.36, 12);
  expect(commonShareOf({ rooms, obstructions: [] })(lamp, { ...tray, high: [1.01, 0.5, 0.05] })).toBeNull();
  const pot = { x0: 0.4, x1: 0.5, y0: 0.2, y1: 0.3, z0: 0, z1: 0.2 };
  expect(commonShareOf({ rooms, obstructions: [pot] })(lamp, tray)).toBeNull();
});
