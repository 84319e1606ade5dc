import fc from 'fast-check';
import type { ArmId, Trial, TrialTrayRow } from '../../site/trial/Trial';
import { codeFor, dealOut } from './dealOut';
import { noticeableOf, smallestNoticed } from './noticeableOf';
import { leastPOfTrial, resultOf } from './resultOf';
import { detectable, detectableInPairs } from '../../judge/trial/power';

const TRIAL: Trial = {
  id: 't',
  name: 'Near or far',
  factor: 'distance',
  equalDose: false,
  outcome: { name: 'height', unit: 'mm', kind: 'measured', isBlind: true },
  starts: 1,
  ends: 20,
  selection: 'none',
  rotate_days: null,
  moves: [],
  arms: [
    { id: 'A', name: 'near', medium: '', isMatOn: false, dli: null },
    { id: 'B', name: 'far', medium: '', isMatOn: false, dli: null },
  ],
  trays: [],
  deviations: [],
  seed: 1,
  ended: null,
};
const tray = (code: string, arm: ArmId, values: readonly (number | null)[], block = ''): TrialTrayRow => ({
  code,
  arm,
  trayId: null,
  block,
  values,
  sown: null,
});

test('trays are dealt out evenly within each block, the same way for the same seed, and not always alike', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 0, max: 1e9 }),
      fc.array(fc.constantFrom('left', 'right', 'sill'), { minLength: 2, maxLength: 14 }),
      (seed, blocks) => {
        const trays = blocks.map((b, i) => tray(`T${i}`, 'A', [], b));
        const dealt = dealOut(trays, TRIAL.arms, seed);
        expect(dealOut(trays, TRIAL.arms, seed)).toEqual(dealt);
        const count = (rows: readonly TrialTrayRow[], arm: string) => rows.filter((t) => t.arm === arm).length;
        expect(Math.abs(count(dealt, 'A') - count(dealt, 'B'))).toBeLessThanOrEqual(1);
        for (const b of new Set(blocks)) {
          const rows = dealt.filter((t) => t.block === b);
          expect(Math.abs(count(rows, 'A') - count(rows, 'B'))).toBeLessThanOrEqual(1);
        }
      },
    ),
  );
  const ways = new Set(
    Array.from({ length: 40 }, (_, seed) =>
      dealOut(
        [1, 2, 3, 4].map((i) => tray(`T${i}`, 'A', [])),
        TRIAL.arms,
        seed,
      )
        .map((t) => t.arm)
        .join(''),
    ),
  );
  expect(ways.size).toBe(6);
});

test('codes are never given twice', () => {
  const codes: string[] = [];
  for (let i = 0; i < 60; i++) codes.push(codeFor(codes, 9));
  expect(new Set(codes).size).toBe(60);
});

test('the layout decides how trays are compared', () => {
  const paired = {
    ...TRIAL,
    trays: [1, 2, 3, 4, 5, 6].flatMap((b) => [
      tray(`A${b}`, 'A', [b * 10, b * 10 + 2], `${b}`),
      tray(`B${b}`, 'B', [b * 10 - 5, b * 10 - 3], `${b}`),
    ]),
  };
  const p = resultOf(paired);
  expect(p.method).toBe('pairs');
  expect(p.found[0]).toMatchObject({ diff: -5, p: 2 / 64, leastP: 2 / 64 });
  const open = resultOf({ ...paired, trays: paired.trays.map((t) => ({ ...t, block: '' })) });
  expect(open.method).toBe('trays');
  // Between shelves that differ so much the same trays show nothing.
  expect(open.found[0]!.p!).toBeGreaterThan(0.3);
  expect(open.found[0]!.diff).toBeCloseTo(-5, 9);
  const blocked = resultOf({ ...paired, trays: paired.trays.map((t) => ({ ...t, block: Number(t.block) > 3 ? 'top' : 'low' })) });
  expect(blocked.method).toBe('blocks');
});

