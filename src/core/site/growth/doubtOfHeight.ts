import type { Crop } from '../../things/crop/Crop';
import type { Metres } from '../../units/quantities';
import type { Day } from '../../units/day';

/** Why a height that was typed may be a slip. */
export type HeightDoubt = 'dated-ahead' | 'taller-than-its-kind';

/** Plants raised indoors grow to twice the height of their table at most: our estimate. */
const MOST_TIMES = 2;

/** Asks whether a measured height can be right; null: it can. */
export function doubtOfHeight({ heightByDay }: Pick<Crop, 'heightByDay'>, height: Metres, day: Day, today: Day): HeightDoubt | null {
  if (day > today) return 'dated-ahead';
  const tallest = Math.max(0, ...heightByDay.map((h) => h.height));
  return tallest > 0 && height > MOST_TIMES * tallest ? 'taller-than-its-kind' : null;
}
