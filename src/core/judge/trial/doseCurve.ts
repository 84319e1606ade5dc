import { tQuantile } from './distributions';
import { inverted, leastSquares } from './leastSquares';
import { sum } from './moments';

export interface DosePoint {
  readonly dli: number;
  readonly y: number;
}
export type DoseModel = 'exp' | 'mm';
export type DoseStatus = 'too_few_points' | 'too_few_doses' | 'no_curvature' | 'step' | 'weak' | 'ok';

interface Shape {
  readonly parameters: number;
  /** Between which the one that bends is looked for, and which end is a straight line. */
  range(doses: readonly number[]): readonly [number, number];
  readonly straightAt: 'low' | 'high';
  /** What multiplies the linear parameters, given the one that bends. */
  basis(d: number, bend: number): number[];
  /** All parameters, the linear ones given. */
  all(linear: readonly number[], bend: number): number[];
  at(d: number, p: readonly number[]): number;
  gradient(d: number, p: readonly number[]): number[];
  readonly bendIs: number;
}

const positive = (doses: readonly number[]) => Math.min(...doses.filter((d) => d > 0));

/** y = c + a (1 − e^(−k d)) and y = V d/(K + d): what more light brings, levelling off. */
const SHAPES: Readonly<Record<DoseModel, Shape>> = {
  exp: {
    parameters: 3,
    range: (doses) => [0.1 / Math.max(...doses), 4 / positive(doses)],
    straightAt: 'low',
    basis: (d, k) => [1 - Math.exp(-k * d), 1],
    all: ([a, c], k) => [a!, k, c!],
    at: (d, [a, k, c]) => c! + a! * (1 - Math.exp(-k! * d)),
    gradient: (d, [a, k]) => [1 - Math.exp(-k! * d), a! * d * Math.exp(-k! * d), 1],
    bendIs: 1,
  },
  mm: {
    parameters: 2,
    range: (doses) => [positive(doses) / 20, 10 * Math.max(...doses)],
    straightAt: 'high',
    basis: (d, K) => [d / (K + d)],
    all: ([v], K) => [v!, K],
    at: (d, [v, K]) => (v! * d) / (K! + d),
    gradient: (d, [v, K]) => [d / (K! + d), (-v! * d) / (K! + d) ** 2],
    bendIs: 1,
  },
};

const STEPS = 400;

/**
 * Fits a curve through doses and what they gave, by unweighted least squares, the bend searched over its whole range: no local minimum is
 * taken for the answer. What few points cannot say is not said. Bates & Watts 1988; Seber & Wild 1989.
 */
export function fitDose(model: DoseModel, points: readonly DosePoint[], at: number) {
  const shape = SHAPES[model];
  const doses = points.map((p) => p.dli);
  const distinct = new Set(doses).size;
  const extrapolated = points.length === 0 ? null : at < Math.min(...doses) || at > Math.max(...doses);
  const none = (status: DoseStatus) => ({
    n: points.length,
    distinctDoses: distinct,
    params: null,
    se: null,
    sigma: null,
    df: null,
    fitAtNew: null,
    meanLo: null,
    meanHi: null,
    predLo: null,
    predHi: null,
    extrapolated,
    status,
  });
  if (points.length < 4) return none('too_few_points');
  if (distinct < shape.parameters + 1) return none('too_few_doses');
  const y = points.map((p) => p.y);
  const given = (bend: number) =>
    leastSquares(
      points.map((p) => shape.basis(p.dli, bend)),
      y,
    );
  const error = (logBend: number) => given(Math.exp(logBend))?.sse ?? Infinity;
  const [low, high] = shape.range(doses).map(Math.log) as [number, number];
  const step = (high - low) / STEPS;
  let best = 0;
  for (let i = 1; i <= STEPS; i++) if (error(low + i * step) < error(low + best * step)) best = i;
  const bendLog = narrowed(error, Math.max(low, low + (best - 1) * step), Math.min(high, low + (best + 1) * step));
  const isAt = (edge: number) => Math.abs(bendLog - edge) < 1e-6;
  if (isAt(low) || isAt(high)) return none(isAt(shape.straightAt === 'low' ? low : high) ? 'no_curvature' : 'step');
  const bend = Math.exp(bendLog);
  const fit = given(bend)!;
  const params = shape.all(fit.coefficients, bend);
  const df = points.length - shape.parameters;
  const gradients = points.map((p) => shape.gradient(p.dli, params));
  const covariance = inverted(params.map((_, i) => params.map((__, j) => sum(gradients.map((g) => g[i]! * g[j]!)))));
  const s2 = fit.sse / df;
  if (!covariance) return none('no_curvature');
  const se = covariance.map((row, i) => Math.sqrt(s2 * row[i]!));
  const g = shape.gradient(at, params);
  const spread = s2 * sum(g.map((gi, i) => sum(g.map((gj, j) => gi * gj * covariance[i]![j]!))));
  const t = tQuantile(0.975, df);
  const fitAtNew = shape.at(at, params);
  const [half, wide] = [t * Math.sqrt(spread), t * Math.sqrt(s2 + spread)];
  return {
    n: points.length,
    distinctDoses: distinct,
    params,
    se,
    sigma: Math.sqrt(s2),
    df,
    fitAtNew,
    meanLo: fitAtNew - half,
    meanHi: fitAtNew + half,
    predLo: fitAtNew - wide,
    predHi: fitAtNew + wide,
    extrapolated,
    status: (se[shape.bendIs]! / Math.abs(params[shape.bendIs]!) > 1 ? 'weak' : 'ok') as DoseStatus,
  };
}

