import fc from 'fast-check';
import { evenly } from '../../../../test/evenly';
import { cropLibrary } from '../../things/crop/cropLibrary';
import { tables } from '../../things/tables/libraryTables';
import { UNDATED } from '../../site/stand/bare';
import type { Batch } from '../../site/stand/Site';
import { dayFrom } from '../../units/day';
import { comparePlans } from './comparePlans';
import { AS_SET, PLAN_KINDS, type HoursPlan, type PlanKind } from '../../site/timer/HoursPlan';
import { dliWithin, hoursWithin, ppfdWithin } from './solveDli';
import { wishedHours } from './wishedHours';

const crop = (id: string) => tables.crop(id)!;
const stage = (id: string, name = 'seedling') => crop(id).stages.find((s) => s.stage === name)!;
const plan = (kind: PlanKind, more: Partial<HoursPlan> = {}): HoursPlan => ({ ...AS_SET, kind, ...more });
const light = (mean: number) => ({ weakest: 0.8 * mean, mean, strongest: 1.2 * mean });

test('worked by hand: 200 µmol for 16 hours is 11.52 mol, and each follows from the other two', () => {
  const limits = stage('tomato'); // 14 to 18 h, no more than 400 µmol
  expect(dliWithin(200, 16, limits).dli).toBeWithin(11.52, { absolute: 1e-9 });
  expect(hoursWithin(11.52, 200, limits)).toMatchObject({ limit: null });
  expect(hoursWithin(11.52, 200, limits).hours).toBeWithin(16, { absolute: 1e-9 });
  expect(ppfdWithin(11.52, 16, limits).ppfd).toBeWithin(200, { absolute: 1e-9 });
});

test('what cannot be is answered with the nearest that can, and the limit is named', () => {
  const limits = stage('tomato');
  expect(hoursWithin(14, 100, limits)).toMatchObject({ hours: 18, limit: 'longest-day' });
  expect(hoursWithin(14, 100, limits).dli).toBeWithin(6.48, { absolute: 1e-9 });
  expect(hoursWithin(5, 300, limits)).toMatchObject({ hours: 14, limit: 'shortest-day' });
  expect(hoursWithin(14, 0, limits)).toMatchObject({ limit: 'dark', dli: 0 });
  expect(ppfdWithin(30, 14, limits)).toMatchObject({ ppfd: 400, limit: 'too-strong' });
  expect(ppfdWithin(10, 0, limits)).toMatchObject({ limit: 'dark' });
  expect(dliWithin(500, 16, limits).limit).toBe('too-strong');
  expect(dliWithin(200, 20, limits).limit).toBe('longest-day');
  expect(dliWithin(200, 3, limits).limit).toBe('shortest-day');
});

test('an answer never leaves the plant’s limits, and without a limit it makes the dose that was asked', () => {
  fc.assert(
    fc.property(fc.constantFrom(...cropLibrary), evenly(0.5, 40), evenly(5, 900), evenly(1, 24), (c, dose, ppfd, hours) => {
      const s = c.stages[0]!;
      const byHours = hoursWithin(dose, ppfd, s);
      expect(byHours.hours >= s.hoursMin && byHours.hours <= s.hoursMax).toBe(true);
      if (!byHours.limit) expect(byHours.dli).toBeWithin(dose, { relative: 1e-9 });
      const byPpfd = ppfdWithin(dose, hours, s);
      expect(byPpfd.ppfd).toBeLessThanOrEqual(s.ppfdMax);
      if (!byPpfd.limit) expect(byPpfd.dli).toBeWithin(dose, { relative: 1e-9 });
    }),
  );
});

test('day and night for the first days: refused for tomato, done for a crop that bears it, over after its days', () => {
  const three = plan('day-and-night', { days: 3 });
  expect(wishedHours(three, crop('tomato'), stage('tomato', 'emergence'), 1, light(200))).toEqual({
    hours: 18,
    limit: 'day-and-night-refused',
  });
  expect(wishedHours(three, crop('leek'), stage('leek', 'emergence'), 2, light(200))).toEqual({ hours: 24, limit: null });
  expect(wishedHours(three, crop('leek'), stage('leek', 'emergence'), 3, light(200))!.hours).toBeLessThanOrEqual(14);
});

test('stepping down takes an hour off each week, from the longest day to the shortest', () => {
  const hours = [0, 6, 7, 14, 21, 28, 70].map((age) => wishedHours(plan('stepping'), crop('tomato'), stage('tomato'), age, null)!.hours);
  expect(hours).toEqual([18, 18, 17, 16, 15, 14, 14]);
});

