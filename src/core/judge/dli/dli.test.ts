import fc from 'fast-check';
import { evenly } from '../../../../test/evenly';
import { cropLibrary } from '../../things/crop/cropLibrary';
import type { Stage } from '../../things/crop/Crop';
import { dliOf, MOL_SECONDS, ppfdFor } from './dli';
import type { LightDay } from './LightDay';
import { lampBandOf, lightBandOf } from './lightBand';

// Torres & Lopez 2010, Purdue Extension HO-238-W: the definition, worked by hand.
test.each([
  [200, 16, 11.52],
  [100, 24, 8.64],
  [300, 12, 12.96],
  [0, 16, 0],
])('%d µmol for %d h are %d mol', (ppfd, hours, dli) => expect(dliOf(ppfd, hours)).toBeWithin(dli, { relative: 1e-9 }));

test('strength and dose go both ways', () => {
  fc.assert(
    fc.property(evenly(1, 1000), evenly(1, 24), (ppfd, hours) =>
      expect(ppfdFor(dliOf(ppfd, hours), hours)).toBeWithin(ppfd, { relative: 1e-9 }),
    ),
  );
});

test('no hours make any dose impossible', () => expect(ppfdFor(5, 0)).toBe(Infinity));

test.each([
  [-1, 12],
  [NaN, 12],
  [100, 25],
])('%d µmol for %d h is refused', (ppfd, hours) => expect(() => dliOf(ppfd, hours)).toThrow(RangeError));

test('a longer day asks for less strength and never raises the ceiling of a leaf', () => {
  for (const { stages } of cropLibrary) {
    for (const stage of stages) {
      const [short, long] = [lightBandOf(stage, 10), lightBandOf(stage, 16)];
      expect(long.low).toBeLessThan(short.low);
      expect(short.high).toBeLessThanOrEqual(stage.ppfdMax);
      expect(long.high).toBeLessThanOrEqual(short.high);
    }
  }
});

test('beside daylight the lamps’ band ends where the dose is full or where leaves bear no more, whichever is less, and is called by it', () => {
  const stage = { dliMin: 6, dliTarget: 10, dliMax: 14, ppfdMax: 300, hoursMin: 10, hoursMax: 16 } as Stage;
  // As it usually is, 100; a clear sky brings four times as much, which comes and goes and is no limit to lamps.
  const course = { mean: Array<number>(24).fill(100), clear: Array<number>(24).fill(400), peak: 400, off: { low: 0, high: 0 } };
  const day = (hours: number): LightDay => ({ on_min: 360, lit_min: hours * 60, pause: null, daylight: { dli: 2, from_min: 360, to_min: 1080, course } }); // prettier-ignore
  // 12 h: 12 mol are 278 µmol, leaves bear 300 − 100.
  const long = lampBandOf(stage, day(12));
  expect(long).toMatchObject({ high: 200, highBy: 'strength' });
  expect(long.low).toBeWithin(4 / (12 * MOL_SECONDS), { relative: 1e-9 });
  expect(long.target).toBeWithin(8 / (12 * MOL_SECONDS), { relative: 1e-9 });
  // 20 h: 12 mol are 167 µmol.
  const longer = lampBandOf(stage, day(20));
  expect(longer.highBy).toBe('dose');
  expect(longer.high).toBeWithin(12 / (20 * MOL_SECONDS), { relative: 1e-9 });
  // 8 h: 8 mol would be 278 µmol, more than leaves bear beside the sun.
  expect(lampBandOf(stage, day(8)).target).toBe(200);
  expect(lampBandOf({ ...stage, dliMax: 1 }, day(8)).high).toBeLessThan(0);
});
