import fc from 'fast-check';
import { evenly } from '../../../../test/evenly';
import { cropLibrary } from '../../things/crop/cropLibrary';
import { dliOf, ppfdFor } from './dli';
import { lightBandOf } from './lightBand';

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
