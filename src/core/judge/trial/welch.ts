import { tQuantile, tTwoSided } from './distributions';
import { mean, variance } from './moments';

export interface Interval {
  readonly se: number;
  readonly df: number;
  readonly t: number;
  readonly p: number;
  readonly lo: number;
  readonly hi: number;
}

/** Difference B − A of two groups that may scatter differently; null with fewer than two in one, or no scatter. Welch 1947; Satterthwaite 1946. */
export function welch(a: readonly number[], b: readonly number[]): Interval | null {
  const [sa, sb] = [variance(a), variance(b)];
  if (sa === null || sb === null || (sa === 0 && sb === 0)) return null;
  const [va, vb] = [sa / a.length, sb / b.length];
  const se = Math.sqrt(va + vb);
  const df = (va + vb) ** 2 / (va ** 2 / (a.length - 1) + vb ** 2 / (b.length - 1));
  return intervalOf(mean(b)! - mean(a)!, se, df);
}

/** Student's t for a difference with its standard error. */
export function intervalOf(diff: number, se: number, df: number): Interval {
  const t = diff / se;
  const half = tQuantile(0.975, df) * se;
  return { se, df, t, p: tTwoSided(t, df), lo: diff - half, hi: diff + half };
}

/** One sample against nothing; null with fewer than two or no scatter. */
export function oneSample(values: readonly number[]): Interval | null {
  const v = variance(values);
  return v === null || v === 0 ? null : intervalOf(mean(values)!, Math.sqrt(v / values.length), values.length - 1);
}
