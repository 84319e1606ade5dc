import { kindOf, type Move } from './Move';

/** How much better something must be to be worth the words: as a loss. */
export const WORTH = 0.02; // our choice
/** So much of what a part of some moves leaves wrong the rest of them has to mend. */
const PART_OF_REST = 0.1; // our choice
/** What is mended by so much is worth another move, however much else stays wrong: a limit that is kept then is far more. */
const ALWAYS_WORTH = 0.5; // our choice

/**
 * Offers without those of which a part does about as well: each move is worth its words only where it takes away some of what the others
 * leave wrong.
 *
 * @param lossOf  what stays wrong with an offer, as `lossOf` has it
 */
export function withoutIdleMoves<T extends { readonly moves: readonly Move[] }>(
  offers: readonly T[],
  lossOf: (offer: T) => number,
): readonly T[] {
  const doesAsWell = (part: T, whole: T) =>
    lossOf(part) - lossOf(whole) <= Math.min(ALWAYS_WORTH, Math.max(WORTH, PART_OF_REST * lossOf(part)));
  return offers.filter((whole) => {
    const kinds = new Set(whole.moves.map(kindOf));
    const isPart = ({ moves }: T) => moves.length < whole.moves.length && moves.every((m) => kinds.has(kindOf(m)));
    return !offers.some((o) => isPart(o) && doesAsWell(o, whole));
  });
}
