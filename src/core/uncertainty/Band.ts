/** One reason why a number may be off: relative half-widths of a band that holds the truth about nine times in ten. */
export interface Doubt {
  /** Stable name; the words are chosen in `ui/`. */
  readonly why:
    'box-label' | 'lumens-to-photons' | 'age' | 'beam-shape' | 'distance' | 'sides' | 'meter' | 'meter-conversion' | 'few-readings';
  readonly low: number;
  readonly high: number;
  /** What the figure rests on. */
  readonly source: string;
}

/** A number with the band in which the truth is expected about nine times in ten. */
export interface Banded {
  readonly value: number;
  readonly low: number;
  readonly high: number;
}

/**
 * Puts independent doubts together: root of the sum of squares, each side for itself.
 *
 * @param doubts  each low in [0, 1), each high ≥ 0
 * Source: JCGM 100:2008 (GUM), 5.1.2, for independent relative contributions.
 */
export function combine(doubts: readonly Doubt[]): { low: number; high: number } {
  const rss = (side: 'low' | 'high') => Math.sqrt(doubts.reduce((sum, d) => sum + d[side] ** 2, 0));
  // Large downward doubts are kept from reaching zero: a lamp that is on gives something.
  return { low: Math.min(0.95, rss('low')), high: rss('high') };
}

export function banded(value: number, doubts: readonly Doubt[]): Banded {
  const { low, high } = combine(doubts);
  return { value, low: value * (1 - low), high: value * (1 + high) };
}
