import type { Ppf } from '../../units/quantities';

/** One figure that a box gives of a lamp's light, as photons. */
export interface PhotonClaim {
  readonly what: 'lumens' | 'ppf' | 'efficacy' | 'ppfd';
  readonly ppf: Ppf;
}

/** Two figures of one box that can't both be right. */
export interface Contradiction {
  readonly higher: PhotonClaim['what'];
  readonly lower: PhotonClaim['what'];
  /** How many times more light the higher one stands for. */
  readonly times: number;
}

/** Figures of one lamp may honestly differ by this much: roundings, and lumens made into photons. */
const HONEST = 1.15; // our estimate, after the spread of lux per µmol within a name

/** Each pair of figures that contradict each other, the worst first. */
export function contradictions(claims: readonly PhotonClaim[]): readonly Contradiction[] {
  return claims
    .flatMap((a, i) => claims.slice(i + 1).map((b) => (a.ppf >= b.ppf ? { high: a, low: b } : { high: b, low: a })))
    .map(({ high, low }) => ({ higher: high.what, lower: low.what, times: high.ppf / low.ppf }))
    .filter((c) => c.times > HONEST)
    .sort((a, b) => b.times - a.times);
}
