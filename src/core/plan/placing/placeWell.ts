import { placeExactly, statesOf } from './placeExactly';
import { demandOf, type PlacingAsked } from './Placing';
import { placeQuickly, type ScoredPlacing, type Search } from './placeQuickly';

/** A placing, and whether nothing better exists. */
export type PlacedWell = ScoredPlacing & { readonly proven: boolean };

/** As many combinations of one week as are gone through while somebody waits. */
const AT_ONCE = 60_000;

/** The best placing where everything can be gone through at once, else a good one; all in their band is never beaten. */
export function placeWell(asked: PlacingAsked, search: Search): PlacedWell {
  if (statesOf(asked) <= AT_ONCE) {
    const best = placeExactly(asked);
    if (best) return { ...best, proven: true };
  }
  const quick = placeQuickly(asked, search);
  return { ...quick, proven: quick.inBand === demandOf(asked) && quick.moves === 0 };
}
