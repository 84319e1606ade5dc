import fc from 'fast-check';
import { BARE_SITE } from '../../site/stand/bare';
import { addFitting, changeFittings } from '../../site/stand/change';
import { hangerOf } from '../../site/stand/Hanger';
import { standFrom, TEMPLATES } from '../../site/stand/templates';
import type { Site } from '../../site/stand/Site';
import { tables } from '../../things/tables/libraryTables';
import type { CarryAt } from '../season/carryOf';
import { capacityOf, moreLightOn } from './capacity';
import { daysSaved } from './growthByLight';
import { litFor, servingOf, type Wanted } from './serving';

const K = 0.0036; // mol/m² an hour for 1 µmol/m²/s; exact
const lettuce = tables.crop('lettuce')!.stages.find((s) => s.stage === 'seedling')!;

const arbAt = fc
  .tuple(fc.double({ min: 0.03, max: 0.4, noNaN: true }), fc.double({ min: 20, max: 400, noNaN: true }), fc.double({ min: 1, max: 2.5, noNaN: true }))
  .map(([distance, weakest, ratio]): CarryAt => ({ distance, clear: 0.2, weakest, strongest: weakest * ratio, spot: weakest * ratio * 1.1, dimmest: weakest * 0.8, mean: weakest * (1 + ratio) / 2 })); // prettier-ignore
const arbWanted = fc
  .tuple(fc.double({ min: 2, max: 10, noNaN: true }), fc.double({ min: 1, max: 2, noNaN: true }), fc.double({ min: 1, max: 2, noNaN: true }), fc.integer({ min: 150, max: 600 }), fc.integer({ min: 8, max: 14 }), fc.integer({ min: 0, max: 6 }))
  .map(([dliMin, a, b, ppfdMax, hoursMin, more]): Wanted => ({ dliMin, dliTarget: dliMin * a, dliMax: dliMin * a * b, ppfdMax, hoursMin, hoursMax: hoursMin + more })); // prettier-ignore

test('the shortest day for a dose is the one that trying every quarter of an hour at every distance finds', () => {
  fc.assert(
    fc.property(
      fc.array(arbAt, { minLength: 1, maxLength: 5 }),
      arbWanted,
      fc.double({ min: 0, max: 3, noNaN: true }),
      (at, wanted, daylight) => {
        const found = litFor({ at, daylight, daylightPeak: 0, power: 50 }, wanted.dliTarget, wanted);
        let best = Infinity;
        for (const a of at)
          for (let q = wanted.hoursMin * 4; q <= wanted.hoursMax * 4; q++) {
            const h = q / 4;
            const isRight = a.weakest * h * K + daylight >= wanted.dliTarget - 1e-7 && a.strongest * h * K + daylight <= wanted.dliMax + 1e-9 && a.spot <= wanted.ppfdMax; // prettier-ignore
            if (isRight) best = Math.min(best, h);
          }
        expect(found?.hours ?? Infinity).toBe(best);
        if (found) expect(found.wh_per_day).toBeCloseTo(50 * best, 9);
      },
    ),
    { numRuns: 400 },
  );
});

test('a crop is served with its best dose, with enough, with too little or too strongly; never beyond what it bears', () => {
  fc.assert(
    fc.property(fc.array(arbAt, { minLength: 1, maxLength: 5 }), arbWanted, (at, wanted) => {
      const s = servingOf({ at, daylight: 0, daylightPeak: 0, power: 50 }, wanted);
      if (s.reach === 'target') expect(s.dli).toBeGreaterThanOrEqual(wanted.dliTarget - 1e-7);
      if (s.reach === 'enough') expect(s.dli).toBeGreaterThanOrEqual(wanted.dliMin - 1e-7);
      if (s.reach === 'short') expect(s.hours).toBeLessThanOrEqual(wanted.hoursMax);
      if (s.reach === 'strong') expect(Math.min(...at.map((a) => a.spot))).toBeGreaterThan(wanted.ppfdMax);
      else {
        const a = at.find((x) => x.distance === s.distance)!;
        expect(a.spot).toBeLessThanOrEqual(wanted.ppfdMax);
        expect(a.strongest * s.hours * K).toBeLessThanOrEqual(wanted.dliMax + 1e-9);
      }
    }),
    { numRuns: 400 },
  );
});

