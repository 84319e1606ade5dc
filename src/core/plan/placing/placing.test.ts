import fc from 'fast-check';
import { askedOfCase, placingCases } from '../../../../test/placingCases';
import { demandOf, movesIn, OFF, scorePlacing, type PlacingAsked } from './Placing';
import { placeExactly } from './placeExactly';
import { placeQuickly } from './placeQuickly';

/** Small worlds in which everything can be gone through. */
const worlds = fc
  .record({ weeks: fc.integer({ min: 1, max: 3 }), tiers: fc.integer({ min: 1, max: 2 }), batches: fc.integer({ min: 1, max: 3 }) })
  .chain(({ weeks, tiers, batches }) =>
    fc.record({
      tiers: fc.array(
        fc.record({
          places: fc.integer({ min: 1, max: 4 }),
          clear_cm: fc.constantFrom(10, 30),
          levels: fc.constantFrom([0, 6], [0, 6, 10], [0, 14]).map((levels) => levels.map((dli) => ({ dli, wh_per_day: dli * 50 }))),
        }),
        { minLength: tiers, maxLength: tiers },
      ),
      needs: fc.array(
        fc.array(
          fc.record({
            trays: fc.integer({ min: 0, max: 3 }),
            dliMin: fc.constantFrom(5, 9),
            dliMax: fc.constantFrom(9, 16),
            height_cm: fc.constantFrom(5, 20),
          }),
          { minLength: weeks, maxLength: weeks },
        ),
        { minLength: batches, maxLength: batches },
      ),
    }),
  );

/** Every placing there is. */
function* all(asked: PlacingAsked): Generator<(number | null)[][]> {
  const cells = asked.needs.flatMap((row, b) => row.flatMap((n, t) => (n.trays > 0 ? [[b, t] as const] : [])));
  const base = asked.tiers.length + 1;
  for (let code = 0; code < base ** cells.length; code++) {
    const place = asked.needs.map((row) => row.map((n): number | null => (n.trays > 0 ? OFF : null)));
    let left = code;
    for (const [b, t] of cells) {
      place[b]![t] = (left % base) - 1;
      left = Math.floor(left / base);
    }
    const fits = asked.tiers.every((tier, k) =>
      place[0]!.every((_, t) => {
        const there = asked.needs.map((row, b) => (place[b]![t] === k ? row[t]! : null)).filter((n) => n !== null);
        return there.reduce((sum, n) => sum + n.trays, 0) <= tier.places && there.every((n) => n.height_cm <= tier.clear_cm);
      }),
    );
    if (fits) yield place;
  }
}

test('the proven best is what going through everything finds, and the quick one is never better', () => {
  fc.assert(
    fc.property(worlds, (asked) => {
      let best = { inBand: -1, moves: Infinity, energy_wh: Infinity };
      for (const place of all(asked)) {
        const s = scorePlacing(asked, place);
        const better =
          s.inBand !== best.inBand ? s.inBand > best.inBand : s.moves !== best.moves ? s.moves < best.moves : s.energy_wh < best.energy_wh;
        if (better) best = s;
      }
      const exact = placeExactly(asked)!;
      expect([exact.inBand, exact.moves, exact.energy_wh]).toEqual([best.inBand, best.moves, best.energy_wh]);
      expect(movesIn(exact.place)).toBe(exact.moves);
      const quick = placeQuickly(asked, { rounds: 20 });
      expect(quick.inBand).toBeLessThanOrEqual(exact.inBand);
      expect(quick.inBand).toBe(scorePlacing(asked, quick.place).inBand);
    }),
    { numRuns: 150, seed: 5 },
  );
});

test.each(placingCases.map((c) => [c.id, c] as const))('%s is placed quickly about as well as it can be placed', (_, c) => {
  const quick = placeQuickly(askedOfCase(c), { rounds: 150 });
  // One tray's week is what the quick way may miss; where there is time for it, everything is gone through.
  expect(quick.inBand).toBeGreaterThanOrEqual(c.expected.inBandTrayWeeks - 1);
  expect(quick.inBand).toBeLessThanOrEqual(c.expected.inBandTrayWeeks);
  if (quick.inBand === c.expected.inBandTrayWeeks) expect(quick.moves).toBeLessThanOrEqual(c.expected.moves + 1);
});

test('what is pinned stays, and the same question gives the same answer', () => {
  const asked = askedOfCase(placingCases.find((c) => c.id === 'opt-18')!);
  const pinned = asked.needs.map((_, b) => (b === 0 ? 1 : null));
  const [one, two] = [placeQuickly({ ...asked, pinned }, { rounds: 30 }), placeQuickly({ ...asked, pinned }, { rounds: 30 })];
  expect(one.place).toEqual(two.place);
  expect(one.place[0]!.every((k) => k === null || k === OFF || k === 1)).toBe(true);
  expect(placeExactly({ ...asked, pinned })!.inBand).toBeLessThanOrEqual(placeExactly(asked)!.inBand);
  expect(demandOf(asked)).toBeGreaterThan(0);
});
