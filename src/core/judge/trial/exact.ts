import { logFactorial } from './distributions';
import { sum } from './moments';

/**
 * Exact randomisation tests: every assignment that chance could have made is looked at, the observed one included, and those whose
 * statistic is as large or larger are counted. Fisher 1935; Pitman 1937; Edgington & Onghena 2007.
 */
export interface Randomised {
  /** How many assignments there are. */
  readonly count: number;
  readonly p: number;
  /** Share of the assignments with the largest statistic of all: no smaller p could have come out. */
  readonly least: number;
}

/** Ties count as being as large, within rounding. */
const slack = (pool: readonly number[]) => 1e-9 * Math.max(1, ...pool.map(Math.abs));

/** Number of ways to deal N things into groups of these sizes. */
export function assignments(sizes: readonly number[]): number {
  return Math.round(Math.exp(logFactorial(sum(sizes)) - sum(sizes.map(logFactorial))));
}

/** Collects statistics one by one. */
class Tally {
  private count = 0;
  private asLarge = 0;
  private most = -Infinity;
  private atMost = 0;
  constructor(
    private readonly observed: number,
    private readonly slack: number,
  ) {}
  add(statistic: number): void {
    this.count++;
    if (statistic >= this.observed - this.slack) this.asLarge++;
    if (statistic > this.most + this.slack) {
      this.most = statistic;
      this.atMost = 1;
    } else if (statistic >= this.most - this.slack) this.atMost++;
  }
  get result(): Randomised {
    return { count: this.count, p: this.asLarge / this.count, least: this.atMost / this.count };
  }
}

/** Calls back with the sum of every choice of `size` of the values. */
export function eachSum(values: readonly number[], size: number, visit: (sum: number) => void): void {
  const go = (from: number, left: number, so: number) => {
    if (left === 0) return visit(so);
    for (let i = from; i <= values.length - left; i++) go(i + 1, left - 1, so + values[i]!);
  };
  go(0, size, 0);
}

/** Two arms: |mean B − mean A| over all ways to deal the trays out. */
export function dealTwo(a: readonly number[], b: readonly number[]): Randomised {
  const pool = [...a, ...b];
  const all = sum(pool);
  const statistic = (ofA: number) => Math.abs((all - ofA) / b.length - ofA / a.length);
  const tally = new Tally(statistic(sum(a)), slack(pool));
  eachSum(pool, a.length, (s) => tally.add(statistic(s)));
  return tally.result;
}

/** Several arms: sum of squares between them over all ways to deal the trays out. */
export function dealMany(arms: readonly (readonly number[])[]): Randomised {
  const pool = arms.flat();
  const centre = sum(pool) / pool.length;
  const values = pool.map((v) => v - centre);
  const sizes = arms.map((a) => a.length);
  const between = (sums: readonly number[]) => sums.reduce((so, s, i) => so + (s * s) / sizes[i]!, 0);
  let next = 0;
  const observed = between(arms.map((a) => sum(a.map(() => values[next++]!))));
  const tally = new Tally(observed, 1e-9 * Math.max(1, ...values.map((v) => v * v)));
  const left = [...sizes];
  const sums = sizes.map(() => 0);
  const go = (i: number) => {
    if (i === values.length) return tally.add(between(sums));
    for (let arm = 0; arm < left.length; arm++) {
      if (left[arm] === 0) continue;
      left[arm]!--;
      sums[arm]! += values[i]!;
      go(i + 1);
      sums[arm]! -= values[i]!;
      left[arm]!++;
    }
  };
  go(0);
  return tally.result;
}

/** Pairs: |mean| over all ways to turn the signs; zeros stay in. */
export function flipSigns(differences: readonly number[]): Randomised {
  const n = differences.length;
  const tally = new Tally(Math.abs(sum(differences)), slack(differences) * n);
  const go = (i: number, so: number) => {
    if (i === n) return tally.add(Math.abs(so));
    go(i + 1, so + differences[i]!);
    go(i + 1, so - differences[i]!);
  };
  go(0, 0);
  return tally.result;
}

