import fc from 'fast-check';
import { limitsOfStage } from '../../../../test/limitsOfStage';
import type { Stage } from '../../things/crop/Crop';
import type { Daylight } from '../../site/stand/Daylight';
import { evenSpread, spreadOf } from '../dli/LightSpread';
import { BREACH, lossOf, offTargetOf, shareOfEven, wrongIn } from './loss';

// A made-up stage: in 10 h, 278–556 µmol are 10–20 mol; no leaf more than 900.
const stage: Stage = { stage: 'seedling', label: null, fromDay: 0, dliMin: 10, dliTarget: 15, dliMax: 20, ppfdMax: 900, hoursMin: 8, hoursMax: 16, basis: 'consensus' }; // prettier-ignore
const limits = limitsOfStage(stage);
const day = (hours: number, daylight: Daylight | null = null) => ({ on_min: 360, lit_min: hours * 60, pause: null, daylight });
/** PPFD of a dose in so many hours. */
const ppfd = (mol: number, hours = 10) => (mol * 1e6) / (hours * 3600);
const even = (mol: number, hours = 10) => lossOf(evenSpread(ppfd(mol, hours)), stage, limits, day(hours));

test('the best dose everywhere is no loss; within the band only a little, outside it grows with the distance on both sides', () => {
  expect(even(15)).toBeWithin(0, { absolute: 1e-9 });
  expect(even(11)).toBeLessThan(0.1);
  expect(even(19)).toBeLessThan(0.1);
  for (const [nearer, farther] of [
    [9.9, 9],
    [9, 5],
    [5, 1],
    [1, 0],
    [20.1, 22],
    [22, 30],
  ] as const)
    // prettier-ignore
    expect(even(farther)).toBeGreaterThan(even(nearer) + 0.01);
  expect(even(9.9)).toBeGreaterThan(even(10.1) + 1);
});

test('an even light that is off is as wrong by its place in logarithms whatever the dose', () => {
  // Half of the least and half of that differ by ln 2 on the whole, and by a quarter of it at the weakest spot.
  const off = (mol: number) => wrongIn(evenSpread(ppfd(mol)), stage, limits, day(10));
  expect(off(2.5) - off(5)).toBeWithin(1.25 * Math.LN2, { absolute: 1e-9 });
  // Above, in three times the hours of a day that may be so long, so that strength is no matter.
  expect(off(30) - off(25)).toBeWithin(1.25 * Math.log(30 / 25), { absolute: 1e-9 });
});

test('a spot that is off is less wrong than a half, and a half less than all of it', () => {
  const of = (dim: number) => wrongIn(spreadOf(Array.from({ length: 80 }, (_, i) => ppfd(i < dim ? 6 : 15))), stage, limits, day(10));
  expect(of(0)).toBe(0);
  for (const [less, more] of [[0, 10], [10, 40], [40, 70], [70, 80]] as const) expect(of(more)).toBeGreaterThan(of(less)); // prettier-ignore
});

test('what breaks a limit outweighs everything else, and a deeper breach is worse', () => {
  const hours = (h: number) => lossOf(evenSpread(ppfd(15, h)), stage, limits, day(h));
  expect(hours(16)).toBeLessThan(1);
  expect(hours(17)).toBeGreaterThan(BREACH);
  expect(hours(20)).toBeGreaterThan(hours(17) + BREACH);
  const strong = (peak: number) => wrongIn({ ...spreadOf([ppfd(15), ppfd(15)]), strongest: peak }, stage, limits, day(10));
  expect(strong(899)).toBeLessThan(BREACH);
  expect(strong(910)).toBeGreaterThan(BREACH / 10);
  expect(strong(1800)).toBeGreaterThan(strong(910) + BREACH / 2);
});

test('a day that is shorter than usual costs something for each hour', () => {
  const hours = (h: number) => wrongIn(evenSpread(ppfd(15, h)), { ...stage, ppfdMax: 5000 }, { ...limits, strongest: 5000 }, day(h));
  expect(hours(8)).toBe(0);
  expect(hours(6) - hours(8)).toBeWithin(2 * 0.15, { absolute: 1e-9 });
});

test('daylight counts for the dose: enough of it with the lamps off suits, too little or too much does not', () => {
  const daylight = (dli: number): Daylight => ({ dli, from_min: 420, to_min: 1140 });
  const off = (dli: number) => wrongIn(evenSpread(0), stage, limits, day(0, daylight(dli)));
  expect(off(12)).toBe(0);
  expect(off(5)).toBeGreaterThan(1.2);
  expect(off(25)).toBeGreaterThan(1.2);
  expect(offTargetOf(evenSpread(0), stage, day(0, daylight(15)))).toBeWithin(0, { absolute: 1e-9 });
  expect(offTargetOf(evenSpread(0), stage, day(0, daylight(30)))).toBeWithin(0.1 * Math.LN2, { absolute: 1e-9 });
  const share = () => 1;
  expect([0, 9.9, 10, 20, 20.1].map((dli) => shareOfEven(stage, day(0, daylight(dli)), share))).toEqual([0, 0, 1, 1, 0]);
  // With the lamps on, what they have to give is asked for; none where daylight is too strong already.
  const asked: number[] = [];
  shareOfEven(stage, day(10, daylight(4)), (low, high) => (asked.push(low, high), 1));
  expect(asked[0]).toBeWithin(ppfd(6), { relative: 1e-9 });
  expect(asked[1]).toBeWithin(ppfd(16), { relative: 1e-9 });
  expect(shareOfEven({ ...stage, ppfdMax: 50 }, day(10, daylight(12)), share)).toBe(0);
  expect(shareOfEven(stage, day(10, daylight(25)), share)).toBe(0);
});

test('more light below the band, and less above it, is never worse', () => {
  fc.assert(
    fc.property(fc.double({ min: 0.1, max: 9.9, noNaN: true }), fc.double({ min: 0.01, max: 0.99, noNaN: true }), (mol, by) => {
      expect(even(mol * by)).toBeGreaterThan(even(mol) - 1e-9);
      expect(even(200 / mol / by)).toBeGreaterThan(even(200 / mol) - 1e-9);
    }),
  );
});
