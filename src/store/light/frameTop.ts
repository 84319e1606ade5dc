import type { Metres } from '../../core/units/quantities';
import type { SetUp } from '../../core/answer/stand/setUp';

/** Height of the picture from the front: room above the lamp to drag it, in steps so that the scale seldom jumps. */
export function frameTopOf({ tier, canopy, room }: SetUp): Metres {
  const face = tier.fittings[0]?.face ?? canopy;
  const needs = room ? Math.max(room.height + 0.05, face + 0.08) : face * 1.25 + 0.08;
  return Math.max(0.36, Math.ceil(needs * 10) / 10);
}

/** How much of the room to the left and right of the tier the picture shows. */
export const FRAME_MARGIN: Metres = 0.04;

/** Light is shown as far as the picture goes; between sides, as far as these. */
export const sliceMarginOf = ({ room }: SetUp): Metres => (room ? 0 : FRAME_MARGIN);
