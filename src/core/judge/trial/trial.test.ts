import { triangle } from './taste';
import fc from 'fast-check';
import { mulberry } from '../../units/mulberry';
import { chi2Upper, fUpper, tPower, tQuantile, tTwoSided } from './distributions';
import { assignments, dealMany, dealTwo, flipSigns, latinSquares, mannWhitney, signedRank } from './exact';
import { compareRotated, latinCount } from './blocks';
import { doseDirection, fitDose } from './doseCurve';
import { fisher, wilson } from './counts';
import { reviewDesign, type Design } from './reviewDesign';
import { detectable, leastPOf, statisticalPowerOf, traysNeeded } from './power';
import { comparePlants, compareTwoArms, likenessWithin, type TrialArm } from './twoArms';
import { welch } from './welch';

/** Numbers by chance, the same every time. */
function chance(seed: number) {
  const even = mulberry(seed);
  return () => Math.sqrt(-2 * Math.log(1 - even())) * Math.cos(2 * Math.PI * even());
}
const arm = (id: string, trays: number[][]): TrialArm => ({ id, trays: trays.map((values, i) => ({ id: `${id}${i + 1}`, values })) });

test('quantiles and tails agree with printed tables', () => {
  // Fisher & Yates: t(0.975) of 1, 2, 5, 10, 30; F(0.95; 3, 10) = 3.708; χ²(0.95; 1) = 3.841.
  for (const [df, t] of [
    [1, 12.7062],
    [2, 4.30265],
    [5, 2.57058],
    [10, 2.22814],
    [30, 2.04227],
  ] as const) {
    expect(tQuantile(0.975, df)).toBeCloseTo(t, 4);
    expect(tTwoSided(t, df)).toBeCloseTo(0.05, 5);
  }
  expect(fUpper(3.7083, 3, 10)).toBeCloseTo(0.05, 5);
  expect(chi2Upper(3.8415)).toBeCloseTo(0.05, 5);
  // Cohen 1988: two groups of 64 notice half a standard deviation with a power of 0.80; without a difference, with the level.
  expect(statisticalPowerOf(0.5, 64, 64, 1)).toBeCloseTo(0.801, 3);
  expect(tPower(0, 12)).toBeCloseTo(0.05, 6);
});

test('assignments are counted as they are by hand', () => {
  expect(assignments([3, 3])).toBe(20);
  expect(assignments([2, 2, 2])).toBe(90);
  expect([1, 2, 3, 4].map((k) => latinSquares(k).length)).toEqual([1, 2, 12, 576]);
  expect([1, 2, 3, 4].map(latinCount)).toEqual([1, 2, 12, 576]);
  // U of 2 against 2 takes 0, 1, 2, 2, 3, 4 in six orders; W of three pairs takes 0…6 in eight.
  expect(mannWhitney(2, 2)).toEqual([1, 2, 4, 5, 6].map((n) => n / 6));
  expect(signedRank(3)).toEqual([1, 2, 3, 5, 6, 7, 8].map((n) => n / 8));
  expect(leastPOf({ kind: 'unblocked', trays: [3, 3] })).toMatchObject({ permCount: 20, permPMin: 0.1, canReach05: false });
  expect(leastPOf({ kind: 'unblocked', trays: [1, 1] }).status).toBe('no_test');
});

