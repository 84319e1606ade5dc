import highsLoader, { type Highs } from 'highs';
import { askedOfCase, placingCases } from '../../../test/placingCases';
import type { PlacingAsked } from '../../core/plan/placing/Placing';
import { placeQuickly } from '../../core/plan/placing/placeQuickly';
import { improve } from './improve';

/** Placings whose best is proven by other means; test/cases/season.md. */

let highs: Highs;
beforeAll(async () => {
  highs = await highsLoader();
});

test.each(placingCases.map((c) => [c.id, c] as const))('%s is bounded by its proven best, and reaches it', (_, c) => {
  const asked = askedOfCase(c);
  const start = placeQuickly(asked, { rounds: 0 });
  const shares: number[] = [];
  const { placing, bound } = improve(highs, asked, start, (done) => shares.push(done));
  expect(bound).toBe(c.expected.inBandTrayWeeks);
  expect(placing.inBand).toBe(c.expected.inBandTrayWeeks);
  expect(placing.inBand).toBeGreaterThanOrEqual(start.inBand);
  expect(shares).toEqual([...shares].sort((a, b) => a - b));
});

test('what is settled keeps its room in the program as well', () => {
  const need = { trays: 2, dliMin: 5, dliMax: 10, height_cm: 5 };
  const tier = { places: 3, clear_cm: 30, levels: [0, 8].map((dli) => ({ dli, wh_per_day: dli })) };
  const resident = { trays: 2, dliMin: 0, dliMax: 20, height_cm: 0 };
  const asked: PlacingAsked = { tiers: [tier], needs: [[need], [resident]], pinned: [null, 0], settled: [false, true] };
  const { placing, bound } = improve(highs, asked, placeQuickly(asked, { rounds: 0 }), () => undefined);
  expect([placing.place, bound, placing.inBand]).toEqual([[[-1], [0]], 2, 2]);
});
