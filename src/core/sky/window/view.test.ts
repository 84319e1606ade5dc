import fc from 'fast-check';
import { outdoorsAt } from '../outdoors/outdoorsAt';
import { evenly } from '../../../../test/evenly';
import { highestSeen, horizonAt, steepnessOf, sunComesIn, sunSeen, widthSeen, type Aperture } from './Aperture';
import { evenGlass, glass, PANE_KINDS } from './Glass';
import { comesBack } from './Inside';
import { sillLight, sillOf } from './sillLight';
import { viewOf } from './viewOf';

const RAD = Math.PI / 180;
const open: Aperture = { depth: 0.5, left: -0.6, right: 0.6, bottom: 0, top: 1.2, reveal: 0, lintels: [], horizon: [] };
const apertures = fc.record({
  depth: fc.double({ min: 0.05, max: 3, noNaN: true }),
  left: fc.double({ min: -2, max: -0.1, noNaN: true }),
  right: fc.double({ min: 0.1, max: 2, noNaN: true }),
  bottom: fc.double({ min: -0.5, max: 0.5, noNaN: true }),
  top: fc.double({ min: 0.6, max: 2, noNaN: true }),
  reveal: fc.double({ min: 0, max: 0.4, noNaN: true }),
  lintels: fc.array(
    fc.record({ away: fc.double({ min: 0.05, max: 3, noNaN: true }), over: fc.double({ min: 0.6, max: 2.5, noNaN: true }) }),
    { maxLength: 2 },
  ),
  horizon: fc
    .array(
      fc.record({ azimuth: fc.double({ min: -1.5, max: 1.5, noNaN: true }), elevation: fc.double({ min: 0, max: 1.2, noNaN: true }) }),
      {
        maxLength: 5,
      },
    )
    .map((points) => points.sort((a, b) => a.azimuth - b.azimuth)),
});

test('an open window sees what the closed form for a rectangle gives', () => {
  // Howell, Catalog of Radiation Configuration Factors, B-3 (parallel) and B-4 (at a right angle), one quarter each.
  const parallel = (a: number, b: number, c: number) => {
    const [x, y] = [a / c, b / c];
    const [p, q] = [Math.hypot(1, x), Math.hypot(1, y)];
    return ((x / p) * Math.atan(y / p) + (y / q) * Math.atan(x / q)) / (2 * Math.PI);
  };
  const upright = (a: number, b: number, c: number) =>
    (Math.atan(b / c) - (c / Math.hypot(a, c)) * Math.atan(b / Math.hypot(a, c))) / (2 * Math.PI);
  for (const [half, height, depth] of [
    [0.6, 1.2, 0.1],
    [0.3, 2, 1],
    [1.4, 0.5, 3],
  ] as const) {
    const seen = viewOf({ ...open, left: -half, right: half, top: height, depth });
    expect(seen.facing.uniform).toBeCloseTo(2 * parallel(half, height, depth), 8);
    expect(seen.up.uniform).toBeCloseTo(2 * upright(height, half, depth), 8);
  }
});

test('sky and things share what is seen, and no part is negative', () => {
  fc.assert(
    fc.property(apertures, (a) => {
      const bare = viewOf({ ...a, horizon: [] });
      const built = viewOf(a);
      for (const side of ['up', 'facing'] as const) {
        expect(built[side].uniform + built[side].obstructions).toBeCloseTo(bare[side].uniform, 5);
        for (const share of Object.values(built[side])) expect(share).toBeGreaterThanOrEqual(-1e-12);
        expect(built[side].uniform).toBeLessThanOrEqual(bare[side].uniform + 1e-6);
      }
    }),
  );
});

test('a view is what its rays say: a brute count of directions agrees', () => {
  fc.assert(
    fc.property(apertures, (a) => {
      let up = 0;
      const N = 400;
      for (let i = 0; i < N; i++)
        for (let j = 0; j < N; j++) {
          // Even in azimuth and in the square of sin γ: every direction counts alike on level leaves.
          const azimuth = ((i + 0.5) / N - 0.5) * Math.PI;
          const elevation = Math.asin(Math.sqrt((j + 0.5) / N));
          if (sunComesIn(a, azimuth, elevation)) up++;
        }
      expect(viewOf(a).up.uniform).toBeCloseTo(up / N / N / 2, 2);
    }),
    { numRuns: 12 },
  );
});

test('more depth, a thicker wall or a longer roof never let more light in', () => {
  fc.assert(
    fc.property(apertures, (a) => {
      const seen = viewOf(a).up.overcast;
      const less = [
        { ...a, reveal: a.reveal + 0.1 },
        { ...a, lintels: [...a.lintels, { away: 1, over: 1 }] },
      ];
      for (const other of less) expect(viewOf(other).up.overcast).toBeLessThanOrEqual(seen + 1e-9);
    }),
  );
  for (let depth = 0.1; depth < 3; depth += 0.2)
    expect(viewOf({ ...open, depth: depth + 0.2 }).up.overcast).toBeLessThan(viewOf({ ...open, depth }).up.overcast);
});