test('a steady day beyond what the crop bears is cut to its longest, and says so', () => {
  expect(wishedHours(plan('steady', { hours: 20 }), crop('leek'), stage('leek'), 12, null)).toEqual({ hours: 14, limit: 'longest-day' });
  expect(wishedHours(plan('steady', { hours: 13 }), crop('leek'), stage('leek'), 12, null)).toEqual({ hours: 13, limit: null });
});

test('a gentle start begins at half the dose and comes to the whole of it within its days', () => {
  const s = stage('parsley');
  const at = (age: number) => wishedHours(plan('ramp', { days: 8 }), crop('parsley'), { ...s, hoursMin: 4 }, age, light(220))!.hours;
  expect(at(0) * 2).toBeWithin(at(8), { relative: 1e-9 });
  expect(at(4)).toBeWithin(0.75 * at(8), { relative: 1e-9 });
  expect(at(30)).toBe(at(8));
});

test('as long as needed makes the best dose, as short as possible just the least at the weakest spot', () => {
  const s = stage('sage');
  expect(wishedHours(plan('dose'), crop('sage'), s, 12, light(250))!.hours * 250 * 0.0036).toBeWithin(s.dliTarget, { relative: 1e-9 });
  const short = wishedHours(plan('shortest'), crop('sage'), s, 12, { weakest: 160, mean: 200, strongest: 240 })!;
  expect(short.hours * 160 * 0.0036).toBeWithin(s.dliMin, { relative: 1e-9 });
  expect(wishedHours(AS_SET, crop('sage'), s, 12, null)).toBeNull();
});

test('plans never ask for more than the crop bears, but for the first days and nights of those that bear them', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...cropLibrary),
      fc.constantFrom(...PLAN_KINDS),
      fc.integer({ min: 0, max: 120 }),
      evenly(5, 600),
      (c, kind, age, mean) => {
        const s = c.stages[0]!;
        const wish = wishedHours(plan(kind, { hours: 20, days: 4 }), c, s, age, light(mean));
        if (!wish || (kind === 'day-and-night' && age < 4 && c.continuousLightInjury !== 'high')) return;
        expect(wish.hours).toBeGreaterThanOrEqual(s.hoursMin - 1e-9);
        expect(wish.hours).toBeLessThanOrEqual(s.hoursMax + 1e-9);
      },
    ),
  );
});

const today = dayFrom(2027, 2, 1);
const sage: Batch = {
  id: 'b',
  cropId: 'sage',
  stage: 'emergence',
  height: null,
  ...UNDATED,
  sown: today,
  log: [{ id: 'e', day: today, what: 'emerged', height: null, stage: null }],
};

test('plans side by side: dose, cost and risk over the days that are left', () => {
  const [steady, shortest] = comparePlans(
    [plan('steady', { hours: 16 }), plan('shortest')],
    sage,
    crop('sage'),
    light(220),
    14,
    { power: 40, price_per_kWh: 0.3 },
    today,
  );
  // The table of sage ends on its 56th day.
  expect(steady!.days).toBe(57);
  expect(steady!.lampHours).toBe(57 * 16);
  expect(steady!.cost).toBeWithin((57 * 16 * 40 * 0.3) / 1000, { relative: 1e-9 });
  expect(steady!.stages.map((s) => [s.stage.stage, s.days])).toEqual([['emergence', 8], ['seedling', 20], ['growing-on', 29]]); // prettier-ignore
  expect(shortest!.cost).toBeLessThan(steady!.cost);
  expect(shortest!.dliOfBest).toBeLessThan(steady!.dliOfBest);
});

test('the risks of a plan are named: weak, strong, day and night, bolting', () => {
  const run = (p: HoursPlan, cropId: string, mean: number) =>
    comparePlans(
      [p],
      { ...sage, cropId, stage: crop(cropId).stages[0]!.stage },
      crop(cropId),
      light(mean),
      16,
      { power: 40, price_per_kWh: 0.3 },
      today,
    )[0]!.risks.map((r) => r.why);
  expect(run(plan('steady', { hours: 14 }), 'sage', 60)).toEqual(['weak']);
  expect(run(plan('steady', { hours: 16 }), 'sage', 600)).toContain('strong');
  expect(run(plan('day-and-night', { days: 3 }), 'tomato', 180)).toContain('refused');
  expect(run(plan('day-and-night', { days: 3 }), 'sage', 220)).toContain('continuous-light');
});
