import fc from 'fast-check';
import { dilute, type DiluteAsked } from './dilute';
import { ELEMENTS } from './feed';

const ASKED: DiluteAsked = {
  label: { N: 20, P: 20, K: 20 },
  basis: 'oxide',
  form: { kind: 'powder' },
  by: { kind: 'nitrogen', ppm: 100 },
  ceiling: { N: 1000, P: 1000, K: 1000 },
  can_L: 5,
};

test('100 mg/l of nitrogen of a 20-20-20 powder are half a gram a litre, with less phosphorus than the label seems to say', () => {
  const d = dilute(ASKED)!;
  expect(d.perLitre).toBeCloseTo(0.5, 9);
  expect(d.perCan).toBeCloseTo(2.5, 9);
  expect(d.ppm.P).toBeCloseTo(43.64, 2);
  expect(d.ppm.K).toBeCloseTo(83.02, 2);
  expect(dilute({ ...ASKED, label: { N: 0, P: 10, K: 10 } })).toBeNull();
});

test('no element ever passes its ceiling, and the one that binds sits on it', () => {
  const npk = fc.record({
    N: fc.double({ min: 0, max: 30, noNaN: true }),
    P: fc.double({ min: 0, max: 30, noNaN: true }),
    K: fc.double({ min: 0, max: 30, noNaN: true }),
  });
  const ceiling = fc.record({
    N: fc.double({ min: 10, max: 200, noNaN: true }),
    P: fc.double({ min: 10, max: 200, noNaN: true }),
    K: fc.double({ min: 10, max: 200, noNaN: true }),
  });
  fc.assert(
    fc.property(npk, ceiling, fc.double({ min: 0.1, max: 10, noNaN: true }), (label, most, perLitre) => {
      const d = dilute({ ...ASKED, label, ceiling: most, by: { kind: 'label', perLitre } })!;
      for (const e of ELEMENTS) expect(d.ppm[e]).toBeLessThanOrEqual(most[e] * (1 + 1e-9));
      for (const e of d.binding) expect(d.ppm[e]).toBeCloseTo(most[e], 6);
      expect(d.perLitre).toBeLessThanOrEqual(perLitre + 1e-12);
    }),
  );
});
