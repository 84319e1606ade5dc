import type { SpectrumNote } from '../library/spectrumLibrary';
import { LUX_PER_FOOT_CANDLE } from '../units/light';
import type { Compared } from './calibrate';

/** Why a reading may be far from anything its lamp can give. */
export type Why =
  | 'range-reads-low'
  | 'range-reads-high'
  | 'foot-candles-read-as-lux'
  | 'lux-read-as-foot-candles'
  | 'lux-read-as-umol'
  | 'umol-read-as-lux'
  | 'daylight'
  | 'shaded-or-tilted'
  | 'touching-the-lamp'
  | 'dimmed-or-old';

export interface Suspicion {
  readonly why: Why;
  /** By how much the shown value would have to be multiplied, if a mere slip; null when nothing puts it right. */
  readonly multiply: number | null;
  /** Weight among the suspicions, 0–1; they add up to 1. */
  readonly weight: number;
}

/**
 * How far from its box a lamp may honestly be. Above: cheap boxes understate little, and pale walls may add a third.
 * Below: overstated lumens and an old lamp together may leave a third. Our estimate, after the CALiPER reports.
 */
export const HONEST = { low: 0.35, high: 1.8 } as const;

/** Spread of ln(ratio) about each suspicion: a lamp that is itself off by a third. */
const SPREAD = 0.33;

/**
 * Asks whether a reading can be right, and if not, why.
 *
 * Each slip would make the reading wrong by a known factor; the slip whose factor, taken back, leaves the lamp nearest to
 * its box is the likeliest. Daylight, shade and touch have no factor and are weighed by how far off they usually are.
 *
 * @param honest  ratios of measured to nominal within which nothing is asked
 * @returns suspicions, the likeliest first; none when the reading is plausible
 */
export function question(
  { ratio, reading }: Compared,
  spectrum: SpectrumNote,
  honest: { low: number; high: number } = HONEST,
): Suspicion[] {
  if (ratio >= honest.low && ratio <= honest.high) return [];
  const f = spectrum.luxPerUmol;
  const c = LUX_PER_FOOT_CANDLE;
  const slips: { why: Why; multiply: number; prior: number }[] = [];
  if (reading.unit !== 'umol') {
    for (const power of [10, 100]) {
      slips.push({ why: 'range-reads-low', multiply: power, prior: 1 }, { why: 'range-reads-high', multiply: 1 / power, prior: 0.7 });
    }
    if (reading.unit === 'lx')
      slips.push({ why: 'foot-candles-read-as-lux', multiply: c, prior: 0.8 }, { why: 'umol-read-as-lux', multiply: f, prior: 0.3 });
    if (reading.unit === 'fc') slips.push({ why: 'lux-read-as-foot-candles', multiply: 1 / c, prior: 0.6 });
  } else slips.push({ why: 'lux-read-as-umol', multiply: 1 / f, prior: 1 });
  const bell = (off: number, spread: number) => Math.exp(-0.5 * (off / spread) ** 2);
  const found: Suspicion[] = slips.map(({ why, multiply, prior }) => ({
    why,
    multiply,
    weight: prior * bell(Math.log(ratio * multiply), SPREAD),
  }));
  const off = Math.log(ratio);
  if (off > 0) found.push({ why: 'daylight', multiply: null, weight: 0.6 * bell(off - Math.log(3), 0.6) + 0.02 });
  else {
    const near = reading.distance < 0.03;
    found.push({ why: 'touching-the-lamp', multiply: null, weight: near ? 0.9 : 0 });
    found.push({ why: 'shaded-or-tilted', multiply: null, weight: 0.5 * bell(off + Math.log(4), 0.6) + 0.02 });
    found.push({ why: 'dimmed-or-old', multiply: null, weight: 0.4 * bell(off + Math.log(3.2), 0.5) + 0.01 });
  }
  const whole = found.reduce((sum, s) => sum + s.weight, 0);
  return found
    .map((s) => ({ ...s, weight: s.weight / whole }))
    .filter((s) => s.weight >= 0.05)
    .sort((a, b) => b.weight - a.weight);
}
