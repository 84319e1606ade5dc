import fc from 'fast-check';
import { evenly } from '../../../../test/evenly';
import type { Stage } from '../../things/crop/Crop';
import type { Daylight } from '../../site/stand/Daylight';
import { receivedOf } from '../../judge/dli/LightDay';
import { MOL_SECONDS } from '../../judge/dli/dli';
import { saysOf } from '../../judge/verdict/standing';
import { shareBetween } from '../../judge/dli/LightSpread';
import { cropLibrary } from '../../things/crop/cropLibrary';
import { lampLibrary } from '../../things/lamp/lampLibrary';
import { emittersOf } from '../../things/lamp/emittersOf';
import { ppfdAtPoint } from '../../light/ppfdAtPoint';
import { atDistance, profileOf, type Profile } from './Profile';
import { limitsOfStage } from '../../../../test/limitsOfStage';
import { solve as solveAsked, suitingDistances, type Fixed, type Solution } from './solve';

const lampOf = (id: string) => lampLibrary.find((l) => l.id === id)!;
const area = (width: number, depth: number) => [{ x0: -width / 2, x1: width / 2, y0: -depth / 2, y1: depth / 2 }];
const profileFor = (id: string, width: number, depth: number, nearest = 0.02): Profile =>
  profileOf({
    emitters: emittersOf(lampOf(id), { x: 0, y: 0, face: 0, turn: 0 }),
    plantAreas: area(width, depth),
    nearest,
    farthest: 2,
    around: null,
  });
const k = MOL_SECONDS;

const asked = (s: Stage, clearance: number, daylight: Daylight | null = null) => ({
  stage: s,
  limits: limitsOfStage(s),
  daylight,
  clearance,
});
const solve = (profile: Profile, s: Stage, clearance: number, fixed: Fixed): Solution => solveAsked(profile, asked(s, clearance), fixed);

/** Made-up stages with round numbers, so that each limit can be made to bind by hand. */
const stage = (change: Partial<Stage> = {}): Stage => ({
  stage: 'seedling',
  label: null,
  fromDay: 0,
  dliMin: 5,
  dliTarget: 8,
  dliMax: 14,
  ppfdMax: 400,
  hoursMin: 12,
  hoursMax: 16,
  basis: 'consensus',
  ...change,
});

/** A lamp that everyone can reckon: a point over a point, 100 µmol at 1 m, and a tray so small that it is even. */
const point: Profile = profileOf({
  emitters: [{ kind: 'point', x: 0, y: 0, z: 0, ppf: 400 * Math.PI, cosinePower: null }],
  plantAreas: area(0.001, 0.001),
  nearest: 0.1,
  farthest: 2,
  around: null,
});

test('the profile is the light of the inverse square for a point, at and between its distances', () => {
  fc.assert(fc.property(evenly(0.1, 2), (d) => expect(atDistance(point, d).centre).toBeWithin(100 / d ** 2, { relative: 1e-4 })));
});

test('worked by hand: 5–14 mol in 12–16 h under 100 µmol/d²', () => {
  // 16 h × 0.0036 = 0.0576: 5 mol need 86.8 µmol, d ≤ 1.073 m. 12 h × 0.0036 = 0.0432: 14 mol are 324 µmol, d ≥ 0.556 m.
  // Not every distance between goes with all hours between: the rectangle that is told keeps within.
  const answer = solve(point, stage(), 0.1, { what: 'nothing' });
  expect(answer.distances!.from).toBeGreaterThanOrEqual(0.556 * 0.97);
  expect(answer.distances!.to).toBeLessThanOrEqual(1.073 * 1.03);
  const [dose, h] = [(d: number, hours: number) => (100 / d ** 2) * hours * k, answer.hours!];
  for (const d of [answer.distances!.from, answer.distances!.to])
    for (const hours of [h.from, h.to]) expect(dose(d, hours)).toBeWithin(9.5, { absolute: 4.501 });
  expect(Math.log(answer.distances!.to / answer.distances!.from)).toBeGreaterThan(0.2);
  expect(answer.best.mean).toBeWithin(8, { relative: 0.03 });
  expect(answer.best.hours % 0.25).toBe(0);
});