test('a randomisation p is what a brute count over all orders gives', () => {
  const orders = <T>(list: readonly T[]): T[][] =>
    list.length === 0 ? [[]] : list.flatMap((x, i) => orders([...list.slice(0, i), ...list.slice(i + 1)]).map((r) => [x, ...r]));
  fc.assert(
    fc.property(
      fc.array(fc.integer({ min: 0, max: 6 }), { minLength: 2, maxLength: 3 }),
      fc.array(fc.integer({ min: 0, max: 6 }), { minLength: 2, maxLength: 3 }),
      (a, b) => {
        const mean = (v: readonly number[]) => v.reduce((s, x) => s + x, 0) / v.length;
        const gap = (o: readonly number[]) => Math.abs(mean(o.slice(a.length)) - mean(o.slice(0, a.length)));
        const all = orders([...a, ...b]);
        const p = all.filter((o) => gap(o) >= gap([...a, ...b]) - 1e-9).length / all.length;
        expect(dealTwo(a, b).p).toBeCloseTo(p, 9);
        // With two arms the test over several arms is the same.
        expect(dealMany([a, b]).p).toBeCloseTo(p, 9);
      },
    ),
    { numRuns: 60 },
  );
  expect(flipSigns([1, 2, 3]).p).toBe(2 / 8);
  expect(flipSigns([0, 0]).p).toBe(1);
});

test('turned round, a comparison says the same the other way', () => {
  fc.assert(
    fc.property(
      fc.array(fc.integer({ min: 1, max: 90 }), { minLength: 2, maxLength: 4 }),
      fc.array(fc.integer({ min: 1, max: 90 }), { minLength: 2, maxLength: 4 }),
      (a, b) => {
        const there = compareTwoArms([
          arm(
            'A',
            a.map((v) => [v]),
          ),
          arm(
            'B',
            b.map((v) => [v]),
          ),
        ]);
        const back = compareTwoArms([
          arm(
            'B',
            b.map((v) => [v]),
          ),
          arm(
            'A',
            a.map((v) => [v]),
          ),
        ]);
        expect(back.diff).toBeCloseTo(-there.diff!, 9);
        expect(back.permP).toBeCloseTo(there.permP!, 9);
        if (there.welchLo !== null) expect(back.welchHi).toBeCloseTo(-there.welchLo, 6);
        expect(there.permP).toBeGreaterThanOrEqual(there.permPMin! - 1e-12);
      },
    ),
  );
});

test('of 2000 trials in which nothing differs, no more than 5.5 % say that something does; plants as repeats say it far too often', () => {
  const next = chance(20270328);
  let exact = 0;
  let naive = 0;
  for (let i = 0; i < 2000; i++) {
    // Four trays of six plants to an arm; trays scatter as much as plants.
    const trays = () =>
      Array.from({ length: 4 }, () => {
        const tray = next();
        return Array.from({ length: 6 }, () => 50 + 5 * tray + 5 * next());
      });
    const arms = [arm('A', trays()), arm('B', trays())] as const;
    if (compareTwoArms(arms).permP! < 0.05) exact++;
    if (comparePlants(arms).naiveP! < 0.05) naive++;
  }
  expect(exact / 2000).toBeLessThanOrEqual(0.055);
  expect(naive / 2000).toBeGreaterThan(0.2);
});

test('95 % intervals hold the true difference in 93 to 97 of a hundred trials', () => {
  const next = chance(7);
  let held = 0;
  for (let i = 0; i < 3000; i++) {
    const a = Array.from({ length: 4 }, () => 10 + next());
    const b = Array.from({ length: 5 }, () => 12 + 2 * next());
    const w = welch(a, b)!;
    if (w.lo <= 2 && w.hi >= 2) held++;
  }
  expect(held / 3000).toBeWithin(0.95, { absolute: 0.02 });
});

test('more trays never make the smallest difference that can be noticed larger, more plants help only down to the scatter of trays', () => {
  const scatter = { between: 3, within: 9, plants: 4 };
  for (let n = 2; n < 12; n++) {
    expect(detectable(n + 1, n + 1, scatter).mdd!).toBeLessThan(detectable(n, n, scatter).mdd!);
    expect(detectable(n, n, { ...scatter, plants: 5000 }).mdd!).toBeGreaterThan(detectable(n, n, scatter).mddEndlessPlants!);
  }
  const { traysPerArm } = traysNeeded(6, scatter);
  expect(statisticalPowerOf(6, traysPerArm!, traysPerArm!, Math.sqrt(9 + 81 / 4))!).toBeGreaterThanOrEqual(0.8);
  expect(statisticalPowerOf(6, traysPerArm! - 1, traysPerArm! - 1, Math.sqrt(9 + 81 / 4))!).toBeLessThan(0.8);
});

