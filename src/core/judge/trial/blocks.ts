import { fUpper, tQuantile } from './distributions';
import { assignments, dealTwo, dealWithin, flipSigns, latinSquares, orderInterval, signedRank } from './exact';
import { leastSquares } from './leastSquares';
import { mean, median, sd, sum, variance } from './moments';
import { intervalOf, oneSample, welch } from './welch';

type Maybe = number | null;

/** Two trays to a block, one of each arm. Lehmann 1975; Hollander, Wolfe & Chicken 2013. */
export function comparePairs(pairs: readonly { readonly a: Maybe; readonly b: Maybe }[]) {
  const whole = pairs.filter((p): p is { a: number; b: number } => p.a !== null && p.b !== null);
  const d = whole.map((p) => p.b - p.a);
  const t = oneSample(d);
  const deal = d.length > 0 ? flipSigns(d) : null;
  const walsh = d.flatMap((x, i) => d.slice(i).map((y) => (x + y) / 2)).sort((x, y) => x - y);
  const hl = d.length > 0 ? orderInterval(walsh, signedRank(d.length)) : null;
  const apart = welch(
    whole.map((p) => p.a),
    whole.map((p) => p.b),
  );
  return {
    pairsUsed: d.length,
    diffs: d,
    diff: mean(d),
    sdDiff: sd(d),
    df: d.length > 1 ? d.length - 1 : null,
    tLo: t?.lo ?? null,
    tHi: t?.hi ?? null,
    tP: t?.p ?? null,
    permCount: deal?.count ?? null,
    permP: deal?.p ?? null,
    permPMin: d.length > 0 ? 2 / 2 ** d.length : null,
    hl: median(walsh),
    hlLo: hl?.lo ?? null,
    hlHi: hl?.hi ?? null,
    hlConf: hl?.conf ?? null,
    unpairedLo: apart?.lo ?? null,
    unpairedHi: apart?.hi ?? null,
  };
}

/** The trays of two arms in a block. */
export interface Block {
  readonly a: readonly number[];
  readonly b: readonly number[];
}

/** Several trays of each arm to a block: differences within blocks, weighted. Cochran & Cox 1957. @param exactly  false: without the exact test */
export function compareBlocks(given: readonly Block[], exactly = true) {
  const blocks = given.filter(({ a, b }) => a.length > 0 && b.length > 0);
  if (blocks.length === 0)
    return { blocksUsed: 0, diff: null, df: null, permCount: null, permP: null, permPMin: null, se: null, tLo: null, tHi: null, tP: null };
  const weight = sum(blocks.map(({ a, b }) => (a.length * b.length) / (a.length + b.length)));
  const diff = sum(blocks.map(({ a, b }) => ((a.length * b.length) / (a.length + b.length)) * (mean(b)! - mean(a)!))) / weight;
  const N = sum(blocks.map(({ a, b }) => a.length + b.length));
  const df = N - blocks.length - 1;
  const sse = sum(
    blocks.map(({ a, b }) => {
      const all = [...a, ...b];
      const level = (sum(all) - b.length * diff) / all.length;
      return sum(a.map((v) => (v - level) ** 2)) + sum(b.map((v) => (v - level - diff) ** 2));
    }),
  );
  const se = df > 0 && sse > 0 ? Math.sqrt(sse / df / weight) : null;
  const t = se === null ? null : intervalOf(diff, se, df);
  const count = blocks.reduce((n, { a, b }) => n * assignments([a.length, b.length]), 1);
  const isMirrored = blocks.every(({ a, b }) => a.length === b.length);
  return {
    blocksUsed: blocks.length,
    diff,
    df,
    permCount: count,
    permP: exactly ? dealWithin(blocks).p : null,
    permPMin: (isMirrored ? 2 : 1) / count,
    se,
    tLo: t?.lo ?? null,
    tHi: t?.hi ?? null,
    tP: t?.p ?? null,
  };
}

export interface SwapShelf {
  readonly id: string;
  readonly weeks: readonly { readonly bSide: 'left' | 'right'; readonly a: Maybe; readonly b: Maybe }[];
}