test('hours held fast: 14 h ask for 99–278 µmol, 0.60–1.00 m', () => {
  const { distances, best } = solve(point, stage(), 0.1, { what: 'hours', hours: 14 });
  expect(distances!.from).toBeWithin(0.6, { relative: 0.03 });
  expect(distances!.to).toBeWithin(1.004, { relative: 0.03 });
  expect(best.hours).toBe(14);
});

test('distance held fast: at 0.8 m, 156 µmol, 12 to 16 h all suit', () => {
  const { hours, best } = solve(point, stage(), 0.1, { what: 'distance', distance: 0.8 });
  expect(hours).toEqual({ from: 12, to: 16 });
  expect(best.distance).toBe(0.8);
  expect(best.mean).toBeWithin(8, { relative: 0.02 }); // 14.25 h
});

test('strength held fast gives the distance, dose held fast gives the hours', () => {
  expect(solve(point, stage(), 0.1, { what: 'strength', ppfd: 200 }).best.distance).toBeWithin(0.7071, { relative: 1e-3 });
  const dosed = solve(point, stage(), 0.1, { what: 'dose', dli: 10 });
  expect(dosed.best.mean).toBeWithin(10, { relative: 1e-6 });
  // 12 to 16 h: 10 mol are 231 to 174 µmol, 0.658 to 0.758 m. Nearer it would be a shorter day, farther a longer one.
  expect(dosed.distances!.from).toBeGreaterThanOrEqual(0.658 * 0.99);
  expect(dosed.distances!.to).toBeLessThanOrEqual(0.758 * 1.01);
});

test.each([
  ['a weak lamp', stage({ dliMin: 2000, dliTarget: 2500, dliMax: 3000, ppfdMax: 1e9 }), 0.1, 'lamp-too-weak'],
  ['a strong lamp', stage({ dliMin: 0.1, dliTarget: 0.2, dliMax: 0.5 }), 0.1, 'lamp-too-strong'],
  ['hours beyond the crop', stage({ hoursMin: 1, hoursMax: 2, dliMin: 5, ppfdMax: 300 }), 0.1, 'hours-beyond-crop'],
  ['heat', stage(), 1.5, 'heat'],
  [
    'the ceiling of the leaf',
    stage({ hoursMin: 12, hoursMax: 12, dliMin: 13, dliTarget: 14, dliMax: 15, ppfdMax: 250 }),
    0.1,
    'leaf-ceiling',
  ],
] as const)('%s is named as what binds', (_, s, clearance, why) => {
  const answer = solve(point, s, clearance, { what: 'nothing' });
  expect(answer.distances).toBeNull();
  expect(answer.limits.map((l) => l.why)).toContain(why);
});

test('a weak lamp is told by how much: at 0.1 m it gives 10 000 µmol, 576 of 2000 mol', () => {
  const [limit] = solve(point, stage({ dliMin: 2000, dliTarget: 2500, dliMax: 3000, ppfdMax: 1e9 }), 0.1, { what: 'nothing' }).limits;
  expect(limit).toMatchObject({ why: 'lamp-too-weak', share: expect.closeTo(0.288, 2) });
});

test('a narrow spot over a wide tray: the tray is wider than the light', () => {
  const wide = solve(profileFor('led-gu10', 1.2, 0.6), stage({ dliMin: 1, dliTarget: 2, dliMax: 3 }), 0.05, { what: 'nothing' });
  expect(wide.limits.map((l) => l.why)).toContain('tray-wider-than-light');
});

const ids = [
  'led-shop-12-twin-42',
  't8-12-2refl',
  'led-a-14-clamp',
  'led-board-100',
  'led-bar-06-white-10',
  'led-par38-25',
  'cfl-42-clamp',
];

