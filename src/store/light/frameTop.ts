import type { Metres } from '../../core/quantities';
import type { SetUp } from '../../core/stand/setUp';

/** Height of the picture from the front: room above the lamp to drag it, in steps so that the scale seldom jumps. */
export function frameTopOf({ tier, canopy }: SetUp): Metres {
  const face = tier.fittings[0]?.face ?? canopy;
  return Math.max(0.36, Math.ceil((face * 1.25 + 0.08) * 10) / 10);
}

/** How much of the room to the left and right of the tier the picture shows. */
export const FRAME_MARGIN: Metres = 0.04;