test('the line of what stands outside is read between its points, and level beyond them', () => {
  const line = [
    { azimuth: -0.5, elevation: 0.2 },
    { azimuth: 0.5, elevation: 0.6 },
  ];
  expect(horizonAt([], 0)).toBe(0);
  expect(horizonAt(line, -1)).toBe(0.2);
  expect(horizonAt(line, 0)).toBeCloseTo(0.4);
  expect(horizonAt(line, 0.25)).toBeCloseTo(0.5);
  expect(horizonAt(line, 1)).toBe(0.6);
});

test('a roof of one metre at the head of the glass hides what is steeper than its edge', () => {
  const a = { ...open, lintels: [{ away: 1.5, over: 1.2 }] };
  expect(highestSeen(steepnessOf(a), 0)).toBeCloseTo(Math.atan(1.2 / 1.5), 9);
  expect(widthSeen({ ...open, reveal: 0.3 }).to).toBeCloseTo(Math.atan(0.6 / 0.8), 9);
});

test('panes pass what makers declare straight on, less of a whole sky and nothing from the side', () => {
  // Declared by EN 410 for 4 mm panes: 0.90, 0.81–0.82, 0.74–0.80, 0.68–0.74.
  const straight = PANE_KINDS.map((kind) => glass(kind).beam(1));
  expect(straight[0]).toBeCloseTo(0.9, 2);
  expect(straight[1]).toBeCloseTo(0.815, 2);
  for (const kind of PANE_KINDS) {
    const g = glass(kind);
    expect(g.diffuse).toBeLessThan(g.beam(1));
    expect(g.beam(0)).toBe(0);
    expect(g.beam(-0.4)).toBe(0);
    for (let c = 0.05; c < 1; c += 0.05) expect(g.beam(c)).toBeLessThanOrEqual(g.beam(c + 0.05) + 1e-9);
  }
  // Published ratio of diffuse to straight for single glass: about 0.91–0.93 (Duffie & Beckman, fig. 5.1.3 at 60°).
  expect(glass('single').beam(0.5) / glass('single').beam(1)).toBeCloseTo(0.914, 2);
});

test('what the room gives back is split flux, and less in a dark room', () => {
  // By hand: 4 × 4 × 2.5 m, middling, 1.44 m² of glass at 1.5 m. A = 72 m²; R = (16·0.9 + (30 + 8.56)·0.5)/72 = 0.46778.
  const back = comesBack({ width: 4, depth: 4, height: 2.5, paleness: 'middling' }, 1.44, 1.5);
  const k = 1.44 / (72 * (1 - 0.46778));
  expect(back.ofDownward).toBeCloseTo(k * ((16 * 0.2 + 18 * 0.5) / 34), 4);
  expect(back.ofUpward).toBeCloseTo(k * ((16 * 0.7 + 12 * 0.5) / 28), 4);
  expect(comesBack({ width: 4, depth: 4, height: 2.5, paleness: 'dark' }, 1.44, 1.5).ofDownward).toBeLessThan(back.ofDownward);
});

test('east in the morning is west in the evening; the night is dark', () => {
  const place = { latitude: 52 * RAD, longitude: 0 };
  const midnight = Date.UTC(2027, 5, 21);
  const [east, west] = [90, 270].map((facing) => sillOf(open, facing * RAD, evenGlass(0.65), 1, null));
  let [morning, evening] = [0, 0];
  // The sun is highest 1.8 minutes after noon of the clock on this day.
  for (let m = 0; m < 720; m++) {
    const noon = midnight + 721.8 * 60_000;
    morning += sillLight(outdoorsAt(noon - m * 60_000, place), east!).clear.up;
    evening += sillLight(outdoorsAt(noon + m * 60_000, place), west!).clear.up;
  }
  expect(morning / evening).toBeCloseTo(1, 2);
  const night = sillLight(outdoorsAt(midnight, place), east!);
  expect([night.clear.up, night.overcast.facing, night.clear.away]).toEqual([0, 0, 0]);
});

test('no light is made: leaves get no more than comes down outdoors, wherever they stand', () => {
  fc.assert(
    fc.property(
      apertures,
      fc.integer({ min: -66, max: 70 }),
      fc.integer({ min: 0, max: 365 * 24 }),
      fc.integer({ min: 0, max: 359 }),
      (a, lat, hour, facing) => {
        const moment = outdoorsAt(Date.UTC(2027, 0, 1) + hour * 3_600_000, { latitude: lat * RAD, longitude: 0 });
        const sill = sillOf(a, facing * RAD, glass('single'), 1, null);
        const { clear, overcast } = sillLight(moment, sill);
        for (const l of [clear, overcast]) for (const part of Object.values(l)) expect(part).toBeGreaterThanOrEqual(0);
        expect(overcast.up).toBeLessThanOrEqual(moment.overcast.global * 2.0565 * 0.83 + 1e-9);
        expect(clear.up).toBeLessThanOrEqual((moment.clear.diffuse * 0.83 + moment.clear.beam * 0.91) * 2.0565 + 1e-9);
      },
    ),
  );
});

