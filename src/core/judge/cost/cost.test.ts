import fc from 'fast-check';
import { hoursUntil, lastDayOfLamp, outputAfter, replacementsIn } from './lampLife';
import { breakEvenYears, owning } from './owning';
import type { PricePeriod } from '../../units/PricePeriod';
import { costADay, DAYS_PER_MONTH, pricesOf } from './pricesOf';
import { cheapestStart, costOfRun, costOfWeek, priceAt } from './tariff';

const BANDS: readonly PricePeriod[] = [
  { from_min: 22 * 60, to_min: 7 * 60, price_per_kWh: 0.1, days: 'working' },
  { from_min: 7 * 60, to_min: 22 * 60, price_per_kWh: 0.3, days: 'working' },
  { from_min: 0, to_min: 0, price_per_kWh: 0.15, days: 'weekend' },
];

test('a price holds to the minute, across midnight, and changes with the calendar day', () => {
  expect([priceAt(BANDS, 1, 22 * 60), priceAt(BANDS, 1, 22 * 60 - 1), priceAt(BANDS, 1, 0)]).toEqual([0.1, 0.3, 0.1]);
  expect([priceAt(BANDS, 6, 0), priceAt(BANDS, 0, 12 * 60)]).toEqual([0.15, 0.15]);
  // Friday 23:00 for two hours: an hour at night's price, an hour at the weekend's. 60 W.
  expect(costOfRun(BANDS, 60, 23 * 60, 120, 5)).toBeCloseTo(0.06 * 0.1 + 0.06 * 0.15, 12);
});

test('a run costs the sum of its parts, and the cheapest start is one that no other beats', () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 1439 }), fc.integer({ min: 1, max: 700 }), fc.integer({ min: 1, max: 700 }), (on, a, b) => {
      const whole = costOfRun(BANDS, 100, on, a + b, 2);
      const later = (on + a) % 1440;
      const parts = costOfRun(BANDS, 100, on, a, 2) + costOfRun(BANDS, 100, later, b, on + a >= 1440 ? 3 : 2);
      expect(parts).toBeCloseTo(whole, 10);
    }),
  );
  const quiet = { from_min: 1380, to_min: 300 };
  const best = cheapestStart(BANDS, 100, 600, quiet, 15)!;
  for (let on = 0; on < 1440; on += 15) {
    const inQuiet = Array.from({ length: 600 }, (_, i) => (on + i) % 1440).some((m) => m >= 1380 || m < 300);
    if (!inQuiet) expect(costOfRun(BANDS, 100, on, 600)).toBeGreaterThanOrEqual(best.cost - 1e-12);
    else expect(on).not.toBe(best.on_min);
  }
  expect(cheapestStart(BANDS, 100, 1200, quiet, 15)).toBeNull();
});

test('lamps are replaced as a day-by-day count says', () => {
  for (const [life_h, hours, years] of [
    [4000, 14, 5],
    [58_400, 16, 10],
    [8000, 12, 2],
    [20_000, 24, 9],
  ] as const) {
    let [lamps, left]: [number, number] = [1, life_h];
    for (let day = 0; day < years * 365; day++) {
      // One that ends with the day before is replaced for this one.
      if (left <= 1e-9) [lamps, left] = [lamps + 1, life_h];
      left -= hours;
      if (left < 0) [lamps, left] = [lamps + 1, left + life_h];
    }
    expect(replacementsIn(years, life_h, hours)).toBe(lamps - 1);
  }
  expect(lastDayOfLamp(100, 50, 40, 4)).toBe(102);
  expect(lastDayOfLamp(100, 50, 60, 4)).toBe(100);
});

test('both ways of fading go through the rated point and lead back', () => {
  for (const model of ['exponential', 'linear'] as const) {
    expect(outputAfter(0, 0.7, 36_000, model)).toBe(1);
    expect(outputAfter(36_000, 0.7, 36_000, model)).toBeCloseTo(0.7, 12);
    expect(outputAfter(hoursUntil(0.83, 0.7, 36_000, model), 0.7, 36_000, model)).toBeCloseTo(0.83, 12);
  }
});

