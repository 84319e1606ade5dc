import type { Dli } from '../../units/quantities';

/**
 * How much more plants grow for one per cent more light while they have less than suits them best, as a range.
 * Source: Marcelis et al. 2006, Acta Horticulturae 711: 97–104 (vegetables 0.7–1 %, pot plants and cut flowers 0.5–1 %).
 */
const GROWTH_PER_LIGHT = { low: 0.5, high: 1 } as const;

/**
 * Days less that plants stand on the shelf until they are as large, with more light; an estimate, since growth alone is looked at.
 *
 * @param days    that they stand there now
 * @param from    dose now, > 0; light beyond `best` counts as `best`
 */
export function daysSaved(days: number, from: Dli, to: Dli, best: Dli): { readonly low: number; readonly high: number } {
  const more = Math.max(0, Math.min(to, best) - from) / from;
  const saved = (rate: number) => days * (1 - 1 / (1 + rate * more));
  return { low: saved(GROWTH_PER_LIGHT.low), high: saved(GROWTH_PER_LIGHT.high) };
}
