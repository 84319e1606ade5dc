import type { Metres, Share } from '../../units/quantities';

export const FACES = ['floor', 'ceiling', 'left', 'right', 'front', 'back'] as const;
export type FaceName = (typeof FACES)[number];

/** What a face does with light: sends a share back, evenly or partly as a mirror, lets a share through straight, and swallows the rest. */
export interface Face {
  readonly reflectance: Share;
  /** 1 for an open side, less for wire, 0 for a wall; with the reflectance at most 1. */
  readonly transmittance: Share;
  /** Of what it sends back, the share that it throws back as a mirror; absent: 0. */
  readonly specular?: Share;
}

/** One tier: a box from its left front lower corner; x to the right, y to the back, z up. */
export interface Room {
  readonly x: Metres;
  readonly y: Metres;
  readonly z: Metres;
  readonly width: Metres;
  readonly depth: Metres;
  readonly height: Metres;
  readonly faces: Readonly<Record<FaceName, Face>>;
  /** Where things crowd its floor: below a height its upright sides send back only a share of what they do above; absent: all of it. */
  readonly low?: { readonly height: Metres; readonly share: Share };
}

export const OPEN: Face = { reflectance: 0, transmittance: 1 };

/** Whether any face sends light back or lets diffuse light in; without one there is only direct light. */
export const reflects = (room: Room): boolean => FACES.some((name) => room.faces[name].reflectance > 0);

/** Whether a place is inside the room, its faces included. */
export function isInside(room: Room, x: Metres, y: Metres, z: Metres): boolean {
  const e = 1e-9;
  return (
    x >= room.x - e &&
    x <= room.x + room.width + e &&
    y >= room.y - e &&
    y <= room.y + room.depth + e &&
    z >= room.z - e &&
    z <= room.z + room.height + e
  );
}
