import type { Metres, Share } from '../../units/quantities';
import { FACES, type Face, type Room } from './Room';

/** What stands on the floor of a room: pots, trays and the leaves over them, as blocks of one height. */
export interface Crowd {
  /** 0: only their tops are known of. */
  readonly height: Metres;
  /** Of the floor, how much they cover. */
  readonly covered: Share;
  /** All their edges together, seen from above. */
  readonly edge: Metres;
  /** What their tops and sides send back. */
  readonly reflectance: Share;
}

/**
 * A room with things on its floor. Light that falls among them meets their dark sides, and little of it comes up again: floor and lower
 * walls of the room are as much darker as makes the whole of what lies below their tops send back what it does.
 *
 * What a hollow sends back through its opening: ρ̄a / (1 − ρ̄(1 − a)), ρ̄ the mean over its faces, a its opening over their area.
 * Source: the cavity formula of the lumen method (IES Lighting Handbook; CIE 52-1982); here once for the gaps between the things,
 * once for the room without them.
 *
 * @param room   empty
 * Error: the mean light over trays within 4 % of photons counted one by one, white boxes and mirrors included; scattered pots 6 %, things of
 * several heights 8 % (crowdedFloor.test.ts).
 */
export function withCrowdedFloor(room: Room, { height, covered, edge, reflectance: own }: Crowd): Room {
  const { faces, width, depth } = room;
  if (covered <= 0) return room;
  const high = Math.min(height, room.height);
  const floor = width * depth;
  const walls = { area: 0, sends: 0 };
  for (const name of UPRIGHT) {
    const area = high * (name === 'left' || name === 'right' ? depth : width);
    walls.area += area;
    walls.sends += area * faces[name].reflectance;
  }
  const open = (1 - covered) * floor;
  const gaps = hollow(open, open + walls.area + edge * high, faces.floor.reflectance * open + walls.sends + own * edge * high);
  const sendsUp = covered * own + (1 - covered) * gaps;
  const mixed = covered * own + (1 - covered) * faces.floor.reflectance;
  // The mean that floor and walls without the things need, to send as much up through a plane at their tops.
  const opening = floor / (floor + walls.area);
  const needed = sendsUp / (opening + sendsUp * (1 - opening));
  const bare = (mixed * floor + walls.sends) / (floor + walls.area);
  const share = bare > 0 ? Math.min(1, needed / bare) : 1;
  const face: Face = { reflectance: mixed * share, transmittance: (1 - covered) * faces.floor.transmittance };
  return { ...room, faces: { ...faces, floor: face }, ...(high > 0 && { low: { height: high, share } }) };
}

const UPRIGHT = FACES.filter((name) => name !== 'floor' && name !== 'ceiling');

/** @param sends  the sum of area times reflectance over its faces */
function hollow(opening: number, area: number, sends: number): Share {
  if (area <= 0) return 0;
  const [mean, a] = [sends / area, opening / area];
  return (mean * a) / (1 - mean * (1 - a));
}
