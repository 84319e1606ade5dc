import fc from 'fast-check';
import { evenly } from '../../../test/evenly';
import { gramsNumber, handfulOf, readGrams, readWeight, showGrams, showWeight, weightNumber } from './weight';

test.each([
  ['25', 'cm', 25],
  ['25', 'in', 11.33980925],
  ['800 g', 'in', 0.8],
  ['1,4 kg', 'cm', 1.4],
  ['350 lbs', 'cm', 158.7573295],
  ['½ lb', 'cm', 0.226796185],
  ['12 oz.', 'cm', 0.3401942775],
  ['2 pounds', 'in', 0.90718474],
] as const)('%s beside %s is %d kg', (text, bare, kg) => {
  const read = readWeight(text, bare, text.includes(',') ? ',' : '.');
  expect(read.ok && read.value).toBeWithin(kg, { relative: 1e-9 });
});

test.each(['', 'heavy', '4 stone', '1.2.3 kg', '4 cm', 'kg'])('“%s” is no weight', (text) =>
  expect(readWeight(text, 'cm')).toMatchObject({ ok: false, problems: [{ code: 'weight/not-a-weight' }] }),
);

test('what is shown is read back as what it was, to its three digits, whatever one’s units are', () => {
  fc.assert(
    fc.property(evenly(0.05, 900), fc.constantFrom('cm' as const, 'in' as const), (kg, unit) => {
      const read = readWeight(showWeight(kg, unit), unit === 'cm' ? 'in' : 'cm');
      expect(read.ok && read.value).toBeWithin(kg, { relative: 0.005 });
    }),
  );
  expect([showWeight(1.4, 'cm'), showWeight(1.4, 'in'), showWeight(60, 'in')]).toEqual(['1.4 kg', '3.09 lb', '132 lb']);
});

test('a field shows what was typed, and what comes from the other system without a tail of digits', () => {
  for (const typed of ['350', '2.25', '12.5']) {
    const read = readWeight(typed, 'in');
    expect(read.ok && weightNumber(read.value, 'in')).toBe(typed);
  }
  expect([weightNumber(60, 'in'), weightNumber(60, 'cm'), weightNumber(1.445, 'cm')]).toEqual(['132.3', '60', '1.445']);
});

test.each([
  ['142', 'cm', 142],
  ['142', 'in', 4025.63228375],
  ['3 oz', 'cm', 85.048569375],
  ['85 g', 'in', 85],
  ['1,2 kg', 'cm', 1200],
] as const)('a scale beside %s that says %s: %d g', (text, bare, grams) => {
  const read = readGrams(text, bare, text.includes(',') ? ',' : '.');
  expect(read.ok && read.value).toBeWithin(grams, { relative: 1e-9 });
});

test('what a scale said is shown as it was typed, and told in one’s own unit', () => {
  for (const typed of ['3', '1.25', '12.5']) {
    const read = readGrams(typed, 'in');
    expect(read.ok && gramsNumber(read.value, 'in')).toBe(typed);
  }
  expect([showGrams(85, 'cm'), showGrams(85, 'in'), showGrams(0.345, 'cm')]).toEqual(['85 g', '3 oz', '0.35 g']);
  expect([showGrams(handfulOf('cm'), 'cm'), showGrams(handfulOf('in'), 'in')]).toEqual(['100 g', '4 oz']);
  expect(readGrams('a bowl', 'cm')).toMatchObject({ ok: false });
});
