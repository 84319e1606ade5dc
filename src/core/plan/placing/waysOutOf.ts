import { mostValue } from './placeExactly';
import { demandOf, type PlacedNeed, type PlacingAsked, type PlacingTier } from './Placing';

/** Whether every tray can be in its band in every week. Weeks don't bind each other there, so each is looked at by itself. */
export const allInBand = (asked: PlacingAsked): boolean => {
  const weeks = asked.needs[0]?.length ?? 0;
  let sum = 0;
  for (let t = 0; t < weeks; t++) sum += mostValue(asked, t);
  return sum === demandOf(asked);
};

const NOTHING: PlacedNeed = { trays: 0, dliMin: 0, dliMax: 0, height_cm: 0 };

/** Everything as it is, one batch so many weeks later. */
export const laterBy = (asked: PlacingAsked, batch: number, weeks: number): PlacingAsked => {
  const blank = Array.from({ length: weeks }, () => NOTHING);
  return { ...asked, needs: asked.needs.map((row, b) => (b === batch ? [...blank, ...row] : [...row, ...blank])) };
};

/** The fewest weeks by which sowing one batch later lets every tray be in its band, and which batches do; null: none within the most. */
export function smallestDelay(
  asked: PlacingAsked,
  mostWeeks: number,
): { readonly weeks: number; readonly batches: readonly number[] } | null {
  for (let weeks = 1; weeks <= mostWeeks; weeks++) {
    const batches = [...asked.needs.keys()].filter((b) => allInBand(laterBy(asked, b, weeks)));
    if (batches.length > 0) return { weeks, batches };
  }
  return null;
}

export const withPlacingTier = (asked: PlacingAsked, tier: PlacingTier): PlacingAsked => ({ ...asked, tiers: [...asked.tiers, tier] });
