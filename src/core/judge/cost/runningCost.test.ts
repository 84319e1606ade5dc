import { runningCost } from './runningCost';

test('42 W for 16 h at 0.30 cost 20 cents a day and 6.14 a month', () => {
  const cost = runningCost(42, 16, 0.3);
  expect(cost.kWhPerDay).toBeWithin(0.672, { relative: 1e-9 });
  expect(cost.perDay).toBeWithin(0.2016, { relative: 1e-9 });
  expect(cost.perMonth).toBeWithin(6.136, { relative: 1e-3 });
  expect(() => runningCost(NaN, 16, 0.3)).toThrow(RangeError);
});
