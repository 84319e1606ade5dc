import { ratioOfMeans } from './efficiency';

test('a ratio of means, worked by hand', () => {
  // Means 10 and 12; variances 1 and 4; n 3 each: relative variances of the means 1/300 and 4/432.
  const { ratio, delta, df } = ratioOfMeans([9, 10, 11], [10, 12, 14]);
  expect(ratio).toBeCloseTo(1.2, 12);
  const [ua, ub] = [1 / 3 / 100, 4 / 3 / 144];
  expect(df).toBeCloseTo((ua + ub) ** 2 / (ua ** 2 / 2 + ub ** 2 / 2), 9);
  // t at 97.5 % for 3.25 degrees of freedom lies between those for 3 (3.182) and 4 (2.776).
  const half = Math.log(delta[1]! / 1.2);
  expect(half / Math.sqrt(ua + ub)).toBeGreaterThan(2.776);
  expect(half / Math.sqrt(ua + ub)).toBeLessThan(3.182);
  expect(delta[0]! * delta[1]!).toBeCloseTo(1.44, 9);
});

test('one arm without scatter still has an interval; two have none, and nor has a single tray', () => {
  // t at 97.5 % for two degrees of freedom: 4.3027 (tables).
  expect(ratioOfMeans([10, 10, 10], [11, 12, 13]).delta[0]).toBeCloseTo(1.2 * Math.exp(-4.3027 * Math.sqrt(1 / 432)), 4);
  expect(ratioOfMeans([9, 10, 11], [12, 12, 12]).delta[0]).toBeCloseTo(1.2 * Math.exp(-4.3027 * Math.sqrt(1 / 300)), 4);
  expect(ratioOfMeans([10, 10], [12, 12])).toMatchObject({ ratio: 1.2, df: null, bounded: null });
  expect(ratioOfMeans([10], [12, 13])).toMatchObject({ ratio: 1.25, df: null });
  expect(ratioOfMeans([], [12, 13]).ratio).toBeNull();
  expect(ratioOfMeans([-1, 1], [12, 13]).ratio).toBeNull();
});
