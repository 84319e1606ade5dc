import { demoSite } from '../../../store/site/demoSite';
import { shelfStands } from '../../site/stand/shelfStands';
import { tables } from '../../things/tables/libraryTables';
import { dayFrom } from '../../units/day';
import { DAYS_PER_MONTH, pricesOf } from '../../judge/cost/pricesOf';
import { benchStandOf } from '../../answer/stand/benchStand';
import { billOf, billOfStand, lampsAMonth, rebased, totalOf } from './bill';

const site = { ...demoSite('en-GB', dayFrom(2027, 3, 1)), cheap: { from_min: 30, to_min: 330, price_per_kWh: 0.1 }, price_per_kWh: 0.3 };

test('the bill of a day is what a count minute by minute gives', () => {
  for (const line of billOf(site, tables)) {
    const tier = site.stands.flatMap((s) => s.tiers).find((t) => t.id === line.tierId);
    const plugged = site.stands.flatMap((s) => s.plugged).find((p) => p.name === line.name);
    const timer = site.timers.find((p) => p.id === (tier ? tier.timerId : plugged?.timerId));
    let cost = 0;
    for (let minute = 0; minute < 1440; minute++) {
      const isLit = !timer || (minute - timer.on_min + 1440) % 1440 < timer.lit_min;
      const isCheap = minute >= 30 && minute < 330;
      if (isLit) cost += ((line.power / 1000) * (isCheap ? 0.1 : 0.3)) / 60;
    }
    expect(line.cost).toBeCloseTo(cost, 6);
  }
});

test('every lamp that hangs is on the bill once', () => {
  const lines = billOf(site, tables);
  const hung = shelfStands(site).flatMap((s) => s.tiers.flatMap((t) => t.fittings)).length;
  expect(lines.filter((l) => l.kind === 'lamps').reduce((n, l) => n + l.count, 0)).toBe(hung);
  expect(totalOf(lines).kWh).toBeCloseTo(
    lines.reduce((s, l) => s + (l.power * l.hours) / 1000, 0),
    9,
  );
  expect(pricesOf({ cheap: null, price_per_kWh: 0.2 })).toHaveLength(1);
});

test('a label at 3 hours and 11 cents is put on other hours and another price', () => {
  // 2.77 a year at 3 h and 0.11: 23 W. At 16 h and 0.30 the same lamp costs 40.3.
  expect(rebased(2.77, { hours: 3, price: 0.11 }, { hours: 16, price: 0.3 })).toBeWithin(40.3, { relative: 0.001 });
  expect(rebased(2.77, { hours: 0, price: 0.11 }, { hours: 16, price: 0.3 })).toBeNull();
});

test('the lamps of a stand cost a month what the bill says of them, cheap hours and all', () => {
  for (const stand of shelfStands(site)) {
    const lamps = billOfStand(site, stand, tables).filter((l) => l.kind === 'lamps');
    expect(lampsAMonth(site, benchStandOf(site, stand, tables).tiers)).toBeCloseTo(DAYS_PER_MONTH * totalOf(lamps).cost, 9);
  }
});
