import fc from 'fast-check';
import { readConductivity } from './conductivity';

test.each([
  ['1.2 mS/cm', 1.2],
  ['1,2 mS/cm', 1.2],
  ['1.2 dS/m', 1.2],
  ['850 µS/cm', 0.85],
  ['850μs/cm', 0.85],
  // Thousands, as meters and people write them: never a thousandth of what was measured.
  ['1,200 µS/cm', 1.2],
  ['1 200 µS/cm', 1.2],
  ['1’200 uS/cm', 1.2],
  ['12,345 µS/cm', 12.345],
  ['600 ppm (500)', 1.2],
  ['1,280 ppm 640', 2],
  ['840 mg/l (scale 700)', 1.2],
])('%s is %d mS/cm', (text, expected) => {
  expect(readConductivity(text)).toBeCloseTo(expected, 9);
});

test('where a comma is the decimal sign, it is one before three digits too', () => {
  expect(readConductivity('1,250 mS/cm', ',')).toBeCloseTo(1.25, 9);
  expect(readConductivity('1.250,5 µS/cm', ',')).toBeCloseTo(1.2505, 9);
});

test.each(['', '1.2', '450 ppm', '450 ppm (600)', 'mS/cm', '-1 mS/cm', '1 2 3 mS/cm', '1.2 mS', '3 apples'])('%s is asked for', (text) => {
  expect(readConductivity(text)).toBeNull();
});

test('whatever is measured reads back in every unit, with groups of digits or without', () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 20_000 }), (micro) => {
      for (const digits of [String(micro), micro.toLocaleString('en-GB'), micro.toLocaleString('de-CH')])
        expect(readConductivity(`${digits} µS/cm`)).toBeCloseTo(micro / 1000, 9);
      expect(readConductivity(`${micro / 1000} mS/cm`)).toBeCloseTo(micro / 1000, 9);
      expect(readConductivity(`${micro / 2} ppm (500)`)).toBeCloseTo(micro / 1000, 9);
    }),
  );
});
