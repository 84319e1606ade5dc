import fc from 'fast-check';
import { heightAt } from '../../things/crop/heightAt';
import { cropLibrary } from '../../things/crop/cropLibrary';
import { tables } from '../../things/tables/libraryTables';
import { BARE_SITE, UNDATED } from '../stand/bare';
import type { Batch, Site } from '../stand/Site';
import { dayFrom } from '../../units/day';
import { dateBatch, logIt, measureBatch, stageBatch, unlog } from './changeGrowth';
import { doubtOfHeight } from './doubtOfHeight';
import { growthOf, lastDayOf } from './growthOf';
import { grownTo } from '../../answer/stand/grownTo';
import type { Logged, LoggedKind } from '../stand/Logged';

const SOWN = dayFrom(2027, 2, 1);
const crop = (id: string) => tables.crop(id)!;
const entry = (what: LoggedKind, day: number, more: Partial<Logged> = {}): Logged => ({
  id: `${what}${day}`,
  what,
  day,
  height: null,
  stage: null,
  ...more,
});
const batch = (cropId: string, log: readonly Logged[] = []): Batch => ({
  id: 'b',
  cropId,
  stage: crop(cropId).stages[0]!.stage,
  height: null,
  ...UNDATED,
  sown: SOWN,
  log,
});

test('leek comes up in the middle of its 7 to 16 days, and is then as tall as its table says', () => {
  const leek = batch('leek');
  const before = growthOf(leek, crop('leek'), SOWN + 6)!;
  expect(before).toMatchObject({ phase: 'before', height: 0, emergence: SOWN + 12, expected: { from: SOWN + 7, to: SOWN + 16 } });
  expect(before.stage.stage).toBe('emergence');
  // The crop table: 3 cm on the first day, 8 cm after two weeks, 13 cm after four.
  expect(growthOf(leek, crop('leek'), SOWN + 12)).toMatchObject({ phase: 'growing', age: 0, height: 0.03 });
  expect(growthOf(leek, crop('leek'), SOWN + 26)!.height).toBeWithin(0.08, { absolute: 1e-9 });
  expect(growthOf(leek, crop('leek'), SOWN + 40)!.height).toBeWithin(0.13, { absolute: 1e-9 });
  expect([9, 10, 29, 30].map((age) => growthOf(leek, crop('leek'), SOWN + 12 + age)!.stage.stage)).toEqual(['emergence', 'seedling', 'seedling', 'growing-on']); // prettier-ignore
  expect(lastDayOf(leek, crop('leek'))).toBe(SOWN + 12 + 77);
});

test('what was seen counts: emergence early or late, and “nothing yet” puts it off', () => {
  const up = growthOf(batch('leek', [entry('emerged', SOWN + 9)]), crop('leek'), SOWN + 23)!;
  expect(up).toMatchObject({ emergence: SOWN + 9, expected: null, age: 14 });
  const late = growthOf(batch('leek', [entry('not-yet', SOWN + 18)]), crop('leek'), SOWN + 18)!;
  expect(late).toMatchObject({ phase: 'before', emergence: SOWN + 19, expected: { from: SOWN + 19, to: SOWN + 19 } });
});

test('sown anew, what was seen before does not count any more', () => {
  const again = { ...batch('leek', [entry('emerged', SOWN + 9), entry('height', SOWN + 20, { height: 0.2 })]), sown: SOWN + 50 };
  expect(growthOf(again, crop('leek'), SOWN + 51)).toMatchObject({ phase: 'before', emergence: SOWN + 62 });
});

test('true leaves and potting on begin their stages, and the later ones move along', () => {
  const late = batch('tomato', [entry('emerged', SOWN), entry('true-leaves', SOWN + 9)]);
  const stageOn = (b: Batch, age: number) => growthOf(b, crop('tomato'), SOWN + age)!.stage.stage;
  // The table: seedling from day 5, growing on from day 21; four days late here.
  expect([8, 9, 24, 25].map((age) => stageOn(late, age))).toEqual(['emergence', 'seedling', 'seedling', 'growing-on']);
  const potted = batch('tomato', [entry('emerged', SOWN), entry('potted-on', SOWN + 16)]);
  expect([15, 16].map((age) => stageOn(potted, age))).toEqual(['seedling', 'growing-on']);
});

