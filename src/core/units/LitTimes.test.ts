import fc from 'fast-check';
import { MINUTES_PER_DAY } from './clock';
import { blocksOf, isLitAt, litBetween, litWithin, longestDark, mostLit, offAt, type LitTimes } from './LitTimes';
import { lengthOf, type Span } from './Span';

const at = (h: number, m = 0) => 60 * h + m;
const noon: Span = { from_min: at(12), to_min: at(15) };
const times = (on: number, lit: number, pause: Span | null = null): LitTimes => ({ on_min: on, lit_min: lit, pause });

const minute = fc.integer({ min: 0, max: 1439 });
const span = fc
  .record({ from_min: minute, long: fc.integer({ min: 1, max: 1200 }) })
  .map(({ from_min, long }): Span => ({ from_min, to_min: (from_min + long) % MINUTES_PER_DAY }));
const anyTimes = fc
  .record({ on_min: minute, share: fc.integer({ min: 0, max: 1000 }), pause: fc.option(span) })
  .map(({ on_min, share, pause }): LitTimes => ({ on_min, lit_min: Math.round((share / 1000) * mostLit(pause)), pause }));

test('two blocks around a pause; one where the pause does not touch it; what would begin within it begins at its end', () => {
  expect(blocksOf(times(at(6), at(10), noon))).toEqual([
    { on_min: at(6), lit_min: at(6) },
    { on_min: at(15), lit_min: at(4) },
  ]);
  expect(blocksOf(times(at(16), at(4), noon))).toEqual([{ on_min: at(16), lit_min: at(4) }]);
  expect(blocksOf(times(at(13), at(4), noon))).toEqual([{ on_min: at(15), lit_min: at(4) }]);
  expect(blocksOf(times(at(20), at(8), { from_min: at(23), to_min: at(1) })).map((b) => [b.on_min, b.lit_min])).toEqual([[at(20), at(3)], [at(1), at(5)]]); // prettier-ignore
  expect([offAt(times(at(6), at(10), noon)), offAt(times(at(6), at(10)))]).toEqual([at(19), at(16)]);
});

test('what is typed as going off is when they go off; a pause takes its part', () => {
  expect([litBetween(at(6), at(19), noon, 0), litBetween(at(6), at(19), null, 0)]).toEqual([at(10), at(13)]);
  expect([litBetween(at(22), at(2), null, 0), litBetween(at(6), at(6), null, 900), litBetween(at(6), at(6), null, 100)]).toEqual([
    240, 1440, 0,
  ]);
  expect(litBetween(at(6), at(6), noon, 900)).toBe(at(21));
});

test('the longest night: of one block, of two, and with daylight in the pause', () => {
  expect(longestDark(times(at(6), at(16)), null)).toBe(at(8));
  // Six hours of light with a break of the night in it.
  expect(longestDark(times(at(8), at(9), { from_min: at(16), to_min: at(23) }), null)).toBe(at(8));
  expect(longestDark(times(at(6), at(10), noon), { from_min: at(9), to_min: at(17) })).toBe(at(11));
  expect([longestDark(times(0, 0), null), longestDark(times(0, 1440), null)]).toEqual([1440, 0]);
});

test('minute by minute: blocks burn as long as they should, never within the pause, and stretches are counted as a clock would', () => {
  fc.assert(
    fc.property(anyTimes, span, (t, other) => {
      const minutes = Array.from({ length: MINUTES_PER_DAY }, (_, i) => i);
      const lit = minutes.filter((m) => isLitAt(t, m));
      const inside = (s: Span, m: number) => (m - s.from_min + MINUTES_PER_DAY) % MINUTES_PER_DAY < lengthOf(s);
      expect(lit.length).toBe(t.lit_min);
      if (t.pause) expect(lit.some((m) => inside(t.pause!, m))).toBe(false);
      expect(litWithin(t, other)).toBe(lit.filter((m) => inside(other, m)).length);
      // Night: the longest run of dark minutes around the clock.
      const light = new Set([...lit, ...minutes.filter((m) => inside(other, m))]);
      let [run, dark] = [0, 0];
      for (let i = 0; i < 2 * MINUTES_PER_DAY; i++) dark = Math.max(dark, (run = light.has(i % MINUTES_PER_DAY) ? 0 : run + 1));
      expect(longestDark(t, other)).toBe(Math.min(MINUTES_PER_DAY, dark));
    }),
    { numRuns: 150 },
  );
});

test('going off is read back: the same times on and off burn as long', () => {
  fc.assert(
    fc.property(anyTimes, (t) => {
      const [first] = blocksOf(t);
      fc.pre(t.lit_min > 0 && t.lit_min < mostLit(t.pause) && first!.on_min === t.on_min);
      expect(litBetween(t.on_min, offAt(t), t.pause, t.lit_min)).toBe(t.lit_min);
    }),
  );
});