/** Two trays on a shelf that change sides: arm and side told apart; the shelf is the unit, not the week. */
export function compareSwapped(shelves: readonly SwapShelf[]) {
  const looked = shelves.map(({ id, weeks }) => {
    const whole = weeks.filter((w): w is { bSide: 'left' | 'right'; a: number; b: number } => w.a !== null && w.b !== null);
    const of = (side: string) => whole.filter((w) => w.bSide === side).map((w) => w.b - w.a);
    const [left, right] = [of('left'), of('right')];
    return { id, left, right, plain: whole.length > 0 ? mean(whole.map((w) => w.b))! - mean(whole.map((w) => w.a))! : null };
  });
  const used = looked.filter((s) => s.left.length > 0 && s.right.length > 0);
  const delta = used.map((s) => (mean(s.left)! + mean(s.right)!) / 2);
  const side = used.map((s) => (mean(s.left)! - mean(s.right)!) / 2);
  const [t, tSide] = [oneSample(delta), oneSample(side)];
  const deal = delta.length > 0 ? flipSigns(delta) : null;
  return {
    shelvesUsed: used.length,
    deltaByShelf: delta,
    diff: mean(delta),
    df: delta.length > 1 ? delta.length - 1 : null,
    tLo: t?.lo ?? null,
    tHi: t?.hi ?? null,
    tP: t?.p ?? null,
    permCount: deal?.count ?? null,
    permP: deal?.p ?? null,
    permPMin: delta.length > 0 ? 2 / 2 ** delta.length : null,
    unbalancedShelves: looked.filter((s) => s.left.length !== s.right.length).map((s) => s.id),
    unadjustedDiff: mean(used.map((s) => s.plain!)),
    sideEffect: mean(side),
    sideLo: tSide?.lo ?? null,
    sideHi: tSide?.hi ?? null,
  };
}

/** Each tray stands under both arms, in one order or the other. Hills & Armitage 1979; Senn 2002. */
export function compareCrossed(trays: readonly { readonly seq: 'AB' | 'BA'; readonly p1: Maybe; readonly p2: Maybe }[]) {
  const whole = trays.filter((t): t is { seq: 'AB' | 'BA'; p1: number; p2: number } => t.p1 !== null && t.p2 !== null);
  const of = (seq: string, f: (t: { p1: number; p2: number }) => number) => whole.filter((t) => t.seq === seq).map(f);
  const [ab, ba] = [of('AB', (t) => t.p1 - t.p2), of('BA', (t) => t.p1 - t.p2)];
  const n = ab.length + ba.length;
  const none = {
    nUsed: [ab.length, ba.length],
    diff: null,
    periodEffect: null,
    df: null,
    se: null,
    tLo: null,
    tHi: null,
    tP: null,
    permCount: null,
    permP: null,
    permPMin: null,
    carryDiff: null,
    carryP: null,
  };
  if (ab.length === 0 || ba.length === 0) return none;
  const df = n - 2;
  const pooled = (x: readonly number[], y: readonly number[]) =>
    df > 0 ? ((variance(x) ?? 0) * (x.length - 1) + (variance(y) ?? 0) * (y.length - 1)) / df : null;
  const spread = pooled(ab, ba);
  const diff = (mean(ba)! - mean(ab)!) / 2;
  const root = Math.sqrt(1 / ab.length + 1 / ba.length);
  const se = spread === null || spread === 0 ? null : (Math.sqrt(spread) / 2) * root;
  const t = se === null ? null : intervalOf(diff, se, df);
  const deal = dealTwo(ab, ba);
  const [totalAb, totalBa] = [of('AB', (x) => x.p1 + x.p2), of('BA', (x) => x.p1 + x.p2)];
  const carry = mean(totalAb)! - mean(totalBa)!;
  const carrySpread = pooled(totalAb, totalBa);
  return {
    nUsed: [ab.length, ba.length],
    diff,
    periodEffect: (mean(ab)! + mean(ba)!) / 2,
    df: df > 0 ? df : null,
    se,
    tLo: t?.lo ?? null,
    tHi: t?.hi ?? null,
    tP: t?.p ?? null,
    permCount: deal.count,
    permP: deal.p,
    permPMin: (ab.length === ba.length ? 2 : 1) / assignments([ab.length, ba.length]),
    carryDiff: carry,
    carryP: carrySpread === null || carrySpread === 0 ? null : intervalOf(carry, Math.sqrt(carrySpread) * root, df).p,
  };
}

export interface LatinCell {
  readonly row: number;
  readonly col: number;
  readonly arm: string;
  readonly y: Maybe;
}

