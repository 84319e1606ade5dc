import fc from 'fast-check';
import { BARE_SITE } from '../../site/stand/bare';
import type { Trial } from '../../site/trial/Trial';
import type { Batch, Site } from '../../site/stand/Site';
import { tables } from '../../things/tables/libraryTables';
import { withTier } from '../../site/stand/change';
import { practiceSite } from '../practice/practiceSite';
import { groupsOf, learnedFrom, type LearnedGroup } from './learnedOf';

const lettuce = tables.crop('lettuce')!;
const stage = lettuce.stages.find((s) => s.stage === 'growing-on')!;
const group = (points: readonly (readonly [number, number])[], kind: LearnedGroup['kind'] = 'harvest'): LearnedGroup => ({
  kind,
  name: 'harvest',
  unit: 'g',
  points: points.map(([dli, y], i) => ({ dli, y, temperature_C: null, of: String(i) })),
});
/** A plant that gains up to 100 g, nine tenths of it by 13 mol. */
const true_ = (d: number) => 20 + 100 * (1 - Math.exp((-Math.log(10) / 13) * d));

test('three batches are too few to tell, and the next dose is where nothing was tried', () => {
  const learned = learnedFrom(group([[11, 80], [12, 90], [13, 95]]), stage); // prettier-ignore
  expect(learned.fit.status).toBe('too_few_points');
  expect(learned.enoughFrom).toBeNull();
  expect(learned.tryNext).toBe(17);
  expect(learnedFrom(group([]), stage).tryNext).toBe(14);
});

test('the next dose is the one of the band that is farthest from all that were tried, to half a mole', () => {
  const next = (...doses: number[]) => learnedFrom(group(doses.map((d) => [d, 50])), stage).tryNext;
  const { dliMin: low, dliMax: high } = stage;
  expect(next(low, high)).toBe((low + high) / 2);
  expect(next(low)).toBe(high);
  expect(next(high)).toBe(low);
  expect(next(low, (low + high) / 2, high - 1)).toBeWithin(low + (high - low) / 4, { absolute: 0.5 });
});

test('a curve that levels off is found again, with the dose that is enough', () => {
  const learned = learnedFrom(group([4, 6, 8, 10, 12, 14, 16, 18].map((d, i) => [d, true_(d) + (i % 2 ? 0.4 : -0.4)])), stage);
  expect(learned.fit.status).toBe('ok');
  expect(learned.enoughFrom).toBeWithin(13, { relative: 0.06 });
  expect(learned.canSayTrend).toBe(true);
});

test('nothing is said beyond what was tried, beyond what the crop bears, or of heights', () => {
  const far = (d: number) => 20 + 100 * (1 - Math.exp((-Math.log(10) / 30) * d));
  expect(learnedFrom(group([4, 6, 8, 10, 12, 14, 16, 18].map((d, i) => [d, far(d) + (i % 2 ? 0.2 : -0.2)])), stage).enoughFrom).toBeNull();
  expect(
    learnedFrom(
      group(
        [4, 6, 8, 10, 12, 14].map((d) => [d, true_(d)]),
        'height',
      ),
      stage,
    ).enoughFrom,
  ).toBeNull();
});

test('noise alone hardly ever moves a band: in fifty draws at most five', () => {
  let said = 0;
  fc.assert(
    fc.property(fc.array(fc.double({ min: 60, max: 100, noNaN: true }), { minLength: 8, maxLength: 8 }), (ys) => {
      const learned = learnedFrom(group(ys.map((y, i) => [6 + 1.5 * i, y])), stage);
      if (learned.enoughFrom !== null) said++;
    }),
    { numRuns: 50, seed: 7 },
  );
  expect(said).toBeLessThanOrEqual(5);
});

test('points come from batches that have ended and stand where their light is known, and from ended trials', () => {
  const base = practiceSite({ kind: 'rack', name: 'R', trays: [{ id: 'b1', crop: 'lettuce', in: 'flat-half', x: 0.3, age: 20 }, { id: 'b2', crop: 'lettuce', in: 'flat-half', x: 0.8, age: 20 }], lamps: [], on_min: 0, lit_min: 900 }, 20_000, tables); // prettier-ignore
  const harvested = (b: Batch): Batch => ({ ...b, log: [...b.log, { id: 'h', day: 20_000, what: 'harvest', height: null, stage: null, weight_g: 120 }, { id: 'm', day: 20_000, what: 'height', height: 0.07, stage: null }] }); // prettier-ignore
  const site: Site = { ...base, batches: base.batches.map((b) => (b.id === 'b1' ? harvested(b) : b)) };
  const groups = groupsOf(site, lettuce, 20_001, (id) => (id === 'b1-tray' ? 12 : 9));
  expect(groups.map((g) => [g.kind, g.points.map((p) => p.dli)])).toEqual([['harvest', [12]], ['height', [12]]]); // prettier-ignore
  expect(groupsOf(site, lettuce, 20_001, () => null)).toEqual([]);
  expect(groupsOf({ ...BARE_SITE, batches: [], stands: [], trials: [] }, lettuce, 20_001, () => 1)).toEqual([]);
});

