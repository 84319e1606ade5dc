import type { Trial } from '../../site/trial/Trial';
import { compareBlocks, comparePairs } from '../../judge/trial/blocks';
import { compareTrayShares } from '../../judge/trial/counts';
import { assignments } from '../../judge/trial/exact';
import { welch } from '../../judge/trial/welch';
import { leastPOf } from '../../judge/trial/power';
import { compareManyArms } from '../../judge/trial/manyArms';
import { comparePlants, compareTwoArms, farOff, likenessWithin, trayMeans, type TrialArm } from '../../judge/trial/twoArms';

/** More assignments than this are not dealt out one by one. */
export const MOST_ASSIGNMENTS = 200_000;

export interface ArmSummary {
  readonly id: string;
  readonly name: string;
  readonly mean: number | null;
  readonly trays: readonly { readonly code: string; readonly block: string; readonly mean: number; readonly values: readonly number[] }[];
}

/** What was found between the first arm and another. */
export interface Found {
  readonly arm: string;
  readonly diff: number | null;
  readonly lo: number | null;
  readonly hi: number | null;
  /** Exact, over all ways in which chance could have dealt; null where there are too many, or too few. */
  readonly p: number | null;
  /** No smaller p can come out with so few trays. */
  readonly leastP: number | null;
}

export interface TrialResult {
  readonly method: 'trays' | 'pairs' | 'blocks' | 'shares' | 'many';
  readonly arms: readonly ArmSummary[];
  readonly found: readonly Found[];
  readonly status: 'no_data' | 'difference_only' | 'interval_only' | 'ok';
  /** The wrong analysis: every plant taken for a repeat. Null where there is one number to a tray. */
  readonly naive: { readonly p: number | null; readonly lo: number | null; readonly hi: number | null } | null;
  /** How alike plants of a tray are; null: cannot be told. */
  readonly likeness: number | null;
  /** Plants far from their own tray, by tray and number; they stay in. */
  readonly farOff: readonly string[];
  /** Plants that are missing: dead, not emerged or not measured. */
  readonly missing: number;
}

/** The values of a trial's trays, by arm. */
function armsOf(trial: Trial): TrialArm[] {
  return trial.arms.map((a) => ({
    id: a.id,
    trays: trial.trays.filter((t) => t.arm === a.id).map((t) => ({ id: t.code, values: t.values })),
  }));
}

/**
 * What a trial shows: trays are the units. Where every block holds one tray of each arm, they are compared as pairs; where blocks hold
 * several, within blocks; else over all.
 */
export function resultOf(trial: Trial): TrialResult {
  const arms = armsOf(trial);
  const block = new Map(trial.trays.map((t) => [t.code, t.block]));
  const summaries = arms.map((arm, i): ArmSummary => {
    const trays = trayMeans(arm).map((t) => ({ code: t.id, block: block.get(t.id) ?? '', mean: t.mean, values: t.values }));
    return {
      id: arm.id,
      name: trial.arms[i]!.name,
      mean: trays.length > 0 ? trays.reduce((s, t) => s + t.mean, 0) / trays.length : null,
      trays,
    };
  });
  const missing = trial.trays.reduce((n, t) => n + t.values.filter((v) => v === null).length, 0);
  const plants = arms.some((a) => a.trays.some((t) => t.values.length > 1));
  const base = {
    arms: summaries,
    farOff: farOff(arms),
    missing,
    likeness: plants ? likenessWithin(arms).icc : null,
  };
  if (arms.length > 2) {
    const sizes = summaries.map((s) => s.trays.length);
    const isSmall = sizes.every((n) => n > 0) && assignments(sizes) <= MOST_ASSIGNMENTS;
    const many = isSmall ? compareManyArms(arms) : null;
    const found = summaries.slice(1).map((s, i): Found => {
      const two = twoOf([arms[0]!, arms[i + 1]!]);
      return { arm: s.id, diff: two.diff, lo: two.lo, hi: two.hi, p: many?.pairPermPHolm[i] ?? null, leastP: two.leastP };
    });
    return { ...base, method: 'many', found, status: statusOf(sizes, Math.min(...found.map((f) => f.leastP ?? 1))), naive: null };
  }
  const two = [arms[0]!, arms[1]!] as const;
  const naive = plants ? comparePlants(two) : null;
  const wrong = naive && { p: naive.naiveP, lo: naive.naiveLo, hi: naive.naiveHi };
  const sizes = summaries.map((s) => s.trays.length);
  if (trial.outcome.kind === 'counted') return { ...base, method: 'shares', ...sharesOf(trial, sizes), naive: null };
  const blocks = [...new Set(trial.trays.map((t) => t.block).filter((b) => b !== ''))];
  const within = blocks.map((b) => ({
    a: summaries[0]!.trays.filter((t) => t.block === b).map((t) => t.mean),
    b: summaries[1]!.trays.filter((t) => t.block === b).map((t) => t.mean),
  }));
  const isBlocked =
    blocks.length > 1 &&
    within.every((w) => w.a.length > 0 && w.b.length > 0) &&
    summaries.every((s) => s.trays.every((t) => t.block !== ''));
  if (isBlocked && within.every((w) => w.a.length === 1 && w.b.length === 1) && within.length <= 17) {
    const p = comparePairs(within.map((w) => ({ a: w.a[0]!, b: w.b[0]! })));
    return {
      ...base,
      method: 'pairs',
      found: [{ arm: 'B', diff: p.diff, lo: p.tLo, hi: p.tHi, p: p.permP, leastP: p.permPMin }],
      status: statusOf(sizes, p.permPMin ?? 1),
      naive: wrong,
    };
  }
  if (isBlocked && within.reduce((n, w) => n * assignments([w.a.length, w.b.length]), 1) <= MOST_ASSIGNMENTS) {
    const w = compareBlocks(within);
    return {
      ...base,
      method: 'blocks',
      found: [{ arm: 'B', diff: w.diff, lo: w.tLo, hi: w.tHi, p: w.permP, leastP: w.permPMin }],
      status: statusOf(sizes, w.permPMin ?? 1),
      naive: wrong,
    };
  }
  const over = twoOf(two);
  return { ...base, method: 'trays', found: [{ arm: 'B', ...over }], status: statusOf(sizes, over.leastP ?? 1), naive: wrong };
}

