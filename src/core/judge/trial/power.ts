import { ncpFor, tPower } from './distributions';
import { latinCount, latinLeast } from './blocks';
import { assignments } from './exact';

/** How much trays of one arm scatter, and plants within a tray, in the unit of what is measured. */
export interface Scatter {
  readonly between: number;
  readonly within: number;
  readonly plants: number;
}

/** Scatter of a tray's mean. */
export const trayScatter = ({ between, within, plants }: Scatter) => Math.sqrt(between ** 2 + within ** 2 / plants);

const root = (nA: number, nB: number) => Math.sqrt(1 / nA + 1 / nB);

/** Chance of noticing a true difference, by the pooled t test. Cohen 1988. */
export function statisticalPowerOf(difference: number, nA: number, nB: number, scatter: number, alpha = 0.05): number | null {
  return nA < 2 || nB < 2 ? null : tPower(difference / (scatter * root(nA, nB)), nA + nB - 2, alpha);
}

/** The smallest difference that would be noticed with a chance. Donner & Klar 2000; Murray 1998. */
export function detectable(nA: number, nB: number, scatter: Scatter, power = 0.8, alpha = 0.05) {
  const tau = trayScatter(scatter);
  const { between, within, plants } = scatter;
  const icc = between ** 2 + within ** 2 === 0 ? null : between ** 2 / (between ** 2 + within ** 2);
  const base = { sdTrayMean: tau, icc, deff: icc === null ? null : 1 + (plants - 1) * icc };
  if (nA < 2 || nB < 2) return { ...base, df: null, mdd: null, mddEndlessPlants: null, status: 'no_test' as const };
  const df = nA + nB - 2;
  const times = ncpFor(power, df, alpha) * root(nA, nB);
  return { ...base, df, mdd: times * tau, mddEndlessPlants: times * between, status: 'ok' as const };
}

/** Smallest n against n whose exact test can fall to 0.05. */
export const LEAST_TRAYS = 4;

/** Trays per arm for a chance of noticing a difference. */
export function traysNeeded(difference: number, scatter: Scatter, { power = 0.8, alpha = 0.05, most = 200 } = {}) {
  const tau = trayScatter(scatter);
  let n = 2;
  while (n <= most && statisticalPowerOf(difference, n, n, tau, alpha)! < power) n++;
  const found = n <= most ? n : null;
  return {
    sdTrayMean: tau,
    traysPerArm: found,
    powerThere: found === null ? null : statisticalPowerOf(difference, found, found, tau, alpha),
    powerOneLess: found === null || found === 2 ? null : statisticalPowerOf(difference, found - 1, found - 1, tau, alpha),
    traysPerArmPermutation: LEAST_TRAYS,
    traysRecommended: found === null ? null : Math.max(found, LEAST_TRAYS),
  };
}

/** The same for pairs, by the scatter of their differences. */
export function detectableInPairs(pairs: number, scatter: number, power = 0.8, alpha = 0.05) {
  if (pairs < 2) return { mdd: null, status: 'no_test' as const };
  return { mdd: (ncpFor(power, pairs - 1, alpha) * scatter) / Math.sqrt(pairs), status: 'ok' as const };
}

/**
 * The same for two arms within blocks, by the scatter of trays within blocks and arms. Cochran & Cox 1957.
 *
 * @param blocks  trays of either arm in each
 */
export function detectableInBlocks(blocks: readonly (readonly [number, number])[], scatter: number, power = 0.8, alpha = 0.05) {
  const used = blocks.filter(([a, b]) => a > 0 && b > 0);
  const df = used.reduce((n, [a, b]) => n + a + b, 0) - used.length - 1;
  if (df < 1) return { mdd: null, status: 'no_test' as const };
  const weight = used.reduce((sum, [a, b]) => sum + (a * b) / (a + b), 0);
  return { mdd: (ncpFor(power, df, alpha) * scatter) / Math.sqrt(weight), status: 'ok' as const };
}

export type Layout =
  | { readonly kind: 'unblocked'; readonly trays: readonly number[] }
  | { readonly kind: 'blocked'; readonly blocks: readonly (readonly number[])[] }
  | { readonly kind: 'latin'; readonly order: number };

/** The smallest p that so few trays allow, whatever they show. */
export function leastPOf(layout: Layout) {
  const [permCount, permPMin] = countAndLeast(layout);
  return { permCount, permPMin, canReach05: permPMin <= 0.05, status: permPMin >= 1 ? ('no_test' as const) : ('ok' as const) };
}

function countAndLeast(layout: Layout): [number, number] {
  if (layout.kind === 'latin') return [latinCount(layout.order), latinLeast(layout.order)];
  if (layout.kind === 'blocked') {
    const used = layout.blocks.filter((b) => b.every((n) => n > 0));
    const count = used.reduce((c, b) => c * assignments(b), 1);
    return [count, Math.min(1, (used.every((b) => b.every((n) => n === b[0])) ? 2 : 1) / count)];
  }
  const count = assignments(layout.trays);
  const alike = new Map<number, number>();
  for (const n of layout.trays) alike.set(n, (alike.get(n) ?? 0) + 1);
  const factorial = (n: number): number => (n <= 1 ? 1 : n * factorial(n - 1));
  return [count, Math.min(1, [...alike.values()].reduce((m, n) => m * factorial(n), 1) / count)];
}