test('on random lamps, trays and crops the answer is what brute force over distances and hours finds', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...ids),
      evenly(0.1, 1.2),
      evenly(0.1, 0.6),
      fc.constantFrom(...cropLibrary),
      fc.nat(9),
      evenly(0.03, 0.2),
      (id, width, depth, crop, at, clearance) => {
        const s = crop.stages[at % crop.stages.length]!;
        const profile = profileFor(id, width, depth);
        const answer = solve(profile, s, clearance, { what: 'nothing' });
        // Brute force asks the light itself, at its own distances and points, and knows nothing of the closed form.
        const emitters = emittersOf(lampOf(id), { x: 0, y: 0, face: 0, turn: 0 });
        let suits = 0, barely = 0; // prettier-ignore
        for (let d = clearance; d < 2; d *= 1.06) {
          const values: number[] = [];
          for (const u of [0.5, 0.43, 0.35, 0.2, 0])
            for (const v of [0.5, 0.4, 0.25, 0.12, 0]) values.push(ppfdAtPoint(emitters, u * (width - 0.01), v * (depth - 0.01), -d));
          const [low, high] = [Math.min(...values), Math.max(...values)];
          for (let h = s.hoursMin; h <= s.hoursMax; h += 0.25) {
            if (low * k * h >= s.dliMin * 1.03 && high * k * h <= s.dliMax / 1.03 && high <= s.ppfdMax / 1.03) suits++;
            if (low * k * h >= s.dliMin / 1.05 && high * k * h <= s.dliMax * 1.05 && high <= s.ppfdMax * 1.05) barely++;
          }
        }
        if (suits > 0) expect(answer.distances).not.toBeNull();
        if (barely === 0) expect(answer.distances).toBeNull();
        if (answer.distances) {
          const { best } = answer;
          expect(best.weakest).toBeGreaterThanOrEqual(s.dliMin * 0.999);
          expect(best.strongest).toBeLessThanOrEqual(s.dliMax * 1.001);
          expect(best.distance).toBeGreaterThanOrEqual(clearance * 0.999);
          expect(best.hours).toBeGreaterThanOrEqual(s.hoursMin);
          expect(best.hours).toBeLessThanOrEqual(s.hoursMax);
        } else expect(answer.limits.length).toBeGreaterThan(0);
      },
    ),
    { numRuns: 40 },
  );
});

test('the distances and hours that are told are a rectangle: each of its settings suits, for every lamp and crop', () => {
  fc.assert(
    fc.property(fc.constantFrom(...ids), evenly(0.1, 1), evenly(0.1, 0.5), fc.constantFrom(...cropLibrary), (id, width, depth, crop) => {
      const s = crop.stages[0]!;
      const profile = profileFor(id, width, depth);
      const { distances, hours } = solve(profile, s, 0.03, { what: 'nothing' });
      if (!distances || !hours) return;
      for (let i = 0; i <= 8; i++)
        for (let j = 0; j <= 4; j++) {
          const at = atDistance(profile, distances.from * (distances.to / distances.from) ** (i / 8));
          const h = hours.from + ((hours.to - hours.from) * j) / 4;
          expect(at.weakest * k * h).toBeGreaterThanOrEqual(s.dliMin * 0.998);
          expect(at.strongest * k * h).toBeLessThanOrEqual(s.dliMax * 1.002);
          expect(at.strongest).toBeLessThanOrEqual(s.ppfdMax * 1.002);
          expect(h).toBeLessThanOrEqual(s.hoursMax + 1e-9);
        }
    }),
    { numRuns: 60 },
  );
});

test('when nothing suits, what comes nearest leaves most of the leaves in range: two flats of tomatoes under one bar', () => {
  const tomato = cropLibrary.find((c) => c.id === 'tomato')!.stages.find((s) => s.stage === 'seedling')!;
  const profile = profileFor('led-bar-12-white-24', 1.1, 0.27);
  const { best, distances } = solve(profile, tomato, 0.05, { what: 'nothing' });
  expect(distances).toBeNull();
  const inBand = (d: number, h: number) => shareBetween(atDistance(profile, d), tomato.dliMin / (k * h), tomato.dliMax / (k * h));
  // Far off, the weakest corner is brighter, and hardly a leaf is in range.
  expect(inBand(best.distance, best.hours)).toBeGreaterThan(inBand(0.15, 18) + 0.1);
});

