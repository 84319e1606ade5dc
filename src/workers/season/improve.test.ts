import highsLoader, { type Highs } from 'highs';
import season from '../../../test/cases/season.json';
import type { PlacingAsked } from '../../core/plan/placing/Placing';
import { placeQuickly } from '../../core/plan/placing/placeQuickly';
import { improve } from './improve';

/** Placings whose best is proven by other means; test/cases/season.md. */

interface OptCase {
  id: string;
  family: string;
  input: {
    tiers: { trayPlaces: number; clearCm: number; levels: number[]; whPerMolDay: number }[];
    batches: { trays: number[]; doseMin: number[]; doseMax: number[]; heightCm: number[] }[];
  };
  expected: { inBandTrayWeeks: number; moves: number };
}
const cases = (season as unknown as { cases: OptCase[] }).cases.filter((c) => c.family === 'space-opt');
const askedOf = ({ input }: OptCase): PlacingAsked => ({
  tiers: input.tiers.map((t) => ({
    places: t.trayPlaces,
    clear_cm: t.clearCm,
    levels: t.levels.map((dose) => ({ dose, wh_per_day: dose * t.whPerMolDay })),
  })),
  needs: input.batches.map((b) =>
    b.trays.map((trays, t) => ({ trays, doseMin: b.doseMin[t]!, doseMax: b.doseMax[t]!, height_cm: b.heightCm[t]! })),
  ),
});

let highs: Highs;
beforeAll(async () => {
  highs = await highsLoader();
});

test.each(cases.map((c) => [c.id, c] as const))('%s is bounded by its proven best, and reaches it', (_, c) => {
  const asked = askedOf(c);
  const start = placeQuickly(asked, { rounds: 0 });
  const shares: number[] = [];
  const { placing, bound } = improve(highs, asked, start, (done) => shares.push(done));
  expect(bound).toBe(c.expected.inBandTrayWeeks);
  expect(placing.inBand).toBe(c.expected.inBandTrayWeeks);
  expect(placing.inBand).toBeGreaterThanOrEqual(start.inBand);
  expect(shares).toEqual([...shares].sort((a, b) => a - b));
});

test('what is settled keeps its room in the programme as well', () => {
  const need = { trays: 2, doseMin: 5, doseMax: 10, height_cm: 5 };
  const tier = { places: 3, clear_cm: 30, levels: [0, 8].map((dose) => ({ dose, wh_per_day: dose })) };
  const resident = { trays: 2, doseMin: 0, doseMax: 20, height_cm: 0 };
  const asked: PlacingAsked = { tiers: [tier], needs: [[need], [resident]], pinned: [null, 0], settled: [false, true] };
  const { placing, bound } = improve(highs, asked, placeQuickly(asked, { rounds: 0 }), () => undefined);
  expect([placing.place, bound, placing.inBand]).toEqual([[[-1], [0]], 2, 2]);
});
