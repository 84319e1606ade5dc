import { demoSite } from '../../../store/site/demoSite';
import { answerBench } from '../../answer/bench/answerBench';
import { questionOfStand } from '../../answer/bench/questionOfStand';
import { asOf } from '../../answer/stand/asOf';
import { benchStandOf, lampOf } from '../../answer/stand/benchStand';
import { createCache } from '../../light/scene/Cache';
import { noteSettings } from '../../site/past/noteSettings';
import { changeFittings, setTimes, type Change } from '../../site/stand/change';
import { plantedAreaOf } from '../../site/stand/footprint';
import type { Site } from '../../site/stand/Site';
import { tables } from '../../things/tables/libraryTables';
import { dayFrom, type Day } from '../../units/day';
import { sumsOf } from '../buying/batchSums';
import { billOf, totalOf } from '../buying/bill';
import { drawnLately } from '../buying/drawnLately';
import { dliInPlace, traysInPlace } from '../../answer/bench/traysInPlace';
import { givenToBatch } from './givenToBatch';

const TODAY = dayFrom(2027, 2, 20);
const whole = demoSite('en-GB', TODAY);
const rack = whole.stands.find((s) => s.id === 'demo-rack')!;
const tier = rack.tiers[1]!; // two trays of celery under two lamps
const demo: Site = { ...whole, stands: [{ ...rack, tiers: [tier] }], trials: [], earlier: [], cheap: null, bands: [], price_per_kWh: 0.3 };
const { batchId } = tier.trays[0]!;
const cache = createCache();
const given = (site: Site) => givenToBatch(site, batchId, TODAY, tables, cache);
const on = (day: Day, site: Site, change: Change) => noteSettings(site, change(site), day);
const lift = changeFittings(tier.id, tier.fittings.map((f) => f.id), (f) => ({ face: f.face + 0.1 })); // prettier-ignore
const timer = demo.timers.find((p) => p.id === tier.timerId)!;
const half = setTimes(timer.id, timer.on_min, timer.lit_min / 2);

/** The mean dose of the batch on a day of a site, lamps as they are there. */
function doseOn(site: Site, day: Day): number {
  const then = asOf(site, day, tables);
  const stand = benchStandOf(then, then.stands[0]!, tables);
  const places = traysInPlace([{ stand, answer: answerBench(questionOfStand(stand, null), cache) }]);
  const own = tier.trays.filter((y) => y.batchId === batchId);
  const area = own.reduce((sum, y) => sum + plantedAreaOf(y), 0);
  return own.reduce((sum, y) => sum + dliInPlace(places.get(y.id)!)! * plantedAreaOf(y), 0) / area;
}

test('a batch has been given what a plain sum over its days has, under lamps as they hung on each of them', () => {
  const site = asOf(on(TODAY - 9, demo, lift), TODAY, tables);
  const { days, dli, area_m2, mol } = given(site)!;
  let plain = 0;
  for (let day = TODAY - days; day < TODAY; day++) plain += doseOn(day < TODAY - 9 ? demo : lift(demo), day);
  expect(dli * days).toBeWithin(plain, { relative: 0.01 });
  expect(mol).toBeCloseTo(dli * days * area_m2, 6);
  // Lower lamps had given more: as if all had always been so, it would read less.
  expect(dli).toBeGreaterThan(1.05 * given({ ...site, earlier: [] })!.dli);
});

test('power is that of the hours on each day; prices are today’s', () => {
  const batch = demo.batches.find((b) => b.id === batchId)!;
  const before = sumsOf(demo, batch, TODAY, tables)!;
  const now = sumsOf(on(TODAY - 5, demo, half), batch, TODAY, tables)!;
  const watts = tier.fittings.reduce((sum, f) => sum + lampOf(demo, f.lampId, tables).power, 0);
  // Half of a tier with two trays alike; five days of half the hours.
  const aDay = (0.5 * watts * timer.lit_min) / 60_000;
  expect(before.kWh).toBeCloseTo(before.days * aDay, 9);
  expect(now.kWh).toBeCloseTo((before.days - 5) * aDay + 5 * (aDay / 2), 9);
  expect(now.kWhADay).toBeCloseTo(aDay / 2, 9);
  expect(now.cost).toBeCloseTo(0.3 * now.kWh, 9);
});

test('what a meter should have counted in the last days goes by the hours of each of them', () => {
  const all = drawnLately(demo, 10, TODAY, tables);
  const plain = totalOf(billOf(demo, tables)).kWh;
  expect(all).toBeCloseTo(plain, 9);
  const lamps = (tier.fittings.reduce((sum, f) => sum + lampOf(demo, f.lampId, tables).power, 0) * timer.lit_min) / 60_000;
  const now = on(TODAY - 4, demo, half);
  expect(drawnLately(now, 10, TODAY, tables)).toBeCloseTo(plain - (4 / 10) * (lamps / 2), 9);
  expect(drawnLately(now, 3, TODAY, tables)).toBeCloseTo(plain - lamps / 2, 9);
});

test('nothing is made up of a batch without a date, of one that is not up yet, or of none', () => {
  expect(given({ ...demo, batches: demo.batches.map((b) => ({ ...b, sown: null })) })).toBeNull();
  expect(given({ ...demo, batches: demo.batches.map((b) => (b.id === batchId ? { ...b, sown: TODAY, log: [] } : b)) })).toBeNull();
  expect(givenToBatch(demo, 'none', TODAY, tables, cache)).toBeNull();
  expect(given({ ...demo, stands: [] })).toBeNull();
});
