import type { Emitter } from '../emitters/Emitter';
import { mirroredEmitter } from '../emitters/mirroredEmitter';
import type { Metres, Share } from '../../units/quantities';
import { FACES, type Face, type Room } from './Room';

/** A lamp as the mirrors of a room show it. */
export interface MirrorImage {
  readonly emitter: Emitter;
  /** What the mirrors on the way leave of its light. */
  readonly share: Share;
  /** How many mirrors are on the way. */
  readonly order: number;
}

/** Light that has met so many mirrors counts as dull when it meets another. */
const MOST_MIRRORS = 3;
/** Sooner where so little of it would be left. */
const LITTLE = 0.05;

/** The share of all light that a face throws back as a mirror. */
export const mirrorOf = ({ reflectance, specular = 0 }: Face): Share => reflectance * specular;

/** How many mirrors light is followed over in a room; 0 where none of its faces is one. */
export function mirrorsFollowed(room: Room): number {
  const best = Math.max(...FACES.map((name) => mirrorOf(room.faces[name])));
  return best > 0 ? Math.min(MOST_MIRRORS, Math.ceil(Math.log(LITTLE) / Math.log(Math.min(best, 0.999)))) : 0;
}

/**
 * A lamp's images in the mirrors of a box: on each axis the two mirrors face each other, so that the images stand in rows
 * beyond them. A straight way from an image to any place of the box meets the mirrors by which it came about and no others.
 * Source: Allen & Berkley 1979, "Image method for efficiently simulating small-room acoustics" (the same lattice, for light).
 *
 * @param emitter inside the room
 */
export function mirrorImages(emitter: Emitter, room: Room): readonly MirrorImage[] {
  const most = mirrorsFollowed(room);
  if (most === 0) return [];
  let images: MirrorImage[] = [{ emitter, share: 1, order: 0 }];
  const { left, right, front, back, floor, ceiling } = room.faces;
  const axes = [
    [left, right, room.x, room.x + room.width],
    [front, back, room.y, room.y + room.depth],
    [floor, ceiling, room.z, room.z + room.height],
  ] as const;
  axes.forEach(([near, far, low, high], axis) => {
    images = images.flatMap((image) => inRow(image, axis as 0 | 1 | 2, [mirrorOf(near), mirrorOf(far)], [low, high], most));
  });
  return images.filter((image) => image.order > 0);
}

/** An image and its images in two mirrors that face each other. */
function inRow(
  image: MirrorImage,
  axis: 0 | 1 | 2,
  mirrors: readonly [Share, Share],
  at: readonly [Metres, Metres],
  most: number,
): MirrorImage[] {
  const all = [image];
  for (const first of [0, 1] as const) {
    let last = image;
    // Light that leaves the image towards a place meets the mirror nearest to the place last; its product is the same.
    for (let k = 0; last.order < most; k++) {
      const which = (k % 2 === 0 ? first : 1 - first) as 0 | 1;
      const share = last.share * mirrors[which];
      if (share === 0) break;
      last = { emitter: mirroredEmitter(last.emitter, axis, at[which]), share, order: last.order + 1 };
      all.push(last);
    }
  }
  return all;
}
