import type { Metres, Ppf, Share } from '../../units/quantities';
import type { DiscEmitter } from './Emitter';

/** A hole takes at most so much of the radius: what is left has to be wide enough to shine. */
export const MOST_HOLE: Share = 0.95; // our choice

/**
 * An evenly bright ring: a whole disc less its hole, each as bright as the other. The hole is light below zero, so only the sum of both
 * is light.
 *
 * @param disc  with the flux of the ring and its outer radius
 * @param hole  radius, m, 0 … below the outer one; 0: a disc
 * @throws RangeError for a hole as wide as its disc
 */
export function ringOf(disc: DiscEmitter, hole: Metres): DiscEmitter[] {
  const { radius } = disc;
  if (hole > 0 && !(hole < radius)) throw new RangeError(`a hole of ${hole} m leaves nothing of a disc of ${radius} m`);
  const bright = disc.ppf / (radius * radius - hole * hole);
  const of = (r: Metres): Ppf => bright * r * r;
  return hole > 0
    ? [
        { ...disc, ppf: of(radius) },
        { ...disc, radius: hole, ppf: -of(hole) },
      ]
    : [disc];
}
