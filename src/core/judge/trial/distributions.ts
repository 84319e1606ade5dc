import { jStat } from 'jstat';

/** Quantile of Student's t, for any number of degrees of freedom above 0. Error: below 1e-8 relative. */
export const tQuantile = (p: number, df: number): number => jStat.studentt.inv(p, df);
/** Chance of a |t| as large or larger. */
export const tTwoSided = (t: number, df: number): number => Math.min(1, jStat.ibeta(df / (df + t * t), df / 2, 0.5));
/** Chance of an F as large or larger. */
export const fUpper = (f: number, df1: number, df2: number): number => (f <= 0 ? 1 : jStat.ibeta(df2 / (df2 + df1 * f), df2 / 2, df1 / 2));
/** Chance of a χ² of one degree of freedom as large or larger. */
export const chi2Upper = (x: number): number => (x <= 0 ? 1 : jStat.erfc(Math.sqrt(x / 2)));
export const betaQuantile = (p: number, a: number, b: number): number => jStat.beta.inv(p, a, b);
/** Chance of a noncentral t at or below a value. */
export const noncentralT = (t: number, df: number, ncp: number): number => jStat.noncentralt.cdf(t, df, ncp);

/** 97.5 % of the standard normal. */
export const Z = 1.959963984540054;

/** Power of a two-sided t test at a level, both tails counted. @param ncp  noncentrality */
export function tPower(ncp: number, df: number, alpha = 0.05): number {
  const t = tQuantile(1 - alpha / 2, df);
  return 1 - noncentralT(t, df, ncp) + noncentralT(-t, df, ncp);
}

/** Smallest noncentrality at which a two-sided t test has a power, by halves. */
export function ncpFor(power: number, df: number, alpha = 0.05): number {
  let low = 0;
  let high = 4;
  while (tPower(high, df, alpha) < power && high < 1e6) high *= 2;
  for (let i = 0; i < 80; i++) {
    const middle = (low + high) / 2;
    if (tPower(middle, df, alpha) < power) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

const logFactorials: number[] = [0];
/** Natural logarithm of n!, by its sum. */
export function logFactorial(n: number): number {
  for (let i = logFactorials.length; i <= n; i++) logFactorials.push(logFactorials[i - 1]! + Math.log(i));
  return logFactorials[n]!;
}
const choose = (n: number, k: number) => Math.exp(logFactorial(n) - logFactorial(k) - logFactorial(n - k));

/** Chance of exactly k of n. */
export const binomial = (k: number, n: number, p: number): number =>
  p <= 0 ? Number(k === 0) : p >= 1 ? Number(k === n) : choose(n, k) * p ** k * (1 - p) ** (n - k);

/** Chances of x hits in the second of two groups, margins fixed: from its least to its most. */
export function hypergeometric(hits: number, n1: number, n0: number): { readonly from: number; readonly chance: readonly number[] } {
  const from = Math.max(0, hits - n0);
  const to = Math.min(hits, n1);
  const chance = Array.from({ length: to - from + 1 }, (_, i) => choose(n1, from + i) * choose(n0, hits - from - i));
  const all = chance.reduce((a, b) => a + b, 0);
  return { from, chance: chance.map((c) => c / all) };
}
