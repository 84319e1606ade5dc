import { betaQuantile, binomial } from './distributions';
import { eachSum, flipSigns } from './exact';
import { mean, median, sum } from './moments';
import { drawnP } from './sampled';

/** All turns of so many signs are looked at: 131,072 of them. */
const MOST_TURNED = 17;

/** Each taster scores both; several scores of one are averaged first, as the taster is the unit. Dixon & Mood 1946; Lehmann 1975. */
export function comparePairedScores(tasters: readonly { readonly a: readonly number[]; readonly b: readonly number[] }[]) {
  const d = tasters.filter((t) => t.a.length > 0 && t.b.length > 0).map((t) => mean(t.b)! - mean(t.a)!);
  const isZero = (x: number) => Math.abs(x) < 1e-12;
  const pos = d.filter((x) => x > 0 && !isZero(x)).length;
  const zero = d.filter(isZero).length;
  const neg = d.length - pos - zero;
  const n = pos + neg;
  const tail = sum(Array.from({ length: Math.min(pos, neg) + 1 }, (_, k) => binomial(k, n, 0.5)));
  // Of many tasters the turns of signs are too many to look at all: some are drawn.
  const p = d.length === 0 ? null : d.length <= MOST_TURNED ? flipSigns(d).p : drawnP(d.map((x) => ({ a: [0], b: [x] })));
  return {
    nUsed: d.length,
    nPos: pos,
    nNeg: neg,
    nZero: zero,
    signP: n === 0 ? null : Math.min(1, 2 * tail),
    meanDiff: mean(d),
    medianDiff: median(d),
    permCount: d.length === 0 ? null : 2 ** d.length,
    permP: p,
    superiority: d.length === 0 ? null : (pos + zero / 2) / d.length,
  };
}

/** Scores of two groups of tasters, by ranks with their ties. Lehmann 1975; Cliff 1993. */
export function compareScores(a: readonly number[], b: readonly number[]) {
  const pool = [...a, ...b];
  const ranks = pool.map((v) => pool.filter((x) => x < v).length + (pool.filter((x) => x === v).length + 1) / 2);
  const ofA = sum(ranks.slice(0, a.length));
  const expected = (a.length * (pool.length + 1)) / 2;
  let count = 0;
  let asLarge = 0;
  if (a.length > 0 && b.length > 0)
    eachSum(ranks, a.length, (s) => {
      count++;
      if (Math.abs(s - expected) >= Math.abs(ofA - expected) - 1e-9) asLarge++;
    });
  const pairs = a.length * b.length;
  const wins = sum(b.map((y) => a.filter((x) => y > x).length));
  const ties = sum(b.map((y) => a.filter((x) => y === x).length));
  const isThere = pairs > 0;
  return {
    n: [a.length, b.length],
    rankSumA: isThere ? ofA : null,
    permCount: isThere ? count : null,
    permP: isThere ? asLarge / count : null,
    superiority: isThere ? (wins + ties / 2) / pairs : null,
    cliffsDelta: isThere ? (wins - (pairs - wins - ties)) / pairs : null,
    median: [median(a), median(b)],
  };
}

const CHANCE = 1 / 3;

/** Three cups, one of them different: how many told it. Clopper & Pearson 1934; Lawless & Heymann 2010; ISO 4120. */
export function triangle(tests: number, correct: number) {
  const upper = (k: number) => Math.min(1, sum(Array.from({ length: tests - k + 1 }, (_, i) => binomial(k + i, tests, CHANCE))));
  const needed = Array.from({ length: tests + 1 }, (_, k) => k).find((k) => upper(k) <= 0.05) ?? null;
  const lo = correct === 0 ? 0 : betaQuantile(0.025, correct, tests - correct + 1);
  const hi = correct === tests ? 1 : betaQuantile(0.975, correct + 1, tests - correct);
  const told = (share: number) => Math.max(0, 1.5 * share - 0.5);
  return {
    pOneSided: upper(correct),
    correctNeeded: needed,
    shareCorrect: correct / tests,
    shareLo: lo,
    shareHi: hi,
    discriminators: told(correct / tests),
    discriminatorsLo: told(lo),
    discriminatorsHi: told(hi),
  };
}