test('with one tray to an arm there is no test; with three a side none can come out; what is missing is counted', () => {
  const of = (n: number) =>
    resultOf({
      ...TRIAL,
      trays: Array.from({ length: n }, (_, i) => [tray(`A${i}`, 'A', [10 + i, null]), tray(`B${i}`, 'B', [20 + i])]).flat(),
    });
  expect(of(1)).toMatchObject({ status: 'difference_only', missing: 1 });
  expect(of(1).found[0]!.lo).toBeNull();
  expect(of(3).status).toBe('interval_only');
  expect(of(4)).toMatchObject({ status: 'ok' });
  expect(of(4).found[0]!.p).toBeCloseTo(2 / 70, 9);
  expect(of(0).status).toBe('no_data');
});

test('of more trays than can be dealt out one by one p is drawn, and that is said; pairs stay pairs and shares stay shares', () => {
  const wide = {
    ...TRIAL,
    trays: Array.from({ length: 25 }, (_, i) => [tray(`A${i}`, 'A', [10 + i]), tray(`B${i}`, 'B', [20 + i])]).flat(),
  };
  const [over] = resultOf(wide).found;
  expect(over).toMatchObject({ diff: 10, drawn: 100_000 });
  expect(over!.p).toBeGreaterThan(0);
  expect(over!.p).toBeLessThan(0.001);
  // A small difference that is the same in every pair: clear within pairs, lost between them.
  const near = (block: (i: number) => string): Trial => ({
    ...TRIAL,
    trays: Array.from({ length: 20 }, (_, i) => [
      tray(`A${i}`, 'A', [10 + 3 * i], block(i)),
      tray(`B${i}`, 'B', [11 + 3 * i], block(i)),
    ]).flat(),
  });
  const paired = resultOf(near((i) => `shelf ${i}`));
  expect(paired).toMatchObject({ method: 'pairs', found: [{ diff: 1, drawn: 100_000 }] });
  expect(paired.found[0]!.p).toBeLessThan(0.001);
  expect(resultOf(near(() => '')).found[0]!.p).toBeGreaterThan(0.5);
  const counted = (arm: 'A' | 'B', up: number, i: number) => ({ ...tray(`${arm}${i}`, arm, [up]), sown: 20 });
  const shares = resultOf({
    ...TRIAL,
    outcome: { ...TRIAL.outcome, kind: 'counted' },
    trays: Array.from({ length: 14 }, (_, i) => [counted('A', 10 + (i % 3), i), counted('B', 16 + (i % 3), i)]).flat(),
  });
  expect(shares).toMatchObject({ method: 'trays', isShare: true, status: 'ok', found: [{ diff: expect.closeTo(0.3, 9), drawn: 100_000 }] });
  // Few enough: all are looked at.
  expect(resultOf({ ...wide, trays: wide.trays.slice(0, 16) }).found[0]!.drawn).toBeNull();
});

const counts = { ...TRIAL, outcome: { ...TRIAL.outcome, kind: 'counted' as const } };
const counted = (code: string, arm: ArmId, up: number | null, sown: number | null, block = '') => ({
  ...tray(code, arm, [up], block),
  sown,
});

test('what is counted is told by its share of what was sown, with two arms or more, and within blocks where there are some', () => {
  // Twice as many sown, twice as many up: the shares are the same.
  const sizes = [20, 40, 20, 40, 20, 40];
  const same = sizes.flatMap((sown, i) => [counted(`A${i}`, 'A', sown / 2, sown, `s${i}`), counted(`B${i}`, 'B', 10, 20, `s${i}`)]);
  expect(resultOf({ ...counts, trays: same })).toMatchObject({ method: 'pairs', isShare: true, found: [{ diff: 0, p: 1 }] });
  const three = ['A', 'B', 'C'] as const;
  const many: Trial = {
    ...counts,
    arms: three.map((id) => ({ ...TRIAL.arms[0]!, id, name: id })),
    trays: sizes.flatMap((sown, i) => three.map((arm) => counted(`${arm}${i}`, arm, (arm === 'C' ? 0.9 : 0.5) * sown, sown))),
  };
  const { found, arms, method } = resultOf(many);
  expect([method, arms.map((a) => a.mean)]).toEqual(['many', [0.5, 0.5, 0.9].map((v) => expect.closeTo(v, 9) as unknown)]);
  expect(found.map((f) => [f.arm, f.diff])).toEqual([
    ['B', expect.closeTo(0, 9)],
    ['C', expect.closeTo(0.4, 9)],
  ]);
  // A tray that nobody counted, or of which nobody knows what was sown, says nothing; more than was sown is all of it.
  const odd = resultOf({ ...counts, trays: [counted('A1', 'A', 5, null), counted('A2', 'A', null, 9), counted('A3', 'A', 30, 20), counted('B1', 'B', 5, 20)] }); // prettier-ignore
  expect([odd.arms[0]!.trays.map((t) => t.mean), odd.found[0]!.diff, odd.status]).toEqual([[1], -0.75, 'difference_only']);
});