test('daylight counts towards dose, strength and length of the day', () => {
  const daylight = { dli: 4, from_min: 8 * 60, to_min: 16 * 60 };
  const s = stage();
  const plain = solveAsked(point, asked(s, 0.1), { what: 'distance', distance: 0.8 });
  const lit = solveAsked(point, asked(s, 0.1, daylight), { what: 'distance', distance: 0.8 });
  // 8 mol less 4 by day: half the hours, but no fewer than make up the shortest day with the eight that daylight lasts.
  expect(lit.best.mean).toBeWithin(plain.best.mean, { relative: 0.6 });
  expect(lit.best.hours).toBeLessThanOrEqual(plain.best.hours);
  // Where daylight alone is over the leaf's ceiling, no distance suits.
  expect(solveAsked(point, asked(stage({ ppfdMax: 200 }), 0.1, daylight), { what: 'nothing' }).distances).toBeNull();
  expect(suitingDistances(point, asked(s, 0.1), 17)).toBeNull();
});

test('daylight from one side counts at each spot: what is said of a setting is what the judgement says, against every distance and hour', () => {
  // Twice as much at the back of the tray as at its front.
  const nine = [0, 1, 2].flatMap(() => [2 / 3, 1, 4 / 3]);
  const even = { mean: Array<number>(96).fill(0), clear: Array<number>(96).fill(0), peak: 0, off: { low: 0, high: 0 } };
  const daylight = { dli: 4, from_min: 480, to_min: 960, course: { ...even, nine } };
  const profile = profileFor('led-shop-12-twin-42', 0.54, 0.28);
  for (const s of [stage(), stage({ dliMin: 6, dliMax: 9 }), stage({ dliMin: 7, dliMax: 8.5 })]) {
    const limits = limitsOfStage(s);
    const says = (at: (typeof profile)[number], hours: number) =>
      saysOf(receivedOf(at, { on_min: 720 - hours * 30, lit_min: hours * 60, pause: null, daylight }), s, limits);
    const pairs = profile.flatMap((at) => Array.from({ length: 96 }, (_, i) => [at, (i + 1) / 4] as const));
    const suiting = pairs.filter(([at, hours]) => at.distance >= 0.1 && hours >= s.hoursMin && says(at, hours) === 'in-range');
    const { distances, hours, best } = solveAsked(profile, { ...asked(s, 0.1, daylight) }, { what: 'nothing' });
    expect(distances === null).toBe(suiting.length === 0);
    if (!distances || !hours) continue;
    const within = pairs.filter(
      ([at, h]) => at.distance >= distances.from && at.distance <= distances.to && h >= hours.from && h <= hours.to,
    );
    expect(within.length).toBeGreaterThan(0);
    for (const [at, h] of within) expect(says(at, h)).toBe('in-range');
    const there = receivedOf(atDistance(profile, best.distance), { on_min: 0, lit_min: best.hours * 60, pause: null, daylight });
    expect([best.weakest, best.mean, best.strongest]).toEqual([there.weakest, there.mean, there.strongest].map((v) => expect.closeTo(v, 9) as number)); // prettier-ignore
  }
  // Alike everywhere it is as before.
  const flat = { ...daylight, course: { ...even, nine: Array<number>(9).fill(1) } };
  const [a, b] = [flat, { ...daylight, course: even }].map((d) => solveAsked(profile, asked(stage(), 0.1, d), { what: 'nothing' }));
  expect(a!.distances).toEqual(b!.distances);
  expect(a!.hours).toEqual(b!.hours);
});

test('lamps may burn for less than the shortest day only where it is light for so long anyway', () => {
  const s = stage({ dliMin: 2, dliTarget: 3, dliMax: 30, ppfdMax: 1e4 });
  const by = (hours: number) =>
    solveAsked(point, asked(s, 0.1, { dli: 1, from_min: 720 - 30 * hours, to_min: 720 + 30 * hours }), { what: 'distance', distance: 0.5 });
  // 400 µmol give 2 mol within an hour and a half.
  expect(by(4).hours!.from).toBe(12);
  expect(by(12).hours!.from).toBeLessThan(2);
});
