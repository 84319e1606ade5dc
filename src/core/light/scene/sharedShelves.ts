import type { Metres } from '../../units/quantities';
import { OPEN, isInside, type Face, type Room } from '../room/Room';
import { roomAbove } from './visibility';

/**
 * The rooms of a scene, each lower one with the shelf above it as its ceiling: of two tiers that share a shelf the floor of the upper
 * one says what comes through. A ceiling that is left out has the shelf's reflectance as well; a stated one keeps its own.
 */
export function withSharedShelves(rooms: readonly Room[]): readonly Room[] {
  return rooms.map((room) => {
    const shelf = roomAbove(room, rooms)?.faces.floor;
    if (!shelf) return room;
    const own = room.faces.ceiling;
    const leftOut = own.reflectance === OPEN.reflectance && own.transmittance === OPEN.transmittance;
    const ceiling: Face = {
      transmittance: shelf.transmittance,
      reflectance: Math.min(leftOut ? shelf.reflectance : own.reflectance, 1 - shelf.transmittance),
      ...(!leftOut && own.specular ? { specular: own.specular } : {}),
    };
    return { ...room, faces: { ...room.faces, ceiling } };
  });
}

const TOUCHING: Metres = 1e-9;

/**
 * The room that a level receiver facing up stands in: on a plane that two rooms share, the one that begins there, so that it sees
 * each room's light once.
 */
export const roomOfReceiver = <R extends { readonly room: Room }>(all: readonly R[], x: Metres, y: Metres, z: Metres): R | undefined => {
  const inside = all.filter((s) => isInside(s.room, x, y, z));
  return (
    inside.find(({ room }) => !endsAt(room.x + room.width, x) && !endsAt(room.y + room.depth, y) && !endsAt(room.z + room.height, z)) ??
    inside[0]
  );
};
const endsAt = (end: Metres, at: Metres) => Math.abs(end - at) <= TOUCHING;

/** Whether another room begins where this one ends on an axis, so that the plane between them is the other's. */
export const isTakenOver = (end: Metres, axis: 'x' | 'y' | 'z', room: Room, rooms: readonly Room[]): boolean =>
  rooms.some((o) => o !== room && endsAt(o[axis], end) && touch(o, room, axis));

const SIZE = { x: 'width', y: 'depth', z: 'height' } as const;
const touch = (a: Room, b: Room, axis: 'x' | 'y' | 'z') =>
  (['x', 'y', 'z'] as const).every((k) => k === axis || (a[k] < b[k] + b[SIZE[k]] && b[k] < a[k] + a[SIZE[k]]));
