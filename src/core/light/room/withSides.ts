import type { Share } from '../../units/quantities';
import { FACES, type Room } from './Room';

/** A room whose every upright side that sends light back sends back this share. */
export function withSides(room: Room, reflectance: Share): Room {
  const faces = { ...room.faces };
  for (const name of FACES)
    if (name !== 'floor' && name !== 'ceiling' && faces[name].reflectance > 0)
      faces[name] = { ...faces[name], reflectance: Math.min(reflectance, 1 - faces[name].transmittance) };
  return { ...room, faces };
}
