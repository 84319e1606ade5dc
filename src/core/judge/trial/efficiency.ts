import { tQuantile } from './distributions';
import { mean, present, sum, variance } from './moments';
import { oneSample } from './welch';

export interface EfficiencyArm {
  /** What a tray was given over all days, mean of the arm: energy at the plug, and light on its plants. */
  readonly kwh: number;
  readonly mol: number;
  /** Fresh weight of each tray, g. */
  readonly grams: readonly (number | null)[];
}

/** Grams per kWh and per mol where energy and light are known and alike for the trays of an arm. Fieller 1954; Cox 1990. */
export function compareEfficiency([A, B]: readonly [EfficiencyArm, EfficiencyArm]) {
  const kwh = [A.kwh, B.kwh];
  const mol = [A.mol, B.mol];
  const grams = [A, B].map((a) => present(a.grams));
  const per = (input: readonly number[]) => [0, 1].map((i) => grams[i]!.map((g) => g / input[i]!)) as [number[], number[]];
  const [byKwh, byMol] = [per(kwh), per(mol)];
  const limits = (groups: readonly number[][]) => groups.map((g) => oneSample(g));
  const [k, m] = [limits(byKwh), limits(byMol)];
  const [rk, rm] = [ratioOfMeans(...byKwh), ratioOfMeans(...byMol)];
  return {
    kwh,
    mol,
    gPerKwh: byKwh.map(mean),
    gPerKwhLo: k.map((x) => x?.lo ?? null),
    gPerKwhHi: k.map((x) => x?.hi ?? null),
    ratioKwh: rk.ratio,
    ratioKwhDelta: rk.delta,
    ratioKwhFieller: rk.fieller,
    fiellerBounded: rk.bounded,
    ratioDf: rk.df,
    gPerMol: byMol.map(mean),
    gPerMolLo: m.map((x) => x?.lo ?? null),
    gPerMolHi: m.map((x) => x?.hi ?? null),
    ratioMol: rm.ratio,
    ratioMolDelta: rm.delta,
    ratioMolFieller: rm.fieller,
  };
}

type Limits = readonly [number | null, number | null];
const NONE: Limits = [null, null];

/** B over A of two means, with two intervals; where they differ much, the trays are too few for a ratio. */
export function ratioOfMeans(
  a: readonly number[],
  b: readonly number[],
): {
  readonly ratio: number | null;
  readonly delta: Limits;
  readonly fieller: Limits;
  readonly bounded: boolean | null;
  readonly df: number | null;
} {
  const [ma, mb] = [mean(a), mean(b)];
  const ratio = ma === null || mb === null || ma === 0 ? null : mb / ma;
  const [sa, sb] = [variance(a), variance(b)];
  if (ratio === null || sa === null || sb === null || (sa === 0 && sb === 0))
    return { ratio, delta: NONE, fieller: NONE, bounded: null, df: null };
  const [va, vb] = [sa / a.length, sb / b.length];
  const [ua, ub] = [va / ma! ** 2, vb / mb! ** 2];
  const df = (ua + ub) ** 2 / (ua ** 2 / (a.length - 1) + ub ** 2 / (b.length - 1));
  const t = tQuantile(0.975, df);
  const half = t * Math.sqrt(ua + ub);
  const delta: Limits = ratio > 0 ? [ratio * Math.exp(-half), ratio * Math.exp(half)] : NONE;
  return { ratio, delta, df, ...fieller(ma!, mb!, va, vb, 0, t) };
}

/** All ratios r with (b − r a)² ≤ t² (vB − 2 r vAB + r² vA); unbounded where A could be nothing. */
function fieller(
  a: number,
  b: number,
  va: number,
  vb: number,
  vab: number,
  t: number,
): { readonly fieller: Limits; readonly bounded: boolean } {
  const square = a * a - t * t * va;
  if (square <= 0) return { fieller: NONE, bounded: false };
  const linear = a * b - t * t * vab;
  const root = Math.sqrt(Math.max(0, linear ** 2 - square * (b * b - t * t * vb)));
  return { fieller: [(linear - root) / square, (linear + root) / square], bounded: true };
}

/** Grams per kWh where every batch had a meter of its own. Cochran 1977, chapter 6. */
export function meteredEfficiency(batches: readonly { readonly grams: number | null; readonly kwh: number | null }[]) {
  const whole = batches.filter((b): b is { grams: number; kwh: number } => b.grams !== null && b.kwh !== null);
  const n = whole.length;
  const [g, e] = [whole.map((b) => b.grams), whole.map((b) => b.kwh)];
  const none = { se: null, delta: NONE, fieller: NONE, fiellerBounded: null, df: null };
  if (n === 0) return { ratio: null, meanOfRatios: null, ...none };
  const ratio = sum(g) / sum(e);
  const meanOfRatios = mean(whole.map((b) => b.grams / b.kwh));
  if (n < 2) return { ratio, meanOfRatios, ...none };
  const [mg, me] = [mean(g)!, mean(e)!];
  const se = Math.sqrt(sum(whole.map((b) => (b.grams - ratio * b.kwh) ** 2)) / ((n - 1) * n)) / me;
  const t = tQuantile(0.975, n - 1);
  const cov = sum(whole.map((b) => (b.grams - mg) * (b.kwh - me))) / (n - 1) / n;
  const { fieller: limits, bounded } = fieller(me, mg, variance(e)! / n, variance(g)! / n, cov, t);
  return {
    ratio,
    meanOfRatios,
    se,
    delta: [ratio - t * se, ratio + t * se] as Limits,
    fieller: limits,
    fiellerBounded: bounded,
    df: n - 1,
  };
}
