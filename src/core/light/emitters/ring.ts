import type { Metres, Ppf } from '../../units/quantities';
import type { DiscEmitter } from './Emitter';

/**
 * An evenly bright ring: a whole disc less its hole, each as bright as the other. The hole is light below zero, so only the sum of both
 * is light.
 *
 * @param disc  with the flux of the ring and its outer radius
 * @param hole  radius, 0 … below the outer one; 0: a disc
 */
export function ringOf(disc: DiscEmitter, hole: Metres): DiscEmitter[] {
  const { radius } = disc;
  const bright = disc.ppf / (radius * radius - hole * hole);
  const of = (r: Metres): Ppf => bright * r * r;
  return hole > 0
    ? [
        { ...disc, ppf: of(radius) },
        { ...disc, radius: hole, ppf: -of(hole) },
      ]
    : [disc];
}