test('a harvest is told for its area: a batch of two trays is not better than one of one', () => {
  const base = practiceSite({ kind: 'rack', name: 'R', trays: [{ id: 'b1', crop: 'lettuce', in: 'flat-half', x: 0.2, age: 20 }, { id: 'b2', crop: 'lettuce', in: 'flat-half', x: 0.6, age: 20 }, { id: 'b3', crop: 'lettuce', in: 'flat-half', x: 1, age: 20 }], lamps: [], on_min: 0, lit_min: 900 }, 20_000, tables); // prettier-ignore
  const weighed = (b: Batch, weight_g: number): Batch => ({ ...b, log: [...b.log, { id: `h${b.id}`, day: 20_000, what: 'harvest', height: null, stage: null, weight_g }] }); // prettier-ignore
  const tray = base.stands[0]!.tiers[0]!.trays[0]!;
  const site: Site = {
    ...withTier(base.stands[0]!.tiers[0]!.id, (t) => ({ ...t, trays: t.trays.map((y) => (y.batchId === 'b3' ? { ...y, batchId: 'b2' } : y)) }))(base), // prettier-ignore
    batches: base.batches.filter((b) => b.id !== 'b3').map((b) => weighed(b, b.id === 'b1' ? 100 : 200)),
  };
  const [harvest] = groupsOf(site, lettuce, 20_001, (id) => (id === 'b3-tray' ? 14 : 10));
  const perM2 = 100 / (tray.insideLength * tray.insideWidth);
  expect(harvest!.unit).toBe('g/m²');
  expect(harvest!.points.map((p) => [p.dli, p.y])).toEqual([[10, expect.closeTo(perM2, 6)], [12, expect.closeTo(perM2, 6)]]); // prettier-ignore
});

test('of ended trials each tray is a point, by its own dose or that of its arm; counts by their share of what was sown', () => {
  const base = practiceSite({ kind: 'rack', name: 'R', trays: [{ id: 'b1', crop: 'lettuce', in: 'flat-half', x: 0.3, age: 20 }, { id: 'b2', crop: 'basil', in: 'flat-half', x: 0.8, age: 20 }], lamps: [], on_min: 0, lit_min: 900 }, 20_000, tables); // prettier-ignore
  const noted = (low: number | null, high: number | null) => ({ id: `n${low}${high}`, day: 20_000, what: 'watered', height: null, stage: null, air: { low, high, humidity: null } }); // prettier-ignore
  const warm = (b: Batch): Batch => ({ ...b, log: [...b.log, noted(16, 22), noted(20, null), noted(null, null)] as Batch['log'] });
  const row = (code: string, arm: 'A' | 'B', trayId: string | null, values: (number | null)[], sown: number | null = null) => ({ code, arm, trayId, block: '', values, sown }); // prettier-ignore
  const trial = (more: Partial<Trial>): Trial => ({
    id: 't', name: 'Near or far', factor: 'dose', equalDose: false, outcome: { name: 'height', unit: 'mm', kind: 'measured', isBlind: true }, starts: 1, ends: null, selection: 'none', rotate_days: null, moves: [],
    arms: [{ id: 'A', name: '', medium: '', isMatOn: false, dli: 7 }, { id: 'B', name: '', medium: '', isMatOn: false, dli: null }],
    trays: [], deviations: [], seed: 1, ended: 20_000, ...more,
  }); // prettier-ignore
  const trays = [
    row('1', 'A', 'b1-tray', [10, 12, null]), // where it stands its dose is known
    row('2', 'A', 'b2-tray', [1]), // of another crop
    row('3', 'A', null, [30]), // stands nowhere: whose trial it is, its name says
    row('4', 'B', null, [30]), // no dose
    row('5', 'A', 'b1-tray', [null]), // nothing measured
  ];
  const groups = (t: Trial) =>
    groupsOf({ ...base, batches: base.batches.map(warm), trials: [t] }, lettuce, 20_001, (id) => (id === 'b1-tray' ? 12 : 9))
      .filter((g) => g.kind === 'trial')
      .map((g) => [g.name, g.unit, g.points.map((p) => [p.of, p.dli, p.y, p.temperature_C])]);
  expect(groups(trial({ trays }))).toEqual([['height', 'mm', [['t 1', 12, 11, 19.5]]]]);
  expect(groups(trial({ name: 'Lettuce, near or far', trays }))).toEqual([
    [
      'height',
      'mm',
      [
        ['t 1', 12, 11, 19.5],
        ['t 3', 7, 30, null],
      ],
    ],
  ]);
  expect(groups(trial({ trays, ended: null }))).toEqual([]);
  // What was written down of a tray when it went, or when the trial ended, goes before what stands there now.
  const had = { days: 10, mol_per_m2: 85, kWh: 3, area_m2: 0.1, batchId: 'gone', cropId: 'lettuce', sown: null, tierId: 'u', lamps: [], distance: null, hours: 15, coverId: null, containerId: null }; // prettier-ignore
  const gone = { ...row('8', 'A', 'no-tray', [20]), had };
  const moved = { ...row('9', 'A', 'b1-tray', [22]), had: { ...had, batchId: base.batches[0]!.id } };
  const other = { ...row('10', 'A', null, [1]), had: { ...had, cropId: 'basil' } };
  expect(groups(trial({ trays: [gone, moved, other] }))).toEqual([
    ['height', 'mm', [['t 8', 8.5, 20, null], ['t 9', 8.5, 22, 19.5]]], // prettier-ignore
  ]);
  const counted = { name: 'came up', unit: 'seeds', kind: 'counted' as const, isBlind: true };
  expect(
    groups(
      trial({
        outcome: counted,
        trays: [row('1', 'A', 'b1-tray', [15], 20), row('6', 'A', 'b1-tray', [15], 60), row('7', 'A', 'b1-tray', [15])],
      }),
    ),
  ).toEqual([
    [
      'came up',
      '% of what was sown',
      [
        ['t 1', 12, 75, 19.5],
        ['t 6', 12, 25, 19.5],
      ],
    ],
  ]);
});
