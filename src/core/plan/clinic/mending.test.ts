import { answerBench } from '../../answer/bench/answerBench';
import { questionOfStand } from '../../answer/bench/questionOfStand';
import { benchStandOf } from '../../answer/stand/benchStand';
import { asOf } from '../../answer/stand/asOf';
import { legginessOf, worstOfLegginess } from '../../judge/growth/legginess';
import { heightAt } from '../../things/crop/heightAt';
import { tables } from '../../things/tables/libraryTables';
import { applyMove } from '../advice/applyMove';
import { practiceSite, type PracticeTier } from '../practice/practiceSite';
import { circumstancesOf, ninths } from './circumstancesOf';
import type { TrayInPlace } from '../../answer/bench/traysInPlace';
import { headingFor } from './headingFor';
import { mendsByPlan } from './mendByPlan';
import { sownAgain } from './sownAgain';
import { testEffect } from './testEffect';
import { plantAreaOf } from '../../site/stand/footprint';

const TODAY = 20_780;
const tier: PracticeTier = {
  kind: 'rack',
  name: 'Rack',
  trays: [
    { id: 'celery', crop: 'celery', in: 'cell-72', x: 0.33, age: 14 },
    { id: 'leek', crop: 'leek', in: 'cell-72', x: 0.9, age: 14 },
  ],
  lamps: [{ lamp: 'led-shop-12-twin-42', x: 0.6, face: 0.35 }],
  on_min: 360,
  lit_min: 720,
};
const at = (changes: Partial<PracticeTier> = {}) => {
  const site = asOf(practiceSite({ ...tier, ...changes }, TODAY, tables), TODAY, tables);
  const stand = benchStandOf(site, site.stands[0]!, tables);
  const answer = answerBench(questionOfStand(stand, null));
  const standing = (i: number): TrayInPlace => {
    const tray = stand.tiers[0]!.trays[i]!;
    return { stand, tier: stand.tiers[0]!, tray, light: answer.tiers[stand.tiers[0]!.tier.id]!.trays[tray.tray.id]! };
  };
  return { site, stand, answer, standing };
};

test('what mends a dim tray: lower, with what it really comes to; no other tray is harmed', () => {
  const { site, stand, answer } = at();
  const question = { site, standId: stand.stand.id, scope: { of: 'tray', id: 'celery-tray' }, answer } as const;
  const mends = mendsByPlan(question, ['lower-lamp', 'raise-lamp', 'add-hours', 'fewer-hours', 'feed', 'mat-off'], tables);
  expect(mends.map((m) => m.treatment).sort()).toEqual(['add-hours', 'lower-lamp']);
  for (const { move, before, after } of mends) {
    // By less than a tenth no plant shows it.
    expect(after.weakest).toBeGreaterThan(1.1 * before.weakest);
    const next = applyMove(site, move, tables);
    const then = benchStandOf(next, next.stands[0]!, tables);
    const light = answerBench(questionOfStand(then, null)).tiers[then.tiers[0]!.tier.id]!.trays['celery-tray']!;
    // What is promised comes.
    expect(after.weakest).toBeWithin((light.stats.weakest.ppfd * then.tiers[0]!.hours * 3600) / 1e6, { relative: 0.01 });
  }
  // Leek bears fourteen hours as a seedling: nothing longer is offered for the timer that both share.
  const hours = mends.find((m) => m.treatment === 'add-hours')!.move;
  expect(hours.do === 'hours' && hours.lit_min).toBeLessThanOrEqual(14 * 60);
});

test('a tray that is right needs nothing of the plan', () => {
  const { site, stand, answer } = at({ lamps: [{ lamp: 'led-shop-12-twin-42', x: 0.6, y: 0.14, face: 0.21 }, { lamp: 'led-shop-12-twin-42', x: 0.6, y: 0.31, face: 0.21 }], lit_min: 780 }); // prettier-ignore
  const mends = mendsByPlan(
    { site, standId: stand.stand.id, scope: { of: 'tray', id: 'celery-tray' }, answer },
    ['raise-lamp', 'fewer-hours'],
    tables,
  );
  for (const m of mends) expect(m.after.loss).toBeLessThan(m.before.loss);
});

test('half of a tray on an upturned tray gets what the light there is, and longer days by their hours', () => {
  const { standing } = at();
  const s = standing(0);
  const nearer = testEffect('lower-lamp-half', [4], s)!;
  expect(nearer.nearer).toBe(s.tray.tray.riserHeight);
  // By the stand with the tray on one riser, looked at in full.
  const lifted = at();
  const raised = asOf({ ...lifted.site, stands: lifted.site.stands.map((x) => ({ ...x, tiers: x.tiers.map((t) => ({ ...t, trays: t.trays.map((y) => (y.id === 'celery-tray' ? { ...y, risers: 1 } : y)) })) })) }, TODAY, tables); // prettier-ignore
  const stand = benchStandOf(raised, raised.stands[0]!, tables);
  const light = answerBench(questionOfStand(stand, null)).tiers[stand.tiers[0]!.tier.id]!.trays['celery-tray']!;
  const middle = ninths(light, plantAreaOf(stand.tiers[0]!.trays[0]!.tray))[4]!;
  expect(nearer.after).toBeWithin(middle * 12 * 0.0036, { relative: 0.03 });
  const longer = testEffect('longer-day-half', [], s)!;
  expect(longer.after / longer.before).toBeCloseTo(14 / 12, 6);
  const turned = testEffect('turn-tray', [0, 3, 6], s)!;
  const nine = ninths(s.light!, plantAreaOf(s.tray.tray));
  expect(turned.after).toBeCloseTo(((nine[8]! + nine[5]! + nine[2]!) / 3) * 12 * 0.0036, 9);
  expect(testEffect('thin-half', [4], s)).toBeNull();
});

