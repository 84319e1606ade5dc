import { readDose } from './readDose';

test.each([
  ['2', 'ml', 2],
  ['2 ml/L', 'ml', 2],
  ['5 g in 10 L', 'g', 0.5],
  ['5g/10l', 'g', 0.5],
  ['1 tsp per gallon', 'ml', 1.302082], // 4.92892 ml in 3.785412 l
  ['½ tsp/gal', 'ml', 0.651041],
  ['1 tbsp a gallon', 'ml', 3.90625],
  ['2,5 ml for 1 litre', 'ml', 2.5],
  ['10 ml to 5 litres', 'ml', 2],
  ['300 mg/l', 'g', 0.3],
] as const)('“%s” of what is measured in %s is %d in a litre', (text, unit, perLitre) => {
  const read = readDose(text, unit);
  expect(read.ok && read.value).toBeWithin(perLitre, { relative: 1e-5 });
});

test.each([
  ['1 tsp/gal', 'g', 'dose/powder-by-volume'],
  ['2 ml/l', 'g', 'dose/powder-by-volume'],
  ['2 g/l', 'ml', 'dose/liquid-by-weight'],
  ['2 caps/gal', 'ml', 'dose/not-a-dose'],
  ['2 ml/handful', 'ml', 'dose/not-a-dose'],
  ['2 ml/0 l', 'ml', 'dose/not-a-dose'],
  ['', 'ml', 'dose/not-a-dose'],
  ['a little', 'ml', 'dose/not-a-dose'],
] as const)('“%s” of what is measured in %s is refused: %s', (text, unit, code) => {
  const read = readDose(text, unit);
  expect(read.ok ? null : read.problems[0]!.code).toBe(code);
});
