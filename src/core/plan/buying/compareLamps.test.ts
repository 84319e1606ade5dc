import fc from 'fast-check';
import { BARE_SITE } from '../../site/stand/bare';
import type { Site } from '../../site/stand/Site';
import { standFrom, TEMPLATES } from '../../site/stand/templates';
import { tables } from '../../things/tables/libraryTables';
import { owning } from '../../judge/cost/owning';
import { breaksEvenIn, compareLamps, spentByYear } from './compareLamps';

let n = 0;
const { stand, timer } = standFrom(
  TEMPLATES.find((t) => t.kind === 'rack')!,
  1,
  'Rack',
  () => `c${n++}`,
);
const site: Site = { ...BARE_SITE, currency: 'EUR', price_per_kWh: 0.3, stands: [stand], timers: [timer] };
const tierId = stand.tiers[0]!.id;
const stage = tables.crop('lettuce')!.stages.find((s) => s.stage === 'seedling')!;
const compare = (lampIds: readonly string[], of = stage) => compareLamps({ site, tierId, lampIds, stage: of }, tables);

test('lamps are made equal in light: each that reaches the target gives it at the weakest place, and no plant more than it bears', () => {
  const fits = compare(['led-shop-12-twin-50', 'led-bar-12-white-24', 't5-09-2refl', 'led-bar-06-white-10', 'led-a-14-clamp']);
  expect(fits.filter((f) => f.reaches).length).toBeGreaterThan(1);
  for (const f of fits.filter((x) => x.reaches)) {
    expect(f.dli).toBeCloseTo(stage.dliTarget, 6);
    expect(f.weakest * f.hours * 0.0036).toBeCloseTo(f.dli, 9);
    expect(f.hours).toBeLessThanOrEqual(stage.hoursMax + 1e-9);
    expect(f.spot).toBeLessThanOrEqual(stage.ppfdMax);
    expect(f.strongest * f.hours * 0.0036).toBeLessThanOrEqual(stage.dliMax + 1e-9);
    expect(f.uniformity).toBeGreaterThan(0);
    expect(f.uniformity).toBeLessThanOrEqual(1);
    expect(f.power).toBeCloseTo(f.count * tables.lamp(f.lampId)!.power, 9);
  }
});

test('a more demanding crop never needs fewer lamps', () => {
  const [easy] = compare(['led-bar-12-white-24'], { ...stage, dliTarget: 5, dliMax: 30 });
  const [hard] = compare(['led-bar-12-white-24'], { ...stage, dliTarget: 11, dliMax: 30 });
  expect(hard!.count).toBeGreaterThanOrEqual(easy!.count);
  expect(hard!.count * hard!.hours).toBeGreaterThan(easy!.count * easy!.hours);
});

test('money over the years is what the arithmetic of owning says, and grows with the price of power', () => {
  fc.assert(
    fc.property(
      fc.record({ count: fc.integer({ min: 1, max: 6 }), watts: fc.integer({ min: 5, max: 100 }), hours: fc.integer({ min: 4, max: 18 }), price: fc.integer({ min: 1, max: 200 }), life_h: fc.integer({ min: 1000, max: 50_000 }), days: fc.integer({ min: 30, max: 365 }), years: fc.integer({ min: 1, max: 12 }) }), // prettier-ignore
      ({ count, watts, hours, price, life_h, days, years }) => {
        const asked = { price, life_h, price_per_kWh: 0.3, dearerPerYear: 0, daysPerYear: days, years };
        const spent = spentByYear({ count, power: count * watts, hours }, asked);
        // The same lamp through the reference arithmetic: a dose that takes just these lamps and hours.
        const lamp = { power: watts, efficacy: 2, utilisation: 0.5, price, life_h };
        const dose = ((count * watts * 2 * 0.5) / 0.3) * hours * 0.0036;
        const owned = owning(lamp, { dli: dose, area_m2: 0.3, hoursMax: hours, price_per_kWh: 0.3, years, daysPerYear: days });
        expect(owned.count).toBe(count);
        expect(spent.at(-1)).toBeCloseTo(owned.total, 6);
        expect(spent).toEqual([...spent].sort((a, b) => a - b));
        const dearer = spentByYear({ count, power: count * watts, hours }, { ...asked, dearerPerYear: 0.05 });
        expect(dearer.at(-1)!).toBeGreaterThanOrEqual(spent.at(-1)! - 1e-9);
      },
    ),
  );
  expect(breaksEvenIn([100, 110, 120], [50, 90, 130])).toBe(2);
  expect(breaksEvenIn([100, 150], [50, 60])).toBeNull();
  expect(breaksEvenIn([50, 60], [100, 150])).toBeNull();
});