test('leaves keep clear of the lamp in a test as well', () => {
  const { standing } = at({ lamps: [{ lamp: 'led-shop-12-twin-42', x: 0.6, face: 0.16 }] });
  const s = standing(0);
  const effect = testEffect('lower-lamp-half', [4], s);
  expect(effect === null || s.tray.canopy + effect.nearer! <= 0.16 - 0.02 + 1e-9).toBe(true);
});

test('a tray that is dim is heading for trouble, the sooner the dimmer; one that is too bright for another; a good one for nothing', () => {
  const { standing } = at();
  const s = standing(0);
  const heading = headingFor(s.tier, s.tray, s.light!)!;
  expect(['leggy', 'behind']).toContain(heading.towards);
  expect(heading.days).toBeGreaterThan(2);
  const good = at({ lamps: [{ lamp: 'led-shop-12-twin-42', x: 0.6, y: 0.14, face: 0.21 }, { lamp: 'led-shop-12-twin-42', x: 0.6, y: 0.31, face: 0.21 }], lit_min: 780 }); // prettier-ignore
  expect(headingFor(good.standing(1).tier, good.standing(1).tray, good.standing(1).light!)).toBeNull();
  const strong = at({ lamps: [{ lamp: 'led-board-240', x: 0.6, face: 0.3 }] });
  expect(headingFor(strong.standing(0).tier, strong.standing(0).tray, strong.standing(0).light!)).toMatchObject({ towards: 'burnt' });
  // Dimmer is sooner.
  const dim = at({ lit_min: 360 }).standing(0);
  expect(headingFor(dim.tier, dim.tray, dim.light!)!.days).toBeLessThanOrEqual(heading.days);
});

test('whether it is leggy, beside the curve of its crop', () => {
  const celery = tables.crop('celery')!;
  const [usual, first] = [heightAt(celery, 20), heightAt(celery, 0)];
  expect(worstOfLegginess(legginessOf(celery, 20, null, null))).toBeNull();
  expect(worstOfLegginess(legginessOf(celery, 20, usual, first))).toBe('usual');
  expect(worstOfLegginess(legginessOf(celery, 20, 1.4 * usual, null))).toBe('leggy');
  expect(worstOfLegginess(legginessOf(celery, 20, usual, 1.5 * first))).toBe('leggy');
  expect(worstOfLegginess(legginessOf(celery, 20, 0.5 * usual, null))).toBe('short');
  expect(legginessOf(celery, 20, 1.2 * usual, first).above!.times).toBeCloseTo((1.2 * usual - first) / (usual - first), 12);
});

test('what was written down of the air is known to the clinic, unless the person says otherwise', () => {
  const { standing } = at();
  const s = standing(0);
  const kase = { id: 'k', batchId: 'celery', trayId: 'celery-tray', opened: TODAY, since: null, places: [], signs: [], told: {}, denied: [], tests: [], closed: null }; // prettier-ignore
  const entry = { id: 'a', day: TODAY - 1, what: 'air', height: null, stage: null, air: { low: 23, high: 27, humidity: null } } as const;
  const warm: TrayInPlace = { ...s, tray: { ...s.tray, batch: { ...s.tray.batch, log: [...s.tray.batch.log, entry] } } };
  expect(circumstancesOf(kase, warm, TODAY).air).toMatchObject({ night: 23, day: 27 });
  expect(circumstancesOf({ ...kase, told: { night_C: 12 } }, warm, TODAY).air).toMatchObject({ night: 12, day: 27 });
});

test('starting over sets it back by the days since it was sown, and says when that is too late', () => {
  const tomato = tables.crop('tomato')!;
  const planned = { out: TODAY + 40 } as Parameters<typeof sownAgain>[2];
  const weeks = tomato.sowing!.weeksBefore.least + tomato.sowing!.plantOutWeeksAfter;
  expect(sownAgain({ sown: TODAY - 21 }, tomato, planned, TODAY)).toEqual({ days: 21, asNow: TODAY + 21, out: { planned: TODAY + 40, then: TODAY + 61, latestSowing: TODAY + 40 - 7 * weeks, isTooLate: 7 * weeks > 40 } }); // prettier-ignore
  expect(sownAgain({ sown: null }, tomato, undefined, TODAY)).toBeNull();
});