/** Blocks: |weighted difference| over all ways to deal out within each block. */
export function dealWithin(blocks: readonly { readonly a: readonly number[]; readonly b: readonly number[] }[]): Randomised {
  const weights = blocks.map(({ a, b }) => (a.length * b.length) / (a.length + b.length));
  const total = sum(weights);
  // What a block gives, for each way to deal it out.
  const gives = blocks.map(({ a, b }, i) => {
    const pool = [...a, ...b];
    const all = sum(pool);
    const given: number[] = [];
    eachSum(pool, a.length, (s) => given.push((weights[i]! / total) * ((all - s) / b.length - s / a.length)));
    return given;
  });
  const observed = sum(blocks.map(({ a, b }, i) => (weights[i]! / total) * (sum(b) / b.length - sum(a) / a.length)));
  const tally = new Tally(Math.abs(observed), slack(blocks.flatMap(({ a, b }) => [...a, ...b])));
  const go = (i: number, so: number) => {
    if (i === gives.length) return tally.add(Math.abs(so));
    for (const g of gives[i]!) go(i + 1, so + g);
  };
  go(0, 0);
  return tally.result;
}

/** All Latin squares of an order, each as rows of treatment numbers: 2, 12, 576 for orders 2, 3, 4. */
export function latinSquares(order: number): number[][][] {
  const squares: number[][][] = [];
  const square = Array.from({ length: order }, () => Array<number>(order).fill(-1));
  const go = (cell: number) => {
    if (cell === order * order) return void squares.push(square.map((r) => [...r]));
    const [row, col] = [Math.floor(cell / order), cell % order];
    for (let t = 0; t < order; t++) {
      if (square[row]!.slice(0, col).includes(t) || square.slice(0, row).some((r) => r[col] === t)) continue;
      square[row]![col] = t;
      go(cell + 1);
      square[row]![col] = -1;
    }
  };
  go(0);
  return squares;
}

/** Chances P(U ≤ u) of the Mann-Whitney statistic without ties, u from 0. */
export function mannWhitney(n: number, m: number): number[] {
  // counts[i][u]: ways in which i of the first group have u pairs won, over j of the second, built up one by one.
  let counts: number[][] = Array.from({ length: n + 1 }, (_, i) => (i === 0 ? [1] : [1]));
  for (let j = 1; j <= m; j++) {
    const next: number[][] = [[1]];
    for (let i = 1; i <= n; i++) {
      // The largest of all is of the second group (nothing added) or of the first (j pairs more).
      const a = counts[i]!;
      const b = next[i - 1]!;
      next.push(Array.from({ length: i * j + 1 }, (_, u) => (a[u] ?? 0) + (u >= j ? (b[u - j] ?? 0) : 0)));
    }
    counts = next;
  }
  return cumulated(counts[n]!);
}

/** Chances P(W ≤ w) of the signed-rank statistic without ties, w from 0. */
export function signedRank(n: number): number[] {
  let counts = [1];
  for (let rank = 1; rank <= n; rank++)
    counts = Array.from({ length: counts.length + rank }, (_, w) => (counts[w] ?? 0) + (w >= rank ? counts[w - rank]! : 0));
  return cumulated(counts);
}

function cumulated(counts: readonly number[]): number[] {
  const all = sum(counts);
  let so = 0;
  return counts.map((c) => (so += c) / all);
}

/** Interval by order statistics: the largest c with P(≤ c − 1) ≤ 0.025, and what it covers; null where there is none. */
export function orderInterval(
  sorted: readonly number[],
  cumulative: readonly number[],
): { readonly lo: number; readonly hi: number; readonly conf: number } | null {
  let c = 0;
  while (cumulative[c]! <= 0.025) c++;
  if (c === 0) return null;
  return { lo: sorted[c - 1]!, hi: sorted[sorted.length - c]!, conf: 1 - 2 * cumulative[c - 1]! };
}