const blocks = fc.array(
  fc
    .record({ x: evenly(-1, 1), width: evenly(0.05, 0.8), near: evenly(-0.3, 0.6), depth: evenly(0.05, 0.3), over: evenly(-0.1, 0.8) })
    .map(({ x, width, near, depth, over }) => ({ left: x, right: x + width, near, far: near + depth, over, transmittance: 0 }))
    .filter((b) => b.near > 0.02 || b.left > 0.02 || b.right < -0.02),
  { maxLength: 3 },
);

test('a block as wide as all one sees is a higher edge of the window', () => {
  for (const [near, over] of [
    [0.2, 0.1],
    [0.4, 0.3],
    [0.1, 0.2],
  ] as const) {
    // prettier-ignore
    const block = { left: -50, right: 50, near, far: near + 0.1, over, transmittance: 0 };
    const [hidden, raised] = [viewOf({ ...open, beside: [block] }), viewOf({ ...open, bottom: (over * open.depth) / near })];
    for (const side of ['up', 'facing'] as const)
      for (const [name, share] of Object.entries(raised[side])) expect(hidden[side][name as 'uniform']).toBeCloseTo(share, 9);
  }
});

test('beside blocks, too, a view is what its rays say; more or taller ones never let more light in', () => {
  fc.assert(
    fc.property(apertures, blocks, (bare, beside) => {
      const a = { ...bare, horizon: [], beside };
      let up = 0;
      const N = 400;
      for (let i = 0; i < N; i++)
        for (let j = 0; j < N; j++) if (sunComesIn(a, ((i + 0.5) / N - 0.5) * Math.PI, Math.asin(Math.sqrt((j + 0.5) / N)))) up++;
      const seen = viewOf(a).up.uniform;
      expect(Math.abs(seen - up / N / N / 2)).toBeLessThan(0.002);
      expect(viewOf({ ...a, beside: beside.slice(1) }).up.uniform).toBeGreaterThanOrEqual(seen - 5e-4);
      expect(viewOf({ ...a, beside: beside.map((b) => ({ ...b, over: b.over + 0.1 })) }).up.uniform).toBeLessThanOrEqual(seen + 5e-4);
    }),
    { numRuns: 40 },
  );
});

test('a ray meets a block where it meets the box, whatever the direction', () => {
  fc.assert(
    fc.property(
      blocks.filter((b) => b.length > 0),
      evenly(-1.3, 1.3),
      evenly(0.01, 1.3),
      ([block], azimuth, elevation) => {
        const wide: Aperture = { ...open, depth: 5, left: -500, right: 500, bottom: -5, top: 500 };
        // Followed in small steps.
        let met = false;
        for (let t = 0.0005; t < 2.5; t += 0.001) {
          const [x, y, z] = [t * Math.sin(azimuth), t * Math.cos(azimuth), t * Math.tan(elevation)];
          if (x > block!.left && x < block!.right && y > block!.near && y < block!.far && z < block!.over) met = true;
        }
        const seen = sunComesIn({ ...wide, beside: [block!] }, azimuth, elevation);
        // At its very edges the steps miss it.
        const shrunk = { ...block!, left: block!.left + 0.004, right: block!.right - 0.004, near: block!.near + 0.004, far: block!.far - 0.004, over: block!.over - 0.02 }; // prettier-ignore
        if (met) expect(seen).toBe(false);
        else expect(sunComesIn({ ...wide, beside: [shrunk] }, azimuth, elevation)).toBe(true);
      },
    ),
    { numRuns: 300 },
  );
});

test('leaves let their share through, of sky and sun', () => {
  const block = { left: -0.4, right: 0.2, near: 0.1, far: 0.3, over: 0.5 };
  const of = (transmittance: number) => viewOf({ ...open, beside: [{ ...block, transmittance }] }).up.overcast;
  expect(of(0.3)).toBeCloseTo(0.3 * viewOf(open).up.overcast + 0.7 * of(0), 12);
  const solid = { ...block, left: 0.3, right: 0.4, transmittance: 0 };
  const both: Aperture = { ...open, beside: [{ ...block, transmittance: 0.3 }, solid] };
  expect(sunSeen(both, 0, 0.5)).toBe(0.3);
  expect(sunSeen(both, Math.atan2(0.35, 0.1), 0.5)).toBe(0);
  expect(sunSeen(both, -1.3, 1.5)).toBe(0); // outside the window
  expect(sunSeen({ ...open, beside: [{ ...block, over: 0.05, transmittance: 0.3 }] }, 0.1, 0.8)).toBe(1);
});