/** Trays that wander under every lamp, week by week. Fisher 1935; Cochran & Cox 1957. */
export function compareLatin(k: number, cells: readonly LatinCell[]) {
  const arms = [...new Set(cells.map((c) => c.arm))].sort();
  const rows = [...new Set(cells.map((c) => c.row))].sort((a, b) => a - b);
  const cols = [...new Set(cells.map((c) => c.col))].sort((a, b) => a - b);
  const whole = cells.filter((c): c is LatinCell & { y: number } => c.y !== null);
  const dummy = <T>(levels: readonly T[], of: T) => levels.slice(1).map((l) => Number(l === of));
  const y = whole.map((c) => c.y);
  const small = leastSquares(
    whole.map((c) => [1, ...dummy(rows, c.row), ...dummy(cols, c.col)]),
    y,
  );
  const full = leastSquares(
    whole.map((c) => [...dummy(arms, c.arm), 1, ...dummy(rows, c.row), ...dummy(cols, c.col)]),
    y,
  );
  const [df1, df2] = [k - 1, whole.length - (3 * k - 2)];
  const isSound = small !== null && full !== null && df2 > 0 && full.sse > 1e-12 * sum(y.map((v) => v * v));
  const mse = isSound ? full.sse / df2 : null;
  const F = isSound ? (small.sse - full.sse) / df1 / mse! : null;
  const t = isSound ? tQuantile(0.975, df2) : null;
  const diff = full ? full.coefficients.slice(0, k - 1) : null;
  const se = isSound ? full.inverse.slice(0, k - 1).map((r, i) => Math.sqrt(mse! * r[i]!)) : null;
  const deal = whole.length === k * k && k <= 4 ? dealLatin(k, rows, cols, arms, whole) : null;
  return {
    df1,
    df2,
    mse,
    F,
    p: F === null ? null : fUpper(F, df1, df2),
    diffVsFirst: diff,
    seDiff: se,
    tLo: se && diff ? diff.map((d, i) => d - t! * se[i]!) : null,
    tHi: se && diff ? diff.map((d, i) => d + t! * se[i]!) : null,
    permCount: deal?.count ?? null,
    permP: deal?.p ?? null,
    permPMin: deal ? latinLeast(k) : null,
  };
}

const factorial = (n: number): number => (n <= 1 ? 1 : n * factorial(n - 1));
/** Numbers of Latin squares by their order, from 1; OEIS A002860. */
const LATIN_COUNTS = [1, 2, 12, 576, 161_280, 812_851_200];
/** How many Latin squares there are of an order, 1 to 6. @throws RangeError beyond */
export function latinCount(k: number): number {
  const count = LATIN_COUNTS[k - 1];
  if (count === undefined) throw new RangeError(`order must be 1 to 6, got ${k}`);
  return count;
}
/** Smallest p that a Latin square can give: relabelling its arms changes nothing. */
export const latinLeast = (k: number) => factorial(k) / latinCount(k);

function dealLatin(
  k: number,
  rows: readonly number[],
  cols: readonly number[],
  arms: readonly string[],
  cells: readonly (LatinCell & { y: number })[],
) {
  const centre = mean(cells.map((c) => c.y))!;
  const at = rows.map((r) => cols.map((c) => cells.find((x) => x.row === r && x.col === c)!));
  const statistic = (treatment: (r: number, c: number) => number) => {
    const sums = Array<number>(k).fill(0);
    for (let r = 0; r < k; r++) for (let c = 0; c < k; c++) sums[treatment(r, c)]! += at[r]![c]!.y - centre;
    return sums.reduce((so, s) => so + (s * s) / k, 0);
  };
  const observed = statistic((r, c) => arms.indexOf(at[r]![c]!.arm));
  const slack = 1e-9 * Math.max(1, ...cells.map((c) => c.y ** 2));
  const squares = latinSquares(k);
  const asLarge = squares.filter((s) => statistic((r, c) => s[r]![c]!) >= observed - slack).length;
  return { count: squares.length, p: asLarge / squares.length };
}

/** Trays that are themselves the arms and wander over the places: within a set plain means, the set is the unit. */
export function compareRotated(sets: readonly Readonly<Record<string, readonly number[]>>[]) {
  const arms = [...new Set(sets.flatMap((s) => Object.keys(s)))].sort();
  const means = sets.map((s) => arms.map((a) => mean(s[a] ?? [])));
  const armMean = arms.map((_, i) => mean(means.flatMap((m) => (m[i] === null ? [] : [m[i]!]))));
  const against = arms.slice(1).map((_, i) => means.flatMap((m) => (m[0] === null || m[i + 1] === null ? [] : [m[i + 1]! - m[0]!])));
  const tests = against.map((d) => (d.length > 1 ? { t: oneSample(d), deal: flipSigns(d) } : null));
  const n = sets.length;
  return {
    setsUsed: n,
    armMean,
    diff: against.map(mean),
    df: n > 1 ? n - 1 : null,
    tLo: tests.map((x) => x?.t?.lo ?? null),
    tHi: tests.map((x) => x?.t?.hi ?? null),
    tP: tests.map((x) => x?.t?.p ?? null),
    permCount: n > 1 ? 2 ** n : null,
    permP: tests.map((x) => x?.deal.p ?? null),
    permPMin: n > 1 ? 2 / 2 ** n : null,
    status: n < 2 ? 'difference_only' : 2 / 2 ** n > 0.05 ? 'interval_only' : 'ok',
  };
}
