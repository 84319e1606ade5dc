import type { Trial } from '../../site/trial/Trial';
import { leastSquares } from '../../judge/trial/leastSquares';
import { sd } from '../../judge/trial/moments';
import { detectable, detectableInBlocks } from '../../judge/trial/power';
import { comparedBlocksOf, countsInBlocks } from './comparedBlocksOf';
import { summariesOf, type ArmSummary } from './resultOf';

/** How small a difference a trial would notice, in the unit of what is measured; of a count as a share. */
export interface Noticeable {
  /** Scatter of its trays so far: within arms, and within blocks where it is compared by them. */
  readonly scatter: number;
  readonly isBlocked: boolean;
  /** Would be noticed four times in five. */
  readonly difference: number;
  /** With one tray more an arm, or one more block with a tray of each. */
  readonly withMore: number;
}

/** By the scatter of what was measured so far; null where that cannot be told. */
export function noticeableOf(trial: Trial): Noticeable | null {
  const blocks = comparedBlocksOf(trial);
  const scatter = scatterOf(summariesOf(trial), blocks);
  if (scatter === null) return null;
  const [difference, withMore] = [smallestNoticed(trial, scatter), smallestNoticed(trial, scatter, 1)];
  return difference === null || withMore === null ? null : { scatter, isBlocked: blocks !== null, difference, withMore };
}

/**
 * The smallest difference between the first arm and any other that would be noticed four times in five, at 0.05 for all of them together
 * (Bonferroni, which is the first step of Holm's).
 *
 * @param scatter  standard deviation of trays within arms (and blocks), in the unit of what is measured
 * @param more     trays more to each arm, each with a block of its own where there are blocks
 * @returns null where there are too few trays
 */
export function smallestNoticed(trial: Pick<Trial, 'trays' | 'arms'>, scatter: number, more = 0): number | null {
  const { trays, arms } = trial;
  const blocks = comparedBlocksOf(trial);
  const [first, ...others] = arms.map((arm) => arm.id);
  const alpha = 0.05 / others.length;
  const count = (arm: string) => trays.filter((t) => t.arm === arm).length;
  const found = others.map((other) => {
    if (!blocks) return detectable(count(first!) + more, count(other) + more, { between: scatter, within: 0, plants: 1 }, POWER, alpha).mdd;
    const laid = countsInBlocks(trial, blocks, first!, other);
    return detectableInBlocks([...laid, ...Array.from({ length: more }, () => [1, 1] as const)], scatter, POWER, alpha).mdd;
  });
  return found.includes(null) ? null : Math.max(...(found as number[]));
}

const POWER = 0.8;
/** Squares that are nothing but the last figures of a computer, as a share of all. */
const ROUNDING = 1e-20;

/** Within arms; within blocks what is left when arms and blocks are taken out. */
function scatterOf(arms: readonly ArmSummary[], blocks: readonly string[] | null): number | null {
  if (!blocks) {
    const each = arms.map((s) => sd(s.trays.map((t) => t.mean))).filter((s): s is number => s !== null && s > 0);
    return each.length > 0 ? Math.sqrt(each.reduce((sum, s) => sum + s * s, 0) / each.length) : null;
  }
  const all = arms.flatMap((arm, i) => arm.trays.map((t) => ({ arm: i, block: t.block, mean: t.mean })));
  const used = blocks.filter((b) => all.some((t) => t.block === b));
  const df = all.length - used.length - (arms.length - 1);
  const fit = leastSquares(
    all.map((t) => [...used.map((b) => Number(t.block === b)), ...arms.slice(1).map((_, i) => Number(t.arm === i + 1))]),
    all.map((t) => t.mean),
  );
  const isMore = fit !== null && fit.sse > ROUNDING * all.reduce((sum, t) => sum + t.mean ** 2, 0);
  return isMore && df > 0 ? Math.sqrt(fit.sse / df) : null;
}
