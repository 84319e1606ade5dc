import { demoSite } from '../../../store/site/demoSite';
import { lampOf } from '../../answer/stand/benchStand';
import { growthOf } from '../../site/growth/growthOf';
import { logIt } from '../../site/growth/changeGrowth';
import { cropOf } from '../../site/crop/cropOf';
import { tables } from '../../things/tables/libraryTables';
import { dayFrom } from '../../units/day';
import { sumsOf } from './batchSums';
import { billOf, totalOf } from './bill';

const TODAY = dayFrom(2027, 2, 20);
const site = { ...demoSite('en-GB', TODAY), cheap: null, price_per_kWh: 0.3 };
const rack = site.stands.find((s) => s.id === 'demo-rack')!;
const celery = rack.tiers[1]!; // two trays of one size under two lamps
const batch = site.batches.find((b) => b.id === celery.trays[0]!.batchId)!;

test('a batch has had its part of its tier’s power on every day since it came up, counted by hand', () => {
  const sums = sumsOf(site, batch, TODAY, tables)!;
  const watts = celery.fittings.reduce((sum, f) => sum + lampOf(site, f.lampId, tables).power, 0);
  const { lit_min } = site.timers.find((p) => p.id === celery.timerId)!;
  const { emergence } = growthOf(batch, cropOf(site, batch.cropId, tables)!, TODAY)!;
  expect(sums.days).toBe(TODAY - emergence);
  // The two trays are of one size: half of it each.
  expect(sums.kWhADay).toBeCloseTo((0.5 * watts * lit_min) / 60_000, 9);
  expect(sums.kWh).toBeCloseTo(sums.days * sums.kWhADay, 9);
  expect(sums.cost).toBeCloseTo(0.3 * sums.kWh, 9);
  expect(sums.grams).toBeNull();
});

test('harvests are added up; without a date or a place nothing is made up', () => {
  const cut = (id: string, weight_g: number) => logIt(batch.id, { id, day: TODAY, what: 'harvest', height: null, stage: null, weight_g });
  const harvested = cut('b', 30)(cut('a', 12.5)(site));
  const own = harvested.batches.find((b) => b.id === batch.id)!;
  expect(sumsOf(harvested, own, TODAY, tables)).toMatchObject({ grams: 42.5 });
  expect(sumsOf(site, { ...batch, sown: null }, TODAY, tables)).toBeNull();
  expect(sumsOf({ ...site, stands: [] }, batch, TODAY, tables)).toBeNull();
});

test('what all trays of a tier have drawn together is what its lamps have', () => {
  const perDay = site.batches.reduce((sum, b) => sum + (sumsOf(site, b, TODAY, tables)?.kWhADay ?? 0), 0);
  const lamps = billOf(site, tables).filter((l) => l.kind === 'lamps' && l.trays > 0);
  // Trays without a date have no sums: never more than the bill.
  expect(perDay).toBeLessThanOrEqual(totalOf(lamps).kWh + 1e-9);
  const ofTier = celery.trays.reduce(
    (sum, y) =>
      sum +
      sumsOf(
        site,
        site.batches.find((b) => b.id === y.batchId)!,
        TODAY,
        tables,
      )!.kWhADay,
    0,
  );
  expect(ofTier).toBeCloseTo(totalOf(lamps.filter((l) => l.tierId === celery.id)).kWh, 9);
});
