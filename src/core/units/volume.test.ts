import fc from 'fast-check';
import { evenly } from '../../../test/evenly';
import { litresIn, readVolume, showSmallVolume, showVolume } from './volume';

test.each([
  ['4', 'cm', 4],
  ['4', 'in', 15.141647136],
  ['500 ml', 'in', 0.5],
  ['1.5 gal', 'cm', 5.678117676],
  ['½ gallon', 'cm', 1.892705892],
  ['1 1/2 US gal', 'cm', 5.678117676],
  ['2 gallons.', 'cm', 7.570823568],
  ['1 UK gal', 'in', 4.54609],
  ['16 fl. oz.', 'cm', 0.473176473],
  ['2 qt', 'cm', 1.892705892],
  ['1,5 l', 'in', 1.5],
  ['3 tsp', 'cm', 0.01478676478125], // a tablespoon
] as const)('%s beside %s is %d litres', (text, bare, litres) => {
  const read = readVolume(text, bare);
  expect(read.ok && read.value).toBeWithin(litres, { relative: 1e-9 });
});

test.each(['', 'a can', '4 furlongs', '1.2.3 l', '4 cm'])('“%s” is no volume', (text) => expect(readVolume(text, 'cm').ok).toBe(false));

test('what is shown is read back as what it was, to its three digits', () => {
  fc.assert(
    fc.property(evenly(0.1, 999), fc.constantFrom('cm' as const, 'in' as const), (litres, unit) => {
      const read = readVolume(showVolume(litres, unit), unit === 'cm' ? 'in' : 'cm');
      expect(read.ok && read.value).toBeWithin(litres, { relative: 0.005 });
    }),
  );
  // Sixteen cups, eight pints, four quarts to the gallon.
  for (const [unit, n] of [
    ['cup', 16],
    ['pint', 8],
    ['quart', 4],
    ['fl oz', 128],
    ['tbsp', 256],
    ['tsp', 768],
  ] as const)
    expect(litresIn(unit)! * n).toBeWithin(litresIn('gal')!, { relative: 1e-12 });
});

test('what a cell holds is told in millilitres or fluid ounces', () =>
  expect([showSmallVolume(0.04, 'cm'), showSmallVolume(0.04, 'in')]).toEqual(['40 ml', '1.4 fl oz']));