test('a stage that is set back counts, and the later ones wait for as long', () => {
  const back = batch('tomato', [entry('emerged', SOWN), entry('potted-on', SOWN + 16), entry('stage', SOWN + 25, { stage: 'seedling' })]);
  const stageOn = (age: number) => growthOf(back, crop('tomato'), SOWN + age)!.stage.stage;
  // Seedling again from day 25; the table has sixteen days from there to growing on.
  expect([16, 24, 25, 40, 41].map(stageOn)).toEqual(['growing-on', 'growing-on', 'seedling', 'seedling', 'growing-on']);
});

test('what only grown plants have, seen before they were expected up, says that they are up', () => {
  // Leek is expected after 12 days.
  const measured = growthOf(batch('leek', [entry('height', SOWN + 9, { height: 0.03 })]), crop('leek'), SOWN + 9)!;
  expect(measured).toMatchObject({ phase: 'growing', expected: null, height: 0.03 });
  const leaves = growthOf(batch('tomato', [entry('true-leaves', SOWN + 7)]), crop('tomato'), SOWN + 7)!;
  expect(leaves).toMatchObject({ phase: 'growing' });
  expect(leaves.stage.stage).toBe('seedling');
});

test('a height dated ahead, or of twice what the species grows to, is questioned', () => {
  expect(doubtOfHeight(crop('leek'), 0.1, SOWN + 20, SOWN + 20)).toBeNull();
  expect(doubtOfHeight(crop('leek'), 0.1, SOWN + 21, SOWN + 20)).toBe('dated-ahead');
  expect(doubtOfHeight(crop('leek'), 0.6, SOWN + 20, SOWN + 20)).toBe('taller-than-its-kind');
});

test('a houseplant is in the stage that was said last', () => {
  const fern = batch('fern', [entry('stage', SOWN + 30, { stage: 'growing-on' })]);
  expect([29, 30, 400].map((d) => growthOf(fern, crop('fern'), SOWN + d)!.stage.stage)).toEqual([
    'maintenance',
    'growing-on',
    'growing-on',
  ]);
  expect(lastDayOf(fern, crop('fern'))).toBeNull();
  // A bigger pot is no other stage.
  const potted = batch('fern', [entry('potted-on', SOWN + 10)]);
  expect(growthOf(potted, crop('fern'), SOWN + 20)).toMatchObject({ age: 20, stage: { stage: 'maintenance' } });
});

test('a height that was measured is met, and a plant twice as tall grows twice as fast', () => {
  const tall = batch('leek', [entry('emerged', SOWN), entry('height', SOWN + 14, { height: 0.16 })]);
  const at = (age: number) => growthOf(tall, crop('leek'), SOWN + age)!.height;
  expect(at(14)).toBeWithin(0.16, { absolute: 1e-12 });
  expect(at(28) - at(14)).toBeWithin(2 * 0.05, { absolute: 1e-9 });
  expect(at(7)).toBeWithin(2 * heightAt(crop('leek'), 7), { absolute: 1e-9 });
});

test('plants that were cut back grow on at their own stature, never downwards', () => {
  const cut = batch('leek', [
    entry('emerged', SOWN),
    entry('height', SOWN + 28, { height: 0.2 }),
    entry('height', SOWN + 30, { height: 0.09 }),
  ]);
  const at = (age: number) => growthOf(cut, crop('leek'), SOWN + age)!.height;
  expect(at(30)).toBeWithin(0.09, { absolute: 1e-12 });
  expect(at(44)).toBeGreaterThan(0.09);
  expect(at(44)).toBeLessThan(0.2);
});