let n = 0;
const ids = () => `k${n++}`;
/** A rack of two tiers, the upper one with two shop lights, the lower one dark, and lamps in the cupboard. */
function rack(spares: Site['spares'] = []): Site {
  const { stand, timer } = standFrom(
    TEMPLATES.find((t) => t.kind === 'rack')!,
    2,
    'Rack',
    ids,
  );
  const lamp = tables.lamp('led-shop-12-twin-42')!;
  let site: Site = { ...BARE_SITE, currency: 'EUR', price_per_kWh: 0.3, stands: [stand], timers: [timer], spares };
  for (const y of [0.12, 0.33]) site = addFitting(stand.tiers[0]!.id, lamp, { x: 0.6, y, face: 0.3, turn: 0 }, ids())(site);
  return site;
}
const crops = [{ cropId: 'lettuce', wanted: lettuce }];

test('tiers are told with their own lamps, dark ones with what lies in the cupboard, as many as have room and no more than lie there', () => {
  const bare = capacityOf({ site: rack(), crops }, tables);
  expect(bare).toHaveLength(1);
  expect(bare[0]).toMatchObject({ isHung: true, lamps: [{ lampId: 'led-shop-12-twin-42', count: 2 }] });
  expect(['target', 'enough']).toContain(bare[0]!.servings[0]!.reach);
  const one = capacityOf({ site: rack([{ lampId: 'led-bar-12-white-24', count: 1 }]), crops }, tables)[1]!;
  const many = capacityOf({ site: rack([{ lampId: 'led-bar-12-white-24', count: 40 }]), crops }, tables)[1]!;
  expect(one).toMatchObject({ isHung: false, lamps: [{ count: 1 }] });
  expect(many.lamps[0]!.count).toBeGreaterThan(4);
  expect(many.lamps[0]!.count).toBeLessThan(40);
});

test('each way to one mole more gives it, and lamps beside the others never lengthen the day', () => {
  const site = rack();
  const tierId = site.stands[0]!.tiers[0]!.id;
  const wanted = { ...lettuce, dliMin: 6, dliTarget: 11, dliMax: 25, ppfdMax: 500, hoursMin: 8, hoursMax: 18 };
  const { now, ways, shorter, hasRoom } = moreLightOn({ site, tierId, wanted, more: 1 }, tables);
  expect(ways.map((w) => w.how)).toEqual(expect.arrayContaining(['longer', 'lamp']));
  for (const w of ways) expect(w.dli).toBeGreaterThanOrEqual(now.dli + 1 - 1e-7);
  const longer = ways.find((w) => w.how === 'longer')!;
  expect(longer).toMatchObject({ distance: now.distance });
  expect(longer.hours).toBeGreaterThan(now.hours);
  expect(hasRoom).toBe(true);
  expect(shorter!.hours).toBeLessThan(now.hours);
  expect(() => moreLightOn({ site, tierId: site.stands[0]!.tiers[1]!.id, wanted, more: 1 }, tables)).toThrow(RangeError);
});

test('the sun beside the lamps counts against what a leaf tolerates, and lamps that are fixed make no room for another', () => {
  const at: CarryAt = { distance: 0.2, clear: 0.2, weakest: 100, strongest: 120, spot: 150, dimmest: 90, mean: 110 };
  const wanted: Wanted = { dliMin: 4, dliTarget: 5, dliMax: 12, ppfdMax: 200, hoursMin: 8, hoursMax: 16 };
  const serve = (daylightPeak: number) => servingOf({ at: [at], daylight: 1, daylightPeak, power: 50 }, wanted).reach;
  expect([serve(0), serve(50), serve(51)]).toEqual(['target', 'target', 'strong']);
  const site = rack();
  const tier = site.stands[0]!.tiers[0]!;
  const fixed = changeFittings(tier.id, tier.fittings.map((f) => f.id), () => ({ hanger: hangerOf('fixed') }))(site); // prettier-ignore
  const asked = { tierId: tier.id, wanted: { ...lettuce, ppfdMax: 900, dliMax: 40 }, more: 1 };
  expect(moreLightOn({ site, ...asked }, tables).hasRoom).toBe(true);
  const { hasRoom, ways, shorter } = moreLightOn({ site: fixed, ...asked }, tables);
  expect({ hasRoom, shorter, lamp: ways.some((w) => w.how === 'lamp') }).toEqual({ hasRoom: false, shorter: null, lamp: false });
});

test('shelf days follow from the growth by the closed form, and light beyond the best dose saves none', () => {
  // A tenth more light: 5 to 10 % more growth, so 20 days become 20 / 1.05 … 20 / 1.1.
  expect(daysSaved(20, 10, 11, 12).low).toBeCloseTo(20 - 20 / 1.05, 9);
  expect(daysSaved(20, 10, 11, 12).high).toBeCloseTo(20 - 20 / 1.1, 9);
  expect(daysSaved(20, 10, 30, 12)).toEqual(daysSaved(20, 10, 12, 12));
  expect(daysSaved(20, 12, 13, 12).high).toBe(0);
});
