import type { Box } from '../emitters/boxOf';
import type { Share } from '../../units/quantities';
import type { Scene } from './Scene';
import { alongOf, AT_AN_END, screensIn, type Screen } from './visibility';

/** What all straight ways between two boxes let through, where it is the same for all of them; else null. */
export type CommonShare = (a: Box, b: Box) => Share | null;

/**
 * Makes out for whole boxes what stands between them: a lamp two tiers up shines through the whole of two shelves at every place of a
 * tray, so that no way has to be followed by itself.
 *
 * Error: none; where it can't be told from the corners of the boxes, or things may be in the way, it is null.
 */
export function commonShareOf({ rooms, obstructions }: Pick<Scene, 'rooms' | 'obstructions'>): CommonShare {
  const screens = screensIn(rooms);
  return (a, b) => {
    let share: Share | null = obstructions.length > 0 ? null : 1;
    for (const s of screens) {
      const passes = throughAll(s, a, b);
      if (passes === 0) return 0;
      share = passes === null || share === null ? null : share * passes;
    }
    return share;
  };
}

/** What a face lets through of every way between two boxes; null where some cross it and some don't. */
function throughAll(s: Screen, a: Box, b: Box): Share | null {
  const [low, high] = [Math.min(a.low[s.axis], b.low[s.axis]), Math.max(a.high[s.axis], b.high[s.axis])];
  if (high <= s.at || low >= s.at) return 1;
  const [i, j] = alongOf(s.axis);
  const [i0, i1] = [Math.min(a.low[i], b.low[i]), Math.max(a.high[i], b.high[i])];
  const [j0, j1] = [Math.min(a.low[j], b.low[j]), Math.max(a.high[j], b.high[j])];
  if (i1 < s.i0 || i0 > s.i1 || j1 < s.j0 || j0 > s.j1) return 1;
  if (!(i0 >= s.i0 && i1 <= s.i1 && j0 >= s.j0 && j1 <= s.j1)) return null;
  // Both well away from its plane, on either side of it.
  const clear = 2 * AT_AN_END * (high - low);
  const [below, above] = [s.at - clear, s.at + clear];
  const crossed = (a.high[s.axis] < below && b.low[s.axis] > above) || (b.high[s.axis] < below && a.low[s.axis] > above);
  return crossed ? s.transmittance : null;
}