test('every crop grows without a jump, passes through what was measured, and is never below the compost', () => {
  const measured = fc.array(fc.record({ age: fc.integer({ min: 0, max: 90 }), height: fc.double({ min: 0.01, max: 0.6, noNaN: true }) }), {
    maxLength: 4,
  });
  fc.assert(
    fc.property(fc.constantFrom(...cropLibrary), measured, (c, heights) => {
      const log = heights.map((h, i) => entry('height', SOWN + h.age, { id: `h${i}`, height: h.height }));
      const b = batch(c.id, [entry('emerged', SOWN), ...log]);
      const last = new Map(heights.map((h) => [h.age, h.height]));
      for (const [age, height] of last) expect(growthOf(b, c, SOWN + age)!.height).toBeWithin(height, { absolute: 1e-9 });
      for (let age = 0; age < 100; age++) expect(growthOf(b, c, SOWN + age)!.height).toBeGreaterThan(0);
    }),
    { numRuns: 60 },
  );
});

test('a site grows by its dated batches alone, and one in which nothing changes stays the same object', () => {
  const site: Site = {
    ...BARE_SITE,
    currency: 'EUR',
    price_per_kWh: 0.3,
    batches: [batch('leek'), { ...batch('leek'), id: 'c', sown: null }],
  };
  const grown = grownTo(site, SOWN + 40, tables);
  expect(grown.batches[0]).toMatchObject({ stage: 'seedling' });
  expect(grown.batches[0]!.height).toBeWithin(0.13, { absolute: 1e-9 });
  expect(grown.batches[1]).toBe(site.batches[1]);
  expect(grownTo(grown, SOWN + 40, tables)).toBe(grown);
});

test('heights and stages of a dated batch are written down, those of another are simply set', () => {
  const site: Site = { ...BARE_SITE, currency: 'EUR', price_per_kWh: 0.3, batches: [batch('leek')] };
  const at = { day: SOWN + 30, id: 'x' };
  const dated = stageBatch('b', 'growing-on', { ...at, id: 'y' })(measureBatch('b', 0.2, at)(site)).batches[0]!;
  expect(dated.log.map((l) => [l.what, l.height, l.stage])).toEqual([['height', 0.2, null], ['stage', null, 'growing-on']]); // prettier-ignore
  // Of one kind there is one word a day.
  const again = logIt('b', entry('height', SOWN + 30, { id: 'z', height: 0.21 }))({ ...site, batches: [dated] }).batches[0]!;
  expect(again.log.filter((l) => l.what === 'height').map((l) => l.height)).toEqual([0.21]);
  expect(unlog('b', 'z')({ ...site, batches: [again] }).batches[0]!.log).toHaveLength(1);
  const undated = dateBatch('b', null)(site);
  expect(measureBatch('b', 0.2, at)(undated).batches[0]).toMatchObject({ height: 0.2, log: [] });
});

test('a stage that was seen says by when a batch was up: so many days before as the table has until that stage', () => {
  const tomato = crop('tomato');
  const growing = tomato.stages.find((s) => s.stage === 'growing-on')!;
  const first = tomato.stages[0]!.stage;
  expect(growing.fromDay).toBeGreaterThan(7);
  const upBy = (...log: Logged[]) => growthOf(batch('tomato', log), tomato, SOWN + 60)!.emergence;
  const usual = upBy();
  // Seen so early that it must have come up at once.
  const seen = usual + growing.fromDay! - 2;
  expect(upBy(entry('stage', seen, { stage: 'growing-on' }))).toBe(usual - 2);
  expect(upBy(entry('potted-on', seen))).toBe(usual - 2);
  // Seen later it says nothing against the usual day; nor does the first stage, whenever it is seen.
  expect(upBy(entry('stage', seen + 30, { stage: 'growing-on' }))).toBe(usual);
  expect(upBy(entry('stage', SOWN + 1, { stage: first }))).toBe(usual);
});
