import fc from 'fast-check';
import type { Received } from '../dli/LightDay';
import { breachesOf, depthOf, depthTooLong, depthTooStrong, isTooLong, isTooStrong, type Breach } from './hardLimits';
import { saysOf } from './standing';

const limits = { longestDay: 14, strongest: 300, dliMax: 20 };
const received = fc.record({
  weakest: fc.double({ min: 0, max: 30, noNaN: true }),
  more: fc.tuple(fc.double({ min: 0, max: 10, noNaN: true }), fc.double({ min: 0, max: 10, noNaN: true })),
  litPpfd: fc.oneof(fc.constant(300), fc.double({ min: 0, max: 900, noNaN: true })),
  noonPpfd: fc.double({ min: 0, max: 900, noNaN: true }),
  clearDli: fc.double({ min: 0, max: 40, noNaN: true }),
  photoperiod: fc.oneof(fc.constantFrom(14, 14 + 1 / 61, 14 + 1 / 59), fc.double({ min: 0, max: 24, noNaN: true })),
  sunShare: fc.double({ min: 0, max: 1, noNaN: true }),
}).map(({ weakest, more, sunShare, ...rest }): Received => {
  const mean = weakest + more[0];
  return { ...rest, sunHours: sunShare * rest.photoperiod, weakest, mean, strongest: mean + more[1], strongestPpfd: Math.max(rest.litPpfd, rest.noonPpfd) };
}); // prettier-ignore

const of = (breaches: readonly Breach[], why: Breach['why']) => breaches.find((b) => b.why === why);

test('each limit asked by itself is broken as deep as the list of all that are broken says', () => {
  fc.assert(
    fc.property(received, (r) => {
      const breaches = breachesOf(r, limits);
      const [long, strong] = [of(breaches, 'day-too-long'), of(breaches, 'too-strong')];
      expect([isTooLong(r, limits), isTooStrong(r.litPpfd, limits)]).toEqual([long !== undefined, strong !== undefined]);
      expect(depthTooLong(r, limits)).toBe(long ? depthOf(long) : 0);
      expect(depthTooStrong(r.litPpfd, limits)).toBe(strong ? depthOf(strong) : 0);
    }),
  );
  // A minute of the clock is no breach, and neither is what a computer adds.
  expect([14 + 1 / 61, 14 + 1 / 59].map((photoperiod) => isTooLong({ photoperiod, sunHours: 0 }, limits))).toEqual([false, true]);
  expect([300 + 1e-5, 300.1].map((ppfd) => isTooStrong(ppfd, limits))).toEqual([false, true]);
});

test('a day that the sun makes long is no breach, with lamps within it or without; one that lamps lengthen is', () => {
  const long = (photoperiod: number, sunHours: number) => depthTooLong({ photoperiod, sunHours }, limits);
  expect([long(16.5, 16.5), long(16.5, 16), long(15, 13)]).toEqual([0, 0.5, 1]);
  const summer = { photoperiod: 17, sunHours: 16.5, litPpfd: 100, noonPpfd: 0, clearDli: 0 };
  expect(breachesOf(summer, limits)).toEqual([{ why: 'day-too-long', hours: 17, most: 16.5 }]);
});

test('the word for a day tells of the limits that it breaks, and of none that it keeps', () => {
  fc.assert(
    fc.property(received, (r) => {
      const says = saysOf(r, { dliMin: 8, dliMax: 20 }, limits);
      const breaches = breachesOf(r, limits);
      if (r.strongest <= 0) return expect(says).toBe('dark');
      expect(says === 'day-too-long').toBe(of(breaches, 'day-too-long') !== undefined);
      if (says === 'in-range') expect(breaches).toEqual([]);
      if (breaches.length > 0) expect(['day-too-long', 'spot-strong', 'all-strong', 'dim-and-strong']).toContain(says);
    }),
  );
});