/** The smallest p that the trays of the first two arms can give as they are laid out, whatever they show; null while an arm is empty. */
export function leastPOfTrial({ trays, arms }: Pick<Trial, 'trays' | 'arms'>): number | null {
  const [a, b] = [arms[0]!.id, arms[1]!.id];
  const count = (of: readonly Trial['trays'][number][], arm: string) => of.filter((t) => t.arm === arm).length;
  const blocks = [...new Set(trays.map((t) => t.block))]
    .map((name) => trays.filter((t) => t.block === name))
    .map((t) => [count(t, a), count(t, b)]);
  if (count(trays, a) === 0 || count(trays, b) === 0) return null;
  const isBlocked = blocks.length > 1 && trays.every((t) => t.block !== '') && blocks.every((n) => n.every((x) => x > 0));
  return leastPOf(isBlocked ? { kind: 'blocked', blocks } : { kind: 'unblocked', trays: [count(trays, a), count(trays, b)] }).permPMin;
}

/** Two arms over all their trays; of too many assignments no p is worked out, the interval stands. */
function twoOf(arms: readonly [TrialArm, TrialArm]): Omit<Found, 'arm'> {
  const sizes = arms.map((a) => trayMeans(a).length);
  if (sizes.some((n) => n === 0)) return { diff: null, lo: null, hi: null, p: null, leastP: null };
  if (assignments(sizes) > MOST_ASSIGNMENTS) {
    const [a, b] = arms.map((x) => trayMeans(x).map((t) => t.mean)) as [number[], number[]];
    const w = welch(a, b);
    const mean = (v: readonly number[]) => v.reduce((x, y) => x + y, 0) / v.length;
    return { diff: mean(b) - mean(a), lo: w?.lo ?? null, hi: w?.hi ?? null, p: null, leastP: 1 / assignments(sizes) };
  }
  const t = compareTwoArms(arms);
  return { diff: t.diff, lo: t.welchLo, hi: t.welchHi, p: t.permP, leastP: t.permPMin };
}

function sharesOf(trial: Trial, sizes: readonly number[]): Pick<TrialResult, 'found' | 'status'> {
  const counted = trial.arms.slice(0, 2).map((a) => ({
    id: a.id,
    trays: trial.trays
      .filter((t) => t.arm === a.id && t.sown !== null && t.values[0] != null)
      .map((t) => ({ id: t.code, x: Math.min(t.sown!, Math.max(0, Math.round(t.values[0]!))), n: t.sown! })),
  }));
  if (counted.some((a) => a.trays.length === 0) || assignments(counted.map((a) => a.trays.length)) > MOST_ASSIGNMENTS)
    return { found: [{ arm: 'B', diff: null, lo: null, hi: null, p: null, leastP: null }], status: 'no_data' };
  const s = compareTrayShares([counted[0]!, counted[1]!]);
  return {
    found: [{ arm: 'B', diff: s.diff, lo: s.welchLo, hi: s.welchHi, p: s.permP, leastP: s.permPMin }],
    status: statusOf(sizes, s.permPMin ?? 1),
  };
}

function statusOf(sizes: readonly number[], leastP: number): TrialResult['status'] {
  if (sizes.some((n) => n === 0)) return 'no_data';
  if (sizes.some((n) => n < 2)) return 'difference_only';
  return leastP > 0.05 ? 'interval_only' : 'ok';
}
