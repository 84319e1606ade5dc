import type { Room } from '../room/Room';
import type { Scene } from './Scene';

/**
 * A scene as one sees it from its right side: what ran along the depth runs along the width, what was left is in front.
 *
 *     x' = y,   y' = −x,   z' = z
 *
 * A slice of the turned scene at y' = −x is the slice of the scene at x, from the front on the left to the back.
 */
export function turnScene({ lamps, rooms, obstructions }: Scene): Scene {
  return {
    lamps: lamps.map((lamp) => ({
      ...lamp,
      emitters: lamp.emitters.map((e) => {
        const at = { x: e.y, y: -e.x };
        return e.kind === 'point' || (e.kind === 'disc' && e.turn === undefined)
          ? { ...e, ...at }
          : { ...e, ...at, turn: (e.turn ?? 0) - Math.PI / 2 };
      }),
    })),
    rooms: rooms.map(turnRoom),
    obstructions: obstructions.map((t) => ({ ...t, x0: t.y0, x1: t.y1, y0: -t.x1, y1: -t.x0 })),
  };
}

function turnRoom(room: Room): Room {
  const { left, right, front, back } = room.faces;
  return {
    ...room,
    x: room.y,
    y: -(room.x + room.width),
    width: room.depth,
    depth: room.width,
    faces: { ...room.faces, left: front, right: back, front: right, back: left },
  };
}
