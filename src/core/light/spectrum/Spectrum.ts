/** Nanometres. */
export type Nanometres = number;

/** Relative power of a light for each nanometre, at even steps; between them by straight lines, beyond them nothing. */
export interface Spectrum {
  readonly start: Nanometres;
  readonly step: Nanometres;
  readonly power: readonly number[];
}

/** Relative power at a wavelength. */
export function powerAt({ start, step, power }: Spectrum, nm: Nanometres): number {
  const at = (nm - start) / step;
  if (at < 0 || at > power.length - 1) return 0;
  const i = Math.min(power.length - 2, Math.floor(at));
  if (i < 0) return power[0]!;
  return power[i]! + (power[i + 1]! - power[i]!) * (at - i);
}

/** A spectrum from a formula, every 5 nm from 380 to 800 unless said otherwise. */
export function spectrumFrom(power: (nm: Nanometres) => number, start = 380, end = 800, step = 5): Spectrum {
  const n = Math.round((end - start) / step) + 1;
  return { start, step, power: Array.from({ length: n }, (_, i) => power(start + i * step)) };
}

/** Less of its power between 400 and 700 nm is no light for plants, and figures for each µmol lose their meaning. */
const LEAST_SHARE = 0.001; // ours

/** Whether a spectrum has next to nothing between 400 and 700 nm. */
export function isDark({ start, step, power }: Spectrum): boolean {
  const all = power.reduce((sum, p) => sum + p, 0);
  const used = power.reduce((sum, p, i) => sum + (start + i * step > 400 && start + i * step < 700 ? p : 0), 0);
  return !(used > LEAST_SHARE * all);
}
