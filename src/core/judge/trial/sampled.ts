import { mulberry } from '../../units/mulberry';
import { mean, sum } from './moments';

/** So many assignments are drawn where there are too many to look at all: p is then known within 0.2 percentage points at 0.05. */
export const DRAWS = 100_000;

/** The same draws for the same trial, whenever it is looked at. */
const SEED = 1935;

/**
 * Blocks of two arms: |weighted difference| over ways to deal out within each block, drawn by chance; one block is a trial over all its trays.
 * The observed assignment counts as one of the draws, so that p is never 0 and never too small. Phipson & Smyth 2010; Edgington & Onghena 2007.
 *
 * @param blocks  each with at least one tray of either arm
 * @returns p, within ±2 √(p (1 − p) / draws)
 */
export function drawnP(blocks: readonly { readonly a: readonly number[]; readonly b: readonly number[] }[], draws = DRAWS): number {
  const random = mulberry(SEED);
  const weights = blocks.map(({ a, b }) => (a.length * b.length) / (a.length + b.length));
  const total = sum(weights);
  const pools = blocks.map(({ a, b }) => Float64Array.from([...a, ...b]));
  const sums = pools.map((pool) => pool.reduce((x, y) => x + y, 0));
  const observed = Math.abs(sum(blocks.map(({ a, b }, i) => (weights[i]! / total) * (mean(b)! - mean(a)!))));
  const slack = 1e-9 * Math.max(1, ...pools.map((pool) => Math.max(...pool.map(Math.abs))));
  let asLarge = 1;
  for (let draw = 0; draw < draws; draw++) {
    let difference = 0;
    for (let i = 0; i < pools.length; i++) {
      const pool = pools[i]!;
      const size = blocks[i]!.a.length;
      // The first so many of a shuffle are an arm; what the last draw left is as good a start as any (Fisher & Yates 1938).
      let ofA = 0;
      for (let k = 0; k < size; k++) {
        const j = k + Math.floor(random() * (pool.length - k));
        const taken = pool[j]!;
        pool[j] = pool[k]!;
        pool[k] = taken;
        ofA += taken;
      }
      difference += (weights[i]! / total) * ((sums[i]! - ofA) / (pool.length - size) - ofA / size);
    }
    if (Math.abs(difference) >= observed - slack) asLarge++;
  }
  return asLarge / (draws + 1);
}
