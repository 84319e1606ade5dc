import { answerBench } from '../../answer/bench/answerBench';
import { questionOfStand } from '../../answer/bench/questionOfStand';
import { benchStandOf } from '../../answer/stand/benchStand';
import { scaled } from '../../judge/dli/LightSpread';
import { createCache } from '../../light/scene/Cache';
import { plainOwnLamp } from '../../site/ownLamps/changeOwnLamps';
import { turnDimmers } from '../../site/ownLamps/turnDimmers';
import { knowOwnLamps } from '../../site/ownLamps/hangingOf';
import { BARE_SITE } from '../../site/stand/bare';
import { addFitting, addTray } from '../../site/stand/change';
import type { Site } from '../../site/stand/Site';
import { standFrom, TEMPLATES } from '../../site/stand/templates';
import { tables } from '../../things/tables/libraryTables';
import { dayFrom } from '../../units/day';
import { dimTimer } from './dimTimer';
import { powerOf, servedBy, timersOf } from './servedBy';
import { resultsOn, solveTimer } from './solveTimer';

const TODAY = dayFrom(2027, 2, 6);
const lamp = tables.lamp('led-shop-12-twin-42')!;
const cells = tables.container('cell-72')!;
const rules = { step_min: 15, quiet: null, cheap: null, price_per_kWh: 0.3 };

/** Two tiers on one timer, each with one crop under three shop lights that can be dimmed to some steps. */
function rack(crops: readonly [string, string], dimmers: readonly [boolean, boolean], steps = [0.2, 0.4, 0.6, 0.8]): Site {
  let next = 0;
  const ids = () => `d${next++}`;
  const template = TEMPLATES.find((t) => t.kind === 'rack')!;
  const { stand, timer } = standFrom(template, 2, 'Rack', ids);
  let site: Site = { ...BARE_SITE, currency: 'EUR', price_per_kWh: 0.3, stands: [stand], timers: [timer] };
  stand.tiers.forEach(({ id }, i) => {
    for (const x of [0.32, 0.88])
      site = addTray(id, cells, { cropId: crops[i]!, stage: tables.crop(crops[i]!)!.stages[0]!.stage }, { x, y: 0.225 }, ids)(site);
    for (const y of [0.1, 0.225, 0.35]) site = addFitting(id, lamp, { x: 0.6, y, face: 0.25 }, ids())(site);
  });
  const fittings = site.stands[0]!.tiers.flatMap((t, i) => (dimmers[i] ? t.fittings : []));
  const ownLamps = fittings.map((f) => ({
    ...plainOwnLamp(`own ${f.id}`, f.lampId, f.id),
    fittingId: f.id,
    dimmer: { steps, points: [] },
  }));
  return knowOwnLamps({ ...site, ownLamps }, TODAY);
}

function look(site: Site) {
  const stand = benchStandOf(site, site.stands[0]!, tables);
  const [timer] = timersOf(stand);
  return { timer: timer!, lights: answerBench(questionOfStand(stand, null), createCache(64)).tiers };
}

const out = (results: readonly { says: string }[]) => results.filter((f) => f.says !== 'suits').length;

test('violets below tomatoes on one timer: no hours serve both, a dimmer does; set so, the engine agrees', () => {
  const site = rack(['tomato', 'african-violet'], [false, true]);
  const { timer, lights } = look(site);
  const hours = solveTimer(servedBy(timer, lights), { ...rules, power: powerOf(timer) }, timer);
  const found = dimTimer(timer, lights, rules)!;
  expect(out(found.answer.results)).toBeLessThan(out(hours.results));
  expect(found.tiers.map((t) => t.tier.number)).toEqual([2]);
  const { tier, dimming } = found.tiers[0]!;
  expect(dimming.to).toBeLessThan(1);
  expect(found.answer.costPerDay / found.answer.lit_min).toBeLessThan(hours.costPerDay / hours.lit_min);
  // What is promised comes: the lamps turned, the light worked out anew, the same hours.
  const then = look(turnDimmers(new Map([[tier.tier.id, dimming.to]]))(site));
  const real = resultsOn(servedBy(then.timer, then.lights), { ...rules, power: powerOf(then.timer) }, found.answer);
  expect(real.results.map((f) => f.says)).toEqual(found.answer.results.map((f) => f.says));
  real.results.forEach((f, i) => expect(f.mean).toBeWithin(found.answer.results[i]!.mean, { relative: 0.01 }));
  expect(real.costPerDay).toBeCloseTo(found.answer.costPerDay, 6);
});

test.each([
  ['tomato', 'fern'],
  ['fern', 'sweet-pepper'],
  ['lettuce', 'african-violet'],
] as const)('%s and %s: as many trays in range as with the best of all combinations of settings', (a, b) => {
  const { timer, lights } = look(rack([a, b], [true, true]));
  const spill = (id: string) => Object.values(lights).flatMap((t) => t.trays[id] ?? [])[0]!.spillShare;
  let [least, sure] = [Infinity, Infinity];
  for (const first of [1, 0.8, 0.6, 0.4, 0.2])
    for (const second of [1, 0.8, 0.6, 0.4, 0.2]) {
      const served = servedBy(timer, lights).map((s) => {
        const by = timer.tiers[0]!.trays.some((y) => y.tray.id === s.trayId) ? first : second;
        const k = by + (1 - by) * spill(s.trayId);
        return { ...s, light: scaled(s.light, k) };
      });
      const times = solveTimer(served, { ...rules, power: 80 }, timer);
      const { results } = times;
      least = Math.min(least, out(results));
      const at = (k: number) => resultsOn(served.map((s) => ({ ...s, light: scaled(s.light, k) })), { ...rules, power: 80 }, times).results; // prettier-ignore
      const [less, more] = [at(0.98), at(1.02)];
      sure = Math.min(sure, results.filter((f, i) => [f, less[i]!, more[i]!].some((x) => x.says !== 'suits')).length);
    }
  const plain = out(solveTimer(servedBy(timer, lights), { ...rules, power: 80 }, timer).results);
  const found = dimTimer(timer, lights, rules);
  const got = found ? out(found.answer.results) : plain;
  // Only those that are turned are told.
  expect(found?.tiers.every((t) => t.dimming.by !== 1) ?? true).toBe(true);
  expect(got).toBeGreaterThanOrEqual(least);
  expect(got).toBeLessThanOrEqual(Math.min(plain, sure));
});

test('of two tiers that can be dimmed only the one that has to be is told to be turned', () => {
  const { timer, lights } = look(rack(['tomato', 'african-violet'], [true, true]));
  const found = dimTimer(timer, lights, rules)!;
  expect(found.tiers.every((t) => t.dimming.by !== 1)).toBe(true);
  expect(found.tiers.map((t) => t.tier.number)).toContain(2);
});

test('nothing is offered where hours alone serve all, or no lamp can be dimmed', () => {
  const plain = look(rack(['tomato', 'african-violet'], [false, false]));
  expect(dimTimer(plain.timer, plain.lights, rules)).toBeNull();
});
