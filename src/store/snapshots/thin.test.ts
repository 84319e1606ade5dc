import fc from 'fast-check';
import { toDrop } from './thin';

const HOUR = 3_600_000;
const DAY = 24 * HOUR;
const NOW = 20_000 * DAY + 5 * HOUR;

/** A whole season of one backup an hour, thinned each time, as it happens. */
function season(days: number, bytes: number, budget: number): number[] {
  let kept: { id: string; taken_ms: number; bytes: number }[] = [];
  for (let h = 0; h < 24 * days; h++) {
    const taken_ms = NOW + h * HOUR;
    kept.push({ id: String(h), taken_ms, bytes });
    const gone = new Set(toDrop(kept, taken_ms, budget));
    kept = kept.filter((k) => !gone.has(k.id));
  }
  const now = NOW + (24 * days - 1) * HOUR;
  return kept.map((k) => now - k.taken_ms).sort((a, b) => a - b);
}

test('a season leaves one for each hour of a day, each day of two weeks and each week before', () => {
  const ages = season(120, 100, Infinity);
  expect(ages.filter((a) => a < DAY)).toHaveLength(24);
  const days = ages.filter((a) => a >= DAY && a < 14 * DAY).length;
  expect(days).toBeGreaterThanOrEqual(13);
  expect(days).toBeLessThanOrEqual(14);
  const weeks = ages.filter((a) => a >= 14 * DAY).length;
  expect(weeks).toBeGreaterThanOrEqual(15);
  expect(weeks).toBeLessThanOrEqual(17);
  // From now back to the beginning, no gap is longer than its step asks for.
  for (let i = 1; i < ages.length; i++) expect(ages[i]! - ages[i - 1]!).toBeLessThanOrEqual(ages[i]! < DAY ? HOUR : ages[i]! < 14 * DAY ? 2 * DAY : 14 * DAY); // prettier-ignore
});

test('beyond the budget the oldest go, and the two newest stay', () => {
  expect(season(30, 100, 1000).length).toBeLessThanOrEqual(10);
  expect(season(30, 100, 0)).toEqual([0, HOUR]);
});

test('the newest of all is never dropped, and nothing is dropped twice', () => {
  const line = fc.record({ taken_ms: fc.integer({ min: NOW - 90 * DAY, max: NOW }), bytes: fc.integer({ min: 1, max: 1000 }) });
  fc.assert(
    fc.property(fc.array(line, { minLength: 1, maxLength: 60 }), fc.integer({ min: 0, max: 20_000 }), (found, budget) => {
      const lines = found.map((l, i) => ({ ...l, id: String(i) }));
      const gone = toDrop(lines, NOW, budget);
      expect(new Set(gone).size).toBe(gone.length);
      const rest = lines.filter((l) => !gone.includes(l.id));
      expect(Math.max(...rest.map((l) => l.taken_ms))).toBe(Math.max(...lines.map((l) => l.taken_ms)));
      expect(toDrop(rest, NOW, budget)).toEqual([]);
    }),
  );
});