test('a curve through exact points gives back what it was made of', () => {
  const at = [2, 5, 8, 12, 18, 25];
  const exp = fitDose(
    'exp',
    at.map((dli) => ({ dli, y: 10 + 80 * (1 - Math.exp(-0.12 * dli)) })),
    10,
  );
  expect(exp.params!.map((p) => Number(p.toFixed(4)))).toEqual([80, 0.12, 10]);
  const mm = fitDose(
    'mm',
    at.map((dli) => ({ dli, y: (200 * dli) / (6 + dli) })),
    10,
  );
  expect(mm.params!.map((p) => Number(p.toFixed(4)))).toEqual([200, 6]);
  expect(
    fitDose(
      'mm',
      at.map((dli) => ({ dli, y: 4 * dli })),
      10,
    ).status,
  ).toBe('no_curvature');
  expect(fitDose('mm', [], 10).status).toBe('too_few_points');
  expect(doseDirection(at.map((dli) => ({ dli, y: dli }))).direction).toBe('increasing');
});

test('shares, and the likeness of plants in a tray', () => {
  // Agresti 2013: 3 of 4 against 1 of 4 cups of tea, two-sided 0.486.
  expect(fisher({ x: 1, n: 4 }, { x: 3, n: 4 })).toBeCloseTo(0.4857, 4);
  expect(wilson({ x: 0, n: 10 })).toEqual({ lo: 0, hi: expect.closeTo(0.2775, 4) as number });
  // Trays whose plants are all alike: one plant tells as much as all.
  const { icc, ess } = likenessWithin([
    arm('A', [
      [1, 1, 1],
      [5, 5, 5],
    ]),
    arm('B', [
      [2, 2, 2],
      [9, 9, 9],
    ]),
  ]);
  expect(icc).toBeCloseTo(1, 9);
  expect(ess).toEqual([expect.closeTo(2, 9), expect.closeTo(2, 9)]);
});

const DESIGN: Design = {
  declared: 'lamp',
  equalDose: true,
  doseBy: null,
  unit: 'tray',
  selection: 'none',
  outcome: { kind: 'measured', isBlind: null, isFixed: true },
  isStopFixed: true,
  arePlacesRotated: true,
  deviations: [],
  arms: ['A', 'B'].map((id) => ({
    id,
    lamp: id,
    distance_m: id === 'A' ? 0.12 : 0.3,
    hours: 16,
    dli: 11,
    mat: false,
    cover: null,
    medium: 'mix',
    container: 'cells',
    position: 'tier 2',
    sown: 1,
    crops: [{ crop: 'tomato', cultivar: null, trays: 4, plants: 12 }],
  })),
};
const changed = (id: string, more: Partial<Design['arms'][number]>): Design => ({
  ...DESIGN,
  arms: DESIGN.arms.map((a) => (a.id === id ? { ...a, ...more } : a)),
});