const GOLDEN = (Math.sqrt(5) - 1) / 2;

/** The least of a function with one valley between `a` and `b`, by the golden section, polished by its slope. */
function narrowed(f: (x: number) => number, a: number, b: number): number {
  const [from, to] = [a, b];
  let [c, d] = [b - GOLDEN * (b - a), a + GOLDEN * (b - a)];
  let [fc, fd] = [f(c), f(d)];
  for (let i = 0; i < 60 && b - a > 1e-9; i++) {
    if (fc < fd) {
      [b, d, fd] = [d, c, fc];
      c = b - GOLDEN * (b - a);
      fc = f(c);
    } else {
      [a, c, fc] = [c, d, fd];
      d = a + GOLDEN * (b - a);
      fd = f(d);
    }
  }
  const x = (a + b) / 2;
  return f(from) <= f(x) ? from : f(to) <= f(x) ? to : x;
}

/** Which way more light goes, without a curve: rising or falling steps, and whether so few points can say. Barlow et al. 1972; Kendall 1938. */
export function doseDirection(points: readonly DosePoint[]) {
  const doses = [...new Set(points.map((p) => p.dli))].sort((a, b) => a - b);
  const groups = doses.map((d) => points.filter((p) => p.dli === d).map((p) => p.y));
  const means = groups.map((g) => sum(g) / g.length);
  const weights = groups.map((g) => g.length);
  const up = isotonic(means, weights);
  const down = isotonic(
    means.map((m) => -m),
    weights,
  ).map((m) => -m);
  const sse = (fit: readonly number[]) => sum(fit.map((f, i) => weights[i]! * (f - means[i]!) ** 2));
  const [sseUp, sseDown] = [sse(up), sse(down)];
  const isEqual = Math.abs(sseUp - sseDown) <= 1e-9 * Math.max(1, sseUp, sseDown);
  const s = kendall(
    points.map((p) => p.dli),
    points.map((p) => p.y),
  );
  const p = points.length < 2 ? 1 : kendallP(points, s);
  const best = Math.max(...means);
  return {
    doses,
    means,
    isotonicUp: up,
    isotonicDown: down,
    sseUp,
    sseDown,
    direction: isEqual ? 'undecided' : sseUp < sseDown ? 'increasing' : 'decreasing',
    stepsDown: means.slice(1).filter((m, i) => m < means[i]!).length,
    kendallS: s,
    kendallP: p,
    canSayTrend: p <= 0.05,
    bestDose: doses[means.indexOf(best)] ?? null,
  };
}

/** Rising least squares, neighbours that fall pooled. */
function isotonic(values: readonly number[], weights: readonly number[]): number[] {
  const blocks: { value: number; weight: number; count: number }[] = [];
  values.forEach((value, i) => {
    blocks.push({ value, weight: weights[i]!, count: 1 });
    while (blocks.length > 1 && blocks.at(-2)!.value > blocks.at(-1)!.value) {
      const [b, a] = [blocks.pop()!, blocks.pop()!];
      blocks.push({
        value: (a.value * a.weight + b.value * b.weight) / (a.weight + b.weight),
        weight: a.weight + b.weight,
        count: a.count + b.count,
      });
    }
  });
  return blocks.flatMap((b) => Array<number>(b.count).fill(b.value));
}

function kendall(x: readonly number[], y: readonly number[]): number {
  let s = 0;
  for (let i = 0; i < x.length; i++) for (let j = 0; j < i; j++) s += Math.sign(x[i]! - x[j]!) * Math.sign(y[i]! - y[j]!);
  return s;
}

/** Longer lists are not dealt out one by one. */
const MOST_DEALT = 10;

/** Share of all orders whose |S| is as large, ties as they are; beyond ten points by the normal approximation with its ties. */
function kendallP(points: readonly DosePoint[], observed: number): number {
  const x = points.map((p) => p.dli);
  const y = points.map((p) => p.y);
  const n = x.length;
  if (n > MOST_DEALT) {
    const ties = (v: readonly number[]) =>
      sum([...new Set(v)].map((u) => v.filter((w) => w === u).length).map((t) => t * (t - 1) * (2 * t + 5)));
    const variance = (n * (n - 1) * (2 * n + 5) - ties(x) - ties(y)) / 18;
    return variance <= 0 ? 1 : Math.min(1, 2 * (1 - normalCdf(Math.max(0, Math.abs(observed) - 1) / Math.sqrt(variance))));
  }
  // Values of y are dealt to the places of x one by one; those that are alike are dealt once.
  const left = new Map<number, number>();
  for (const v of y) left.set(v, (left.get(v) ?? 0) + 1);
  const dealt: number[] = [];
  let count = 0;
  let asLarge = 0;
  const go = (s: number) => {
    const i = dealt.length;
    if (i === n) {
      count++;
      if (Math.abs(s) >= Math.abs(observed)) asLarge++;
      return;
    }
    for (const [v, k] of left) {
      if (k === 0) continue;
      left.set(v, k - 1);
      let more = 0;
      for (let j = 0; j < i; j++) more += Math.sign(x[i]! - x[j]!) * Math.sign(v - dealt[j]!);
      dealt.push(v);
      go(s + more);
      dealt.pop();
      left.set(v, k);
    }
  };
  go(0);
  return asLarge / count;
}

/** Abramowitz & Stegun 26.2.17; error below 7.5e-8. */
function normalCdf(z: number): number {
  const t = 1 / (1 + 0.2316419 * z);
  const tail =
    (Math.exp((-z * z) / 2) / Math.sqrt(2 * Math.PI)) *
    t *
    (0.31938153 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))));
  return 1 - tail;
}
