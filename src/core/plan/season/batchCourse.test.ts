import type { PlannedBatch } from '../../site/season/SeasonPlan';
import { heightAt } from '../../things/crop/heightAt';
import { tables } from '../../things/tables/libraryTables';
import { dayFrom } from '../../units/day';
import { batchCourse, stageOn, topOn } from './batchCourse';

const tomato = tables.crop('tomato')!;
const SOWN = dayFrom(2027, 2, 1);
const OUT = SOWN + 56;
const planned: PlannedBatch = {
  id: 'p',
  cropId: 'tomato',
  label: '',
  goal: 'outdoors',
  sown: SOWN,
  out: OUT,
  cells: 72,
  filledPercent: 100,
  lossPercent: 0,
  keepAtMost: null,
  containers: [
    { containerId: 'cell-72', fromDay: 0 },
    { containerId: 'pot-9', fromDay: 21 },
  ],
  batchId: null,
  tierId: null,
  lost: null,
};
const course = (change: Partial<PlannedBatch> = {}, hardeningDays = 7) =>
  batchCourse({ ...planned, ...change }, tomato, undefined, tables.container, { hardeningDays });

test('a batch is up in the middle of its days, is potted on by its age and hardened before it goes out', () => {
  const { days } = tomato.germination!;
  const c = course();
  const expected = SOWN + Math.floor((days.first + days.last) / 2 + 0.5);
  expect(c.emergence).toEqual({ first: SOWN + days.first, last: SOWN + days.last, expected, seen: false });
  expect(c.hardening).toBe(OUT - 7);
  expect(c.parts.map((p) => [p.phase, p.from, p.until, p.containerId])).toEqual([
    ['sown', SOWN, expected, 'cell-72'],
    ['raised', expected, expected + 21, 'cell-72'],
    ['potted', expected + 21, OUT - 7, 'pot-9'],
    ['hardening', OUT - 7, OUT, 'pot-9'],
  ]);
  expect(c.plantsOut).toBe(72);
});

test('the lamp is on the day before the first may come up, from the sowing where seeds need light', () => {
  const { first } = tomato.germination!.days;
  expect(course().lampBy).toBe(SOWN + first - 1);
  const needs = { ...tomato, germination: { ...tomato.germination!, light: 'needs' as const } };
  expect(batchCourse(planned, needs, undefined, tables.container, { hardeningDays: 7 }).lampBy).toBe(SOWN);
});

test('a batch that is lost ends that day and brings nothing; one that stays indoors is not hardened', () => {
  const lost = course({ lost: SOWN + 30 });
  expect(lost.parts.at(-1)!.until).toBe(SOWN + 30);
  expect(lost.plantsOut).toBe(0);
  expect(course({ lost: OUT + 3 }).plantsOut).toBe(72);
  const inside = course({ goal: 'ready' });
  expect(inside.parts.some((p) => p.phase === 'hardening')).toBe(false);
  expect(inside.hardening).toBe(OUT);
});

test('stages go by days since it came up: none before, the first on the day itself', () => {
  const c = course();
  const up = c.emergence.expected;
  expect(stageOn(c, up - 1)).toBeNull();
  expect(stageOn(c, up)).toBe(tomato.stages[0]);
  for (const stage of tomato.stages.slice(1)) {
    expect(stageOn(c, up + stage.fromDay!)).toBe(stage);
    expect(stageOn(c, up + stage.fromDay! - 1)).not.toBe(stage);
  }
});

test('leaf tops are the container it stands in and the height of its age; before it is up the container alone', () => {
  const c = course();
  const up = c.emergence.expected;
  const [cells, pot] = ['cell-72', 'pot-9'].map((id) => tables.container(id)!.height);
  expect(topOn(c, SOWN, tables.container)).toBe(cells);
  expect(topOn(c, up - 1, tables.container)).toBe(cells);
  expect(topOn(c, up, tables.container)).toBeCloseTo(cells! + heightAt(tomato, 0), 9);
  expect(topOn(c, up + 10, tables.container)).toBeCloseTo(cells! + heightAt(tomato, 10), 9);
  expect(topOn(c, up + 30, tables.container)).toBeCloseTo(pot! + heightAt(tomato, 30), 9);
  // Before it was sown as on the day of its sowing.
  expect(topOn(c, SOWN - 5, tables.container)).toBe(cells);
});

test('a container that the table lacks is a mistake of whoever asks', () => {
  expect(() => course({ containers: [{ containerId: 'nowhere', fromDay: 0 }] })).toThrow('nowhere');
});