test('of several arms no p is told that could not come out: it is adjusted, and so is the smallest that is possible', () => {
  const trial = (per: number): Trial => ({
    ...TRIAL,
    arms: (['A', 'B', 'C'] as const).map((id) => ({ ...TRIAL.arms[0]!, id, name: id })),
    trays: (['A', 'B', 'C'] as const).flatMap((arm, k) => Array.from({ length: per }, (_, i) => tray(`${arm}${i}`, arm, [10 * k + i]))),
  });
  // 2 of the 70 ways to deal four and four; twice that for two comparisons is above 0.05.
  const four = resultOf(trial(4));
  expect(four.status).toBe('interval_only');
  for (const f of four.found) expect([f.p, f.leastP]).toEqual([expect.closeTo(4 / 70, 9), expect.closeTo(4 / 70, 9)]);
  expect(leastPOfTrial(trial(4))).toBeCloseTo(4 / 70, 9);
  const five = resultOf(trial(5));
  expect(five).toMatchObject({ status: 'ok', found: [{ p: expect.closeTo(4 / 252, 9) }, { p: expect.closeTo(4 / 252, 9) }] });
  for (const f of five.found) expect(f.p!).toBeGreaterThanOrEqual(f.leastP! - 1e-12);
  const without = { ...trial(5), trays: trial(5).trays.filter((t) => t.arm !== 'C') };
  expect([resultOf(without).status, leastPOfTrial(without)]).toEqual(['no_data', null]);
});

test('the smallest p of a layout is that of its blocks, where each holds both arms, else of all trays', () => {
  const six = (block: (i: number) => string) => Array.from({ length: 6 }, (_, i) => [tray(`A${i}`, 'A', [], block(i)), tray(`B${i}`, 'B', [], block(i))]).flat(); // prettier-ignore
  expect(leastPOfTrial({ ...TRIAL, trays: six((i) => `s${i}`) })).toBeCloseTo(2 / 64, 9);
  expect(leastPOfTrial({ ...TRIAL, trays: six(() => '') })).toBeCloseTo(2 / 924, 9);
  expect(leastPOfTrial({ ...TRIAL, trays: six((i) => (i < 3 ? 'low' : '')) })).toBeCloseTo(2 / 924, 9);
  expect(leastPOfTrial({ ...TRIAL, trays: six((i) => `s${i}`).slice(0, 1) })).toBeNull();
});

/** Seven shelves, each 30 above the one below; C is 4 above the others on every shelf, but for a tremble. */
const onShelves = (arms: readonly ArmId[], shelves = 7): Trial => ({
  ...TRIAL,
  arms: arms.map((id) => ({ ...TRIAL.arms[0]!, id, name: id })),
  trays: Array.from({ length: shelves }, (_, i) =>
    arms.map((arm, k) => tray(`${arm}${i}`, arm, [30 * i + (arm === 'C' ? 4 : 0) + ((i * 3 + k * 5) % 4) / 10], `shelf ${i}`)),
  ).flat(),
});

test('several arms are compared within their blocks too: what shelves differ by hides nothing', () => {
  const three = onShelves(['A', 'B', 'C']);
  const found = resultOf(three);
  expect([found.method, found.status]).toEqual(['many-blocks', 'ok']);
  // Every sign the same: 2 of 2⁷ ways, twice that for two comparisons.
  expect(found.found[1]).toMatchObject({ arm: 'C', diff: expect.closeTo(4, 0) as unknown, p: 4 / 128, leastP: 4 / 128 });
  expect(found.found[0]!.p).toBeGreaterThan(0.05);
  expect(leastPOfTrial(three)).toBe(4 / 128);
  const open = resultOf({ ...three, trays: three.trays.map((t) => ({ ...t, block: '' })) });
  expect(open.method).toBe('many');
  expect(open.found[1]!.p).toBeGreaterThan(0.5);
  // One tray without a block: no blocks.
  expect(resultOf({ ...three, trays: three.trays.map((t, i) => (i === 4 ? { ...t, block: '' } : t)) }).method).toBe('many');
});

