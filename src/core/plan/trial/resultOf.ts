import type { Trial } from '../../site/trial/Trial';
import { asShares } from './asShares';
import { comparedBlocksOf, countsInBlocks } from './comparedBlocksOf';
import { compareBlocks, type Block } from '../../judge/trial/blocks';
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
  readonly method: 'trays' | 'pairs' | 'blocks' | 'many' | 'many-blocks';
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
  /** Trays that have values but no partner in their block, and are held against nothing. */
  readonly alone: readonly string[];
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
 * Of a block that lost an arm nothing of that arm is compared, unless fewer than two blocks would be left.
 */
export function resultOf(asked: Trial): TrialResult {
  const trial = asShares(asked);
  const arms = armsOf(trial);
  const summaries = summariesOf(asked);
  const missing = asked.trays.reduce((n, t) => n + t.values.filter((v) => v === null).length, 0);
  const plants = arms.some((a) => a.trays.some((t) => t.values.length > 1));
  const blocks = comparedBlocksOf(trial);
  const [first, ...others] = summaries;
  const within = others.map((other) =>
    (blocks ?? []).map((b) => inBlock(b, first!, other)).filter((w) => w.a.length > 0 && w.b.length > 0),
  );
  const isBlocked = within.every((w) => w.length > 1);
  const twos = isBlocked ? within.map(twoWithin) : arms.slice(1).map((arm) => twoOf([arms[0]!, arm]));
  const sizes = isBlocked
    ? within.flatMap((w) => [w.flatMap((x) => x.a).length, w.flatMap((x) => x.b).length])
    : summaries.map((s) => s.trays.length);
  const base = {
    arms: summaries,
    isShare: trial.outcome.kind === 'counted',
    farOff: farOff(arms),
    missing,
    likeness: plants ? likenessWithin(arms).icc : null,
    alone: isBlocked ? aloneIn(summaries) : [],
  };
  if (arms.length > 2) {
    const adjusted = holm(twos.map((t) => t.p));
    const least = leastAdjusted(twos.map((t) => t.leastP));
    const found = twos.map((two, i): Found => ({ arm: others[i]!.id, ...two, p: adjusted[i]!, leastP: two.leastP && least }));
    return { ...base, method: isBlocked ? 'many-blocks' : 'many', found, status: statusOf(sizes, least), naive: null };
  }
  const [two] = twos;
  const naive = plants ? comparePlants([arms[0]!, arms[1]!]) : null;
  const isPaired = within[0]!.every((w) => w.a.length === 1 && w.b.length === 1);
  return {
    ...base,
    method: !isBlocked ? 'trays' : isPaired ? 'pairs' : 'blocks',
    found: [{ arm: others[0]!.id, ...two! }],
    status: statusOf(sizes, two!.leastP ?? 1),
    naive: naive && { p: naive.naiveP, lo: naive.naiveLo, hi: naive.naiveHi },
  };
}

/** The trays of two arms in a block, by their means. */
function inBlock(block: string, a: ArmSummary, b: ArmSummary): Block {
  const of = (arm: ArmSummary) => arm.trays.filter((t) => t.block === block).map((t) => t.mean);
  return { a: of(a), b: of(b) };
}

/** Trays that are held against no other: of the first arm where no other has values in their block, of the others where the first has none. */
function aloneIn([first, ...others]: readonly ArmSummary[]): string[] {
  const isIn = (arms: readonly ArmSummary[], block: string) => arms.some((arm) => arm.trays.some((t) => t.block === block));
  return [
    ...first!.trays.filter((t) => !isIn(others, t.block)),
    ...others.flatMap((arm) => arm.trays.filter((t) => !isIn([first!], t.block))),
  ].map((t) => t.code);
}

/** The smallest p that a trial can give as its trays are laid out, whatever they show; null while an arm is empty. */
export function leastPOfTrial(trial: Pick<Trial, 'trays' | 'arms'>): number | null {
  const { trays, arms } = trial;
  const count = (arm: string) => trays.filter((t) => t.arm === arm).length;
  const [first, ...others] = arms.map((arm) => arm.id);
  if (arms.some((arm) => count(arm.id) === 0)) return null;
  const blocks = comparedBlocksOf(trial);
  const least = others.map((other) =>
    blocks
      ? leastPOf({ kind: 'blocked', blocks: countsInBlocks(trial, blocks, first!, other) }).permPMin
      : leastP(count(first!), count(other)),
  );
  return leastAdjusted(least);
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

/** Two arms within blocks that hold trays of both. */
function twoWithin(blocks: readonly Block[]): Omit<Found, 'arm'> {
  const isFew = blocks.reduce((n, w) => n * assignments([w.a.length, w.b.length]), 1) <= MOST_ASSIGNMENTS;
  const w = compareBlocks(blocks, isFew);
  return { diff: w.diff, lo: w.tLo, hi: w.tHi, p: isFew ? w.permP : drawnP(blocks), drawn: isFew ? null : DRAWS, leastP: w.permPMin };
}

/** The smallest p that any of several comparisons can have once it is adjusted: the first is multiplied by their number, no later one is smaller. */
const leastAdjusted = (least: readonly (number | null)[]): number => Math.min(1, least.length * Math.min(...least.map((p) => p ?? 1)));

function statusOf(sizes: readonly number[], leastP: number): TrialResult['status'] {
  if (sizes.some((n) => n === 0)) return 'no_data';
  if (sizes.some((n) => n < 2)) return 'difference_only';
  return leastP > 0.05 ? 'interval_only' : 'ok';
}
