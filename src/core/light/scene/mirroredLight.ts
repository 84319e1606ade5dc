import type { Emitter, LightAt } from '../emitters/Emitter';
import { lightOf } from '../ppfdAtPoint';
import { mirrorImages, mirrorsFollowed } from '../room/mirrorImages';
import { isInside, type Room } from '../room/Room';
import type { Scene } from './Scene';
import { asLine } from './straightLight';

/** Light that comes to level receivers in a room straight from the images of its lamps; null where nothing is a mirror. */
export function mirroredLight(emitters: readonly Emitter[], room: Room, { obstructions }: Pick<Scene, 'obstructions'>): LightAt | null {
  if (obstructions.length > 0 || mirrorsFollowed(room) === 0) return null;
  const images = emitters
    .filter((e) => isInside(room, e.x, e.y, e.z))
    .flatMap((e) => mirrorImages(e, room))
    .map(({ emitter, share, order }) => ({ share, light: lightOf(order > 1 ? asLine(emitter) : emitter) }));
  return (x, y, z) =>
    Math.max(
      0,
      images.reduce((sum, { share, light }) => sum + share * light(x, y, z), 0),
    );
}
