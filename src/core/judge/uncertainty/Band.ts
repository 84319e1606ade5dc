/** One reason why a number may be off: relative half-widths of a band that holds the truth about nine times in ten. */
export interface Uncertainty {
  /** Stable name; the words are chosen in `ui/`. */
  readonly why:
    | 'box-label'
    | 'lumens-to-photons'
    | 'age'
    | 'beam-shape'
    | 'distance'
    | 'sides'
    | 'neighbours'
    | 'meter'
    | 'meter-conversion'
    | 'few-readings'
    | 'daylight';
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
 * Puts independent doubts together: root of the sum of squares of their logarithms, each side for itself, since each is a factor.
 *
 * @param doubts  each low in [0, 1), each high ≥ 0
 * Source: JCGM 100:2008 (GUM), 5.1.2, for independent contributions, here to the logarithm of the light.
 */
export function combine(uncertainties: readonly Pick<Uncertainty, 'low' | 'high'>[]): { low: number; high: number } {
  const rss = (of: (d: Pick<Uncertainty, 'low' | 'high'>) => number) => Math.sqrt(uncertainties.reduce((sum, d) => sum + of(d) ** 2, 0));
  return { low: 1 - Math.exp(-rss((d) => Math.log(Math.max(1e-3, 1 - d.low)))), high: Math.exp(rss((d) => Math.log(1 + d.high))) - 1 };
}