test('a pair of which one tray has no value is left out whole, and that is told; the others stay pairs', () => {
  const two = onShelves(['A', 'C']);
  const died = { ...two, trays: two.trays.map((t) => (t.code === 'A2' ? { ...t, values: [null] } : t)) };
  const six = resultOf(died);
  expect(six).toMatchObject({ method: 'pairs', alone: ['C2'], found: [{ p: 2 / 64, leastP: 2 / 64 }] });
  expect(six.found[0]!.diff).toBeCloseTo(4, 0);
  expect(resultOf(two).alone).toEqual([]);
  // A row just added, without block and value, changes nothing of it, whatever is asked.
  const added = { ...two, trays: [...two.trays, tray('new', 'A', [])] };
  expect(resultOf(added).method).toBe('pairs');
  expect([leastPOfTrial(added), noticeableOf(added)]).toEqual([leastPOfTrial(two), noticeableOf(two)]);
  // The same where the tray was taken out of the trial.
  const gone = (trial: Trial, ...codes: string[]) => ({ ...trial, trays: trial.trays.filter((t) => !codes.includes(t.code)) });
  expect(resultOf(gone(two, 'A2'))).toEqual({ ...six, missing: 0 });
  expect(leastPOfTrial(gone(two, 'A2'))).toBe(2 / 64);
  expect(noticeableOf(gone(two, 'A2'))!.difference).toBeCloseTo(noticeableOf(gone(two, 'A2', 'C2'))!.difference, 9);
  // Most of it gone: what is left is compared over all.
  expect(resultOf(gone(two, 'A0', 'A1', 'A2', 'A3', 'C4')).method).toBe('trays');
  // Of several arms the first is alone only where all others are missing.
  const three = onShelves(['A', 'B', 'C']);
  const without = (...codes: string[]) =>
    resultOf({ ...three, trays: three.trays.map((t) => (codes.includes(t.code) ? { ...t, values: [null] } : t)) }).alone;
  expect([without('B1'), without('B1', 'C1'), without('A1')]).toEqual([[], ['A1'], ['B1', 'C1']]);
});

test('how small a difference would be noticed goes by the layout by which it is compared', () => {
  const pairs = onShelves(['A', 'C']);
  const diffs = Array.from({ length: 7 }, (_, i) => pairs.trays[2 * i + 1]!.values[0]! - pairs.trays[2 * i]!.values[0]!);
  const centre = diffs.reduce((a, b) => a + b, 0) / 7;
  const spread = Math.sqrt(diffs.reduce((sum, d) => sum + (d - centre) ** 2, 0) / 6);
  const noticed = noticeableOf(pairs)!;
  expect(noticed.isBlocked).toBe(true);
  expect(noticed.difference).toBeCloseTo(detectableInPairs(7, spread).mdd!, 9);
  expect(noticed.withMore).toBeCloseTo(detectableInPairs(8, spread).mdd!, 9);
  const open = { ...pairs, trays: pairs.trays.map((t) => ({ ...t, block: '' })) };
  const over = noticeableOf(open)!;
  expect(over.difference).toBeCloseTo(detectable(7, 7, { between: over.scatter, within: 0, plants: 1 }).mdd!, 9);
  expect(over.difference).toBeGreaterThan(50 * noticed.difference);
  // Of three arms each comparison has half the chance of error, and takes more.
  const three = onShelves(['A', 'B', 'C']);
  expect(smallestNoticed(three, 1)!).toBeGreaterThan(1.1 * smallestNoticed(pairs, 1)!);
  expect(noticeableOf({ ...pairs, trays: pairs.trays.slice(0, 2) })).toBeNull();
  expect(noticeableOf({ ...pairs, trays: pairs.trays.map((t) => ({ ...t, values: [5] })) })).toBeNull();
});
