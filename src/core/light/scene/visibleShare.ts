import type { Emitter } from '../emitters/Emitter';
import { frameOf } from '../emitters/frameOf';
import type { Metres, Share } from '../../units/quantities';
import type { Visibility } from './visibility';

/** How often a part is cut in four (a tube in two) where the edge of a shadow runs over it: to a thirty-second of its side. */
const CUTS = 5;

/** Rays to a part on which no edge of a shadow lies: its middle and its corners. */
export const RAYS_A_PART = 5;

/** Of the face of an emitter, how much is seen from a place, what lets some light through counted with its share. */
export type VisibleShare = (x: Metres, y: Metres, z: Metres) => Share;

/**
 * What things, sides and shelves leave of an emitter: one ray from its middle and one from each corner; where these differ it is cut up, so
 * that its share changes smoothly as a shadow moves over it.
 */
export function visibleShareOf(part: Emitter, visibility: Visibility): VisibleShare {
  if (part.kind === 'point' || part.kind === 'disc') return (x, y, z) => visibility(part.x, part.y, part.z, x, y, z);
  const { u, v } = frameOf(part);
  const [length, width] = [part.length, part.kind === 'tube' ? 0 : part.width];
  return (x, y, z) => {
    const at = (a: number, b: number) =>
      visibility(part.x + a * u[0] + b * v[0], part.y + a * u[1] + b * v[1], part.z + a * u[2] + b * v[2], x, y, z);
    const alongLine = (a0: number, a1: number, from: Share, to: Share, cuts: number): Share => {
      const middle = (a0 + a1) / 2;
      const there = at(middle, 0);
      if (there === from && there === to) return there;
      if (cuts === 0) return (from + to + 2 * there) / 4;
      return (alongLine(a0, middle, from, there, cuts - 1) + alongLine(middle, a1, there, to, cuts - 1)) / 2;
    };
    const overFace = (a0: number, a1: number, b0: number, b1: number, c: Corners, cuts: number): Share => {
      const [a, b] = [(a0 + a1) / 2, (b0 + b1) / 2];
      const there = at(a, b);
      if (c.every((share) => share === there)) return there;
      if (cuts === 0) return (c[0] + c[1] + c[2] + c[3] + 4 * there) / 8;
      const [front, back, left, right] = [at(a, b0), at(a, b1), at(a0, b), at(a1, b)];
      return (
        (overFace(a0, a, b0, b, [c[0], front, left, there], cuts - 1) +
          overFace(a, a1, b0, b, [front, c[1], there, right], cuts - 1) +
          overFace(a0, a, b, b1, [left, there, c[2], back], cuts - 1) +
          overFace(a, a1, b, b1, [there, right, back, c[3]], cuts - 1)) /
        4
      );
    };
    const [l, w] = [length / 2, width / 2];
    if (width === 0) return alongLine(-l, l, at(-l, 0), at(l, 0), CUTS);
    return overFace(-l, l, -w, w, [at(-l, -w), at(l, -w), at(-l, w), at(l, w)], CUTS);
  };
}

type Corners = readonly [Share, Share, Share, Share];