test('a sound design has no fault, and each fault is named by itself', () => {
  expect(reviewDesign(DESIGN).codes).toEqual([]);
  expect(reviewDesign(changed('B', { mat: true })).codes).toEqual(['BUNDLED']);
  expect(reviewDesign(changed('B', { dli: 14 })).codes).toEqual(['DOSE_UNEQUAL']);
  expect(reviewDesign(changed('B', { dli: 14, distance_m: 0.12 })).codes).toEqual(['DOSE_UNEQUAL', 'EQUAL_DISTANCE_NOT_EQUAL_LIGHT']);
  expect(reviewDesign(changed('B', { dli: null })).codes).toEqual(['DOSE_UNKNOWN']);
  expect(reviewDesign(changed('B', { lamp: 'A' })).codes).toEqual(['NO_CONTRAST']);
  expect(reviewDesign({ ...DESIGN, unit: 'plant' }).codes).toEqual(['PLANTS_AS_REPLICATES']);
  expect(reviewDesign({ ...DESIGN, deviations: [{ arms: ['A'] }] }).codes).toEqual(['DEVIATION_ONE_ARM']);
  expect(reviewDesign({ ...DESIGN, deviations: [{ arms: ['A', 'B'] }] }).codes).toEqual([]);
  // One tray in one arm alone is no comparison of trays any more.
  const single = [{ crop: 'tomato', cultivar: null, trays: 1, plants: 12 }];
  expect(reviewDesign(changed('B', { crops: single })).codes).toContain('ONE_CONTAINER');
  expect(reviewDesign(changed('B', { crops: single })).codes).not.toContain('PLANTS_AS_REPLICATES');
  expect(reviewDesign({ ...DESIGN, outcome: { kind: 'scored', isBlind: false, isFixed: true } }).codes).toEqual(['UNBLINDED_SCORE']);
  expect(reviewDesign(changed('B', { crops: [{ crop: 'leek', cultivar: null, trays: 4, plants: 9 }] })).codes).toEqual([
    'CROP_NOT_IN_EVERY_ARM',
  ]);
});

test('the smallest p is one in all ways to deal the trays, or two where a mirror of the arms is as far apart', () => {
  const least = (layout: Parameters<typeof leastPOf>[0]) => leastPOf(layout).permPMin;
  // Two arms of three: 20 ways, of which two are as extreme.
  expect(least({ kind: 'unblocked', trays: [3, 3] })).toBeCloseTo(2 / 20, 12);
  // Two and four: 15 ways, each by itself.
  expect(least({ kind: 'unblocked', trays: [2, 4] })).toBeCloseTo(1 / 15, 12);
  // Blocks of one each: 2 ways a block; all the other way round is as extreme.
  expect(least({ kind: 'blocked', blocks: [[1, 1], [1, 1], [1, 1]] })).toBeCloseTo(2 / 8, 12); // prettier-ignore
  // One block that is not alike breaks the mirror.
  expect(least({ kind: 'blocked', blocks: [[1, 1], [1, 2], [1, 1]] })).toBeCloseTo(1 / (2 * 3 * 2), 12); // prettier-ignore
  // A block with an empty arm tells nothing.
  expect(least({ kind: 'blocked', blocks: [[1, 1], [1, 1], [0, 2]] })).toBeCloseTo(2 / 4, 12); // prettier-ignore
});

test('three cups: how many have to be right, as ISO 4120 has it, and the chance of that', () => {
  // ISO 4120:2021, table A.1, α = 0.05.
  const table = [[6, 5], [7, 5], [8, 6], [9, 6], [10, 7], [11, 7], [12, 8], [15, 9], [18, 10], [24, 13], [30, 15]]; // prettier-ignore
  for (const [tests, needed] of table) expect([tests, triangle(tests!, 0).correctNeeded]).toEqual([tests, needed]);
  expect(triangle(2, 2).correctNeeded).toBeNull();
  expect(triangle(3, 3).pOneSided).toBeWithin(1 / 27, { relative: 1e-9 });
  expect(triangle(3, 2).pOneSided).toBeWithin(7 / 27, { relative: 1e-9 });
  expect(triangle(3, 0).pOneSided).toBeWithin(1, { relative: 1e-9 });
});

test('sets that wander: one says a difference, up to five an interval, from six on a p under 0.05 can come', () => {
  const status = (n: number) => compareRotated(Array.from({ length: n }, (_, i) => ({ A: [10 + i], B: [12 + i + 0.1 * (i % 2)] }))).status;
  expect([1, 2, 3, 5, 6, 8].map(status)).toEqual(['difference_only', 'interval_only', 'interval_only', 'interval_only', 'ok', 'ok']);
});
