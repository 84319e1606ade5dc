import type { Trial } from '../../site/trial/Trial';
import { asShares } from './asShares';
import { compareBlocks } from '../../judge/trial/blocks';
import { assignments } from '../../judge/trial/exact';
import { welch } from '../../judge/trial/welch';
import { leastPOf } from '../../judge/trial/power';
import { holm } from '../../judge/trial/manyArms';
import { mean } from '../../judge/trial/moments';
import { drawnP, DRAWS } from '../../judge/trial/sampled';
import { comparePlants, compareTwoArms, leastP, farOff, likenessWithin, trayMeans, type TrialArm } from '../../judge/trial/twoArms';

/** More assignments than this are not dealt out one by one: some of them are drawn by chance. */
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
  /** Over all ways in which chance could have dealt, or over so many as were drawn; null where there are too few trays. */
  readonly p: number | null;
  /** How many ways were drawn by chance, where there are too many to look at all; null: all were looked at. */
  readonly drawn: number | null;
  /** No smaller p can come out with so few trays. */
  readonly leastP: number | null;
}

export interface TrialResult {
  readonly method: 'trays' | 'pairs' | 'blocks' | 'many';
  /** What was counted is told as its share of what was sown, 0 … 1. */
  readonly isShare: boolean;
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

/** The trays of each arm with their means; of a count those of its shares. */
export function summariesOf(asked: Trial): ArmSummary[] {
  const trial = asShares(asked);
  const block = new Map(trial.trays.map((t) => [t.code, t.block]));
  return armsOf(trial).map((arm, i): ArmSummary => {
    const trays = trayMeans(arm).map((t) => ({ code: t.id, block: block.get(t.id) ?? '', mean: t.mean, values: t.values }));
    return {
      id: arm.id,
      name: trial.arms[i]!.name,
      mean: trays.length > 0 ? trays.reduce((s, t) => s + t.mean, 0) / trays.length : null,
      trays,
    };
  });
}

/**
 * What a trial shows: trays are the units. Where every block holds one tray of each arm, they are compared as pairs; where blocks hold
 * several, within blocks; else over all. More than two arms are each held against the first, their p adjusted for being several.
 */
export function resultOf(asked: Trial): TrialResult {
  const trial = asShares(asked);
  const arms = armsOf(trial);
  const summaries = summariesOf(asked);
  const missing = asked.trays.reduce((n, t) => n + t.values.filter((v) => v === null).length, 0);
  const plants = arms.some((a) => a.trays.some((t) => t.values.length > 1));
  const base = {
    arms: summaries,
    isShare: trial.outcome.kind === 'counted',
    farOff: farOff(arms),
    missing,
    likeness: plants ? likenessWithin(arms).icc : null,
  };
  if (arms.length > 2) {
    const sizes = summaries.map((s) => s.trays.length);
    const twos = arms.slice(1).map((arm) => twoOf([arms[0]!, arm]));
    const adjusted = holm(twos.map((t) => t.p));
    const least = leastAdjusted(twos.map((t) => t.leastP));
    const found = twos.map((two, i): Found => ({ arm: summaries[i + 1]!.id, ...two, p: adjusted[i]!, leastP: two.leastP && least }));
    return { ...base, method: 'many', found, status: statusOf(sizes, least), naive: null };
  }
  const two = [arms[0]!, arms[1]!] as const;
  const naive = plants ? comparePlants(two) : null;
  const wrong = naive && { p: naive.naiveP, lo: naive.naiveLo, hi: naive.naiveHi };
  const sizes = summaries.map((s) => s.trays.length);
  const blocks = [...new Set(trial.trays.map((t) => t.block).filter((b) => b !== ''))];
  const within = blocks.map((b) => ({
    a: summaries[0]!.trays.filter((t) => t.block === b).map((t) => t.mean),
    b: summaries[1]!.trays.filter((t) => t.block === b).map((t) => t.mean),
  }));
  const isBlocked =
    blocks.length > 1 &&
    within.every((w) => w.a.length > 0 && w.b.length > 0) &&
    summaries.every((s) => s.trays.every((t) => t.block !== ''));
  if (isBlocked) {
    const isPaired = within.every((w) => w.a.length === 1 && w.b.length === 1);
    const count = within.reduce((n, w) => n * assignments([w.a.length, w.b.length]), 1);
    const isFew = count <= MOST_ASSIGNMENTS;
    const w = compareBlocks(within, isFew);
    return {
      ...base,
      method: isPaired ? 'pairs' : 'blocks',
      found: [
        {
          arm: 'B',
          diff: w.diff,
          lo: w.tLo,
          hi: w.tHi,
          p: isFew ? w.permP : drawnP(within),
          drawn: isFew ? null : DRAWS,
          leastP: w.permPMin,
        },
      ],
      status: statusOf(sizes, w.permPMin ?? 1),
      naive: wrong,
    };
  }
  const over = twoOf(two);
  return { ...base, method: 'trays', found: [{ arm: 'B', ...over }], status: statusOf(sizes, over.leastP ?? 1), naive: wrong };
}

/** The smallest p that a trial can give as its trays are laid out, whatever they show; null while an arm is empty. */
export function leastPOfTrial({ trays, arms }: Pick<Trial, 'trays' | 'arms'>): number | null {
  const [a, b] = [arms[0]!.id, arms[1]!.id];
  const count = (of: readonly Trial['trays'][number][], arm: string) => of.filter((t) => t.arm === arm).length;
  if (arms.length > 2) {
    const [first, ...others] = arms.map((arm) => count(trays, arm.id));
    return first === 0 || others.includes(0) ? null : leastAdjusted(others.map((n) => leastP(first!, n)));
  }
  const blocks = [...new Set(trays.map((t) => t.block))]
    .map((name) => trays.filter((t) => t.block === name))
    .map((t) => [count(t, a), count(t, b)]);
  if (count(trays, a) === 0 || count(trays, b) === 0) return null;
  const isBlocked = blocks.length > 1 && trays.every((t) => t.block !== '') && blocks.every((n) => n.every((x) => x > 0));
  return leastPOf(isBlocked ? { kind: 'blocked', blocks } : { kind: 'unblocked', trays: [count(trays, a), count(trays, b)] }).permPMin;
}

/** Two arms over all their trays. */
function twoOf(arms: readonly [TrialArm, TrialArm]): Omit<Found, 'arm'> {
  const [a, b] = arms.map((x) => trayMeans(x).map((t) => t.mean)) as [number[], number[]];
  if (a.length === 0 || b.length === 0) return { diff: null, lo: null, hi: null, p: null, drawn: null, leastP: null };
  if (assignments([a.length, b.length]) > MOST_ASSIGNMENTS) {
    const w = welch(a, b);
    const diff = mean(b)! - mean(a)!;
    return { diff, lo: w?.lo ?? null, hi: w?.hi ?? null, p: drawnP([{ a, b }]), drawn: DRAWS, leastP: leastP(a.length, b.length) };
  }
  const t = compareTwoArms(arms);
  return { diff: t.diff, lo: t.welchLo, hi: t.welchHi, p: t.permP, drawn: null, leastP: t.permPMin };
}

/** The smallest p that any of several comparisons can have once it is adjusted: the first is multiplied by their number, no later one is smaller. */
const leastAdjusted = (least: readonly (number | null)[]): number => Math.min(1, least.length * Math.min(...least.map((p) => p ?? 1)));

function statusOf(sizes: readonly number[], leastP: number): TrialResult['status'] {
  if (sizes.some((n) => n === 0)) return 'no_data';
  if (sizes.some((n) => n < 2)) return 'difference_only';
  return leastP > 0.05 ? 'interval_only' : 'ok';
}
