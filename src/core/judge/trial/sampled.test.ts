import { mulberry } from '../../units/mulberry';
import { dealTwo, dealWithin, flipSigns } from './exact';
import { drawnP } from './sampled';
import { comparePairedScores } from './taste';

const random = mulberry(4);
const values = (n: number, more = 0) => Array.from({ length: n }, () => more + random() + random());
/** Three standard errors of a drawn share. */
const within = (p: number, draws: number) => 3 * Math.sqrt((p * (1 - p)) / draws) + 1 / draws;

test('what is drawn comes out as what is counted: over all trays, within blocks and in pairs', () => {
  for (let i = 0; i < 12; i++) {
    const [a, b] = [values(5), values(6, i / 10)];
    const exact = dealTwo(a, b).p;
    expect(Math.abs(drawnP([{ a, b }], 20_000) - exact)).toBeLessThanOrEqual(within(exact, 20_000));
    const blocks = [1, 2, 3].map((n) => ({ a: values(n), b: values(2, i / 8) }));
    const dealt = dealWithin(blocks).p;
    expect(Math.abs(drawnP(blocks, 20_000) - dealt)).toBeLessThanOrEqual(within(dealt, 20_000));
    const pairs = Array.from({ length: 8 }, () => ({ a: values(1), b: values(1, i / 8) }));
    const flipped = flipSigns(pairs.map((p) => p.b[0]! - p.a[0]!)).p;
    expect(Math.abs(drawnP(pairs, 20_000) - flipped)).toBeLessThanOrEqual(within(flipped, 20_000));
  }
});

test('a drawn p is never nought, never too small for its draws, and the same again', () => {
  const apart = [{ a: values(12), b: values(12, 50) }];
  const p = drawnP(apart, 1000);
  expect(p).toBeGreaterThanOrEqual(1 / 1001);
  expect(drawnP(apart, 1000)).toBe(p);
  expect(drawnP([{ a: [1, 1, 1], b: [1, 1, 1] }], 500)).toBe(1);
});

test('scores of many tasters are compared at once, by drawn turns of signs', () => {
  const tasters = Array.from({ length: 40 }, (_, i) => ({ a: [5], b: i % 4 === 0 ? [4] : [6] }));
  const { permP, permCount, nPos } = comparePairedScores(tasters);
  expect([permCount, nPos]).toEqual([2 ** 40, 30]);
  // The sign test of 30 of 40 gives 0.0022.
  expect(permP).toBeGreaterThan(0.001);
  expect(permP).toBeLessThan(0.004);
});
