/** Why a reading may be far from what falls there. */
export type Why =
  | 'range-reads-low'
  | 'range-reads-high'
  | 'full-scale'
  | 'foot-candles-read-as-lux'
  | 'lux-read-as-foot-candles'
  | 'lux-read-as-umol'
  | 'umol-read-as-lux'
  | 'daylight'
  | 'shaded-or-tilted'
  | 'touching-the-lamp'
  | 'on-the-shelf'
  | 'other-height'
  | 'lamp-unlit'
  | 'other-tier'
  | 'dimmed-or-old';

/** Something that may have gone wrong with a reading, and what it would do to it. */
export interface ErrorHypothesis {
  readonly why: Why;
  /** ln(what was read / what falls there) if so, and its spread beyond that of honest readings. */
  readonly shift: number;
  readonly spread: number;
  /** How often it happens, among all readings. */
  readonly prior: number;
  /** By how much the shown value would have to be multiplied to be right; null when nothing puts it right. */
  readonly multiply: number | null;
}

/** One likely reason. */
export interface Suspicion {
  readonly why: Why;
  /** By how much the shown value would have to be multiplied, if a mere slip; null when nothing puts it right. */
  readonly multiply: number | null;
  /** Its probability, 0–1, among all reasons, an honest reading included where that was weighed. */
  readonly weight: number;
}

/** A reading weighed: how likely it is honest, and otherwise why not, the likeliest first. */
export interface WeighedReading {
  readonly honest: number;
  readonly suspicions: readonly Suspicion[];
}

const bell = (off: number, spread: number) => Math.exp(-0.5 * (off / spread) ** 2) / (spread * Math.sqrt(2 * Math.PI));

/** Something nobody thought of: anywhere between a thousandth and a thousand times, this often. */
const ANYTHING = { prior: 0.01, density: 1 / (2 * Math.log(1000)) };

/**
 * Weighs what may have gone wrong with a reading against its being honest, by Bayes' rule.
 *
 * @param residual  ln(read / expected)
 * @param sd        standard deviation of ln of an honest reading about what is expected, > 0
 */
export function weighReading(residual: number, sd: number, hypotheses: readonly ErrorHypothesis[]): WeighedReading {
  const priors = hypotheses.reduce((sum, s) => sum + s.prior, ANYTHING.prior);
  const honest = Math.max(0.5, 1 - priors) * bell(residual, sd);
  const slipped = hypotheses.map((s) => s.prior * bell(residual - s.shift, Math.hypot(sd, s.spread)));
  const whole = slipped.reduce((a, b) => a + b, honest + ANYTHING.prior * ANYTHING.density);
  const suspicions = hypotheses
    .map(({ why, multiply }, i) => ({ why, multiply, weight: slipped[i]! / whole }))
    .sort((a, b) => b.weight - a.weight);
  return { honest: honest / whole, suspicions };
}