test('at equal light the more efficient lamp never costs more energy, and a dearer one pays back when it is said to', () => {
  const lamps = fc.record({
    power: fc.double({ min: 5, max: 300, noNaN: true }),
    efficacy: fc.double({ min: 0.5, max: 3.5, noNaN: true }),
    utilisation: fc.double({ min: 0.1, max: 0.9, noNaN: true }),
    price: fc.double({ min: 1, max: 300, noNaN: true }),
    life_h: fc.constant(1e9),
  });
  const wanted = { dli: 12, area_m2: 0.3, hoursMax: 16, price_per_kWh: 0.3, years: 3 };
  fc.assert(
    fc.property(lamps, lamps, (one, other) => {
      const [a, b] = [owning(one, wanted), owning(other, wanted)];
      const better = one.efficacy * one.utilisation >= other.efficacy * other.utilisation;
      const [less, more] = better ? [a, b] : [b, a];
      expect(less.kWhPerYear).toBeLessThanOrEqual(more.kWhPerYear * (1 + 1e-9));
      expect(a.hoursPerDay).toBeLessThanOrEqual(16 + 1e-6);
      const years = breakEvenYears(a, b);
      if (years === null) return;
      // Relative: of two lamps that use all but the same, the years are very many.
      const [spentA, spentB] = [a.purchase + years * a.energyCostPerYear, b.purchase + years * b.energyCostPerYear];
      expect(Math.abs(spentA - spentB)).toBeLessThanOrEqual(1e-9 * Math.max(spentA, spentB));
    }),
  );
});

test('a day costs the same counted minute by minute, and weekends come in with two days of seven', () => {
  const cheap = { from_min: 1380, to_min: 330, price_per_kWh: 0.1 };
  const pause = { from_min: 720, to_min: 840 };
  const paused = { on_min: 300, lit_min: 600, pause };
  const either = { price_per_kWh: 0.3, cheap };
  // Half an hour of it is cheap, with a pause as without.
  expect(costADay(either, 120, paused)).toBeCloseTo(costADay(either, 120, { ...paused, pause: null }), 12);
  const noons = { price_per_kWh: 0.3, cheap: null, bands: [{ from_min: 720, to_min: 840, price_per_kWh: 9, days: 'all' as const }] };
  expect(costADay(noons, 120, paused)).toBeCloseTo(0.12 * 10 * 0.3, 9);
  for (const [on, lit] of [
    [0, 1440],
    [360, 960],
    [1300, 300],
    [700, 0],
    [100, 240],
  ] as const) {
    const plain = { price_per_kWh: 0.3, cheap };
    const times = { on_min: on, lit_min: lit, pause: null };
    expect(costADay(plain, 120, times)).toBeCloseTo(costOfWeek(pricesOf(plain), 120, on, lit) / 7, 9);
    const free = { ...plain, bands: [{ from_min: 0, to_min: 0, price_per_kWh: 0, days: 'weekend' as const }] };
    const whole = { ...plain, bands: [{ from_min: 0, to_min: 0, price_per_kWh: 0.5, days: 'all' as const }] };
    expect(costADay(whole, 120, times)).toBeCloseTo((0.5 * 0.12 * lit) / 60, 9);
    // A run that does not cross midnight is free on two days of seven.
    if (on + lit <= 1440) expect(costADay(free, 120, times)).toBeCloseTo((5 / 7) * costADay(plain, 120, times), 9);
  }
});

test('42 W for 16 h at 0.30 cost 20 cents a day and 6.14 a month', () => {
  const day = costADay({ price_per_kWh: 0.3, cheap: null }, 42, { on_min: 360, lit_min: 960, pause: null });
  expect(day).toBeWithin(0.2016, { relative: 1e-9 });
  expect(day * DAYS_PER_MONTH).toBeWithin(6.136, { relative: 1e-3 });
});
