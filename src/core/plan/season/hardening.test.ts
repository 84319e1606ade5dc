import fc from 'fast-check';
import { faultsOfRamp, nextOutdoors, rampOf, USUAL_HARDENING, type OutdoorWeather } from './hardening';

const FINE: OutdoorWeather = { least_C: 10, most_C: 20, wind_kmh: 10 };
const FROST: OutdoorWeather = { least_C: 0, most_C: 8, wind_kmh: 10 };

test('the next day outdoors is the one that the fastest way has, whatever days were spent indoors before; after a second long pause no longer than the last', () => {
  fc.assert(
    fc.property(fc.array(fc.boolean(), { maxLength: 14 }), (wereOut) => {
      const { days, plantOutAfter } = rampOf([...wereOut.map((out) => (out ? FINE : FROST)), FINE], USUAL_HARDENING);
      fc.pre(plantOutAfter === null || plantOutAfter === days.length);
      fc.pre(days.length === wereOut.length + 1);
      const { hours, place } = days.at(-1)!;
      const next = nextOutdoors(wereOut, USUAL_HARDENING);
      expect(next.place).toBe(place);
      expect(next.hours).toBeLessThanOrEqual(hours);
      const words = wereOut.map((out) => (out ? 'o' : '-')).join('');
      const longPauses = words.replace(/^-+/, '').match(/-{3,}/g) ?? [];
      if (longPauses.length < 2) expect(next.hours).toBe(hours);
      expect(next.nth).toBe(1 + wereOut.filter(Boolean).length);
    }),
  );
});

test('followed day by day it is a way without a fault, from an hour in shade to whole days in the sun', () => {
  const wereOut: boolean[] = [];
  const taken = Array.from({ length: 8 }, (_, i) => {
    const { hours, place } = nextOutdoors(wereOut, USUAL_HARDENING);
    wereOut.push(true);
    return { day: i + 1, hours, place };
  });
  expect(faultsOfRamp(taken, Array<OutdoorWeather>(8).fill(FINE), USUAL_HARDENING)).toEqual([]);
  expect([taken[0], taken.at(-1)]).toEqual([{ day: 1, hours: 1, place: 'shade' }, { day: 8, hours: 8, place: 'sun' }]); // prettier-ignore
});

test('days that nobody went out never make the next one longer', () => {
  fc.assert(
    fc.property(fc.array(fc.boolean(), { maxLength: 20 }), fc.integer({ min: 1, max: 10 }), (wereOut, indoors) => {
      const after = nextOutdoors([...wereOut, ...Array<boolean>(indoors).fill(false)], USUAL_HARDENING);
      expect(after.hours).toBeLessThanOrEqual(nextOutdoors(wereOut, USUAL_HARDENING).hours);
    }),
  );
});
