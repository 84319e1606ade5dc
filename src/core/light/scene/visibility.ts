import type { Metres, Share } from '../../units/quantities';
import { FACES, type Room } from '../room/Room';
import type { Scene, Obstruction } from './Scene';

/** Share of the light that passes on the straight way between two places. */
export type Visibility = (ax: Metres, ay: Metres, az: Metres, bx: Metres, by: Metres, bz: Metres) => Share;

/**
 * The straight way between two places of a scene: through wire shelves and open sides with their share, past walls and
 * things not at all.
 *
 * Of two tiers that share a shelf, the floor of the upper one counts and the ceiling of the lower one does not.
 */
export function visibilityOf({ rooms, obstructions }: Pick<Scene, 'rooms' | 'obstructions'>): Visibility {
  const screens = screensIn(rooms);
  const [acrossX, acrossY, acrossZ] = ([0, 1, 2] as const).map((axis) => screens.filter((s) => s.axis === axis)) as [
    Screen[],
    Screen[],
    Screen[],
  ];
  return (ax, ay, az, bx, by, bz) => {
    let share: Share = 1;
    for (const thing of obstructions) {
      if (!isHidden(thing, ax, ay, az, bx, by, bz)) continue;
      share *= thing.transmittance ?? 0;
      if (share === 0) return 0;
    }
    const dx = bx - ax, dy = by - ay, dz = bz - az; // prettier-ignore
    if (dx !== 0) for (const s of acrossX) share *= through(s, (s.at - ax) / dx, ay, dy, az, dz);
    if (share === 0) return 0;
    if (dy !== 0) for (const s of acrossY) share *= through(s, (s.at - ay) / dy, ax, dx, az, dz);
    if (share === 0) return 0;
    if (dz !== 0) for (const s of acrossZ) share *= through(s, (s.at - az) / dz, ax, dx, ay, dy);
    return share;
  };
}

/** All of a room that straight ways depend on: where it is, and what its faces let through; not what they send back. */
export const seenThrough = ({ x, y, z, width, depth, height, faces }: Room) => [
  x,
  y,
  z,
  width,
  depth,
  height,
  FACES.map((name) => faces[name].transmittance), // prettier-ignore
];

/** What a face lets through of a straight way that crosses its plane at a share t of its length. */
function through(s: Screen, t: number, i: Metres, di: Metres, j: Metres, dj: Metres): Share {
  if (!(t > AT_AN_END && t < 1 - AT_AN_END)) return 1;
  const p = i + t * di, q = j + t * dj; // prettier-ignore
  return p >= s.i0 && p <= s.i1 && q >= s.j0 && q <= s.j1 ? s.transmittance : 1;
}

/** A face that lets not all light through. */
export interface Screen {
  readonly axis: 0 | 1 | 2;
  /** Where its plane stands on the axis, and its reach along the other two, the earlier first. */
  readonly at: Metres;
  readonly i0: Metres;
  readonly i1: Metres;
  readonly j0: Metres;
  readonly j1: Metres;
  readonly transmittance: Share;
}

/** The room whose floor is this room's ceiling, if any: right above it, a shelf's thickness apart. */
export const roomAbove = (room: Room, rooms: readonly Room[]): Room | undefined =>
  rooms.find((other) => other !== room && Math.abs(other.z - room.z - room.height) < 0.06 && overlaps(room, other));

const overlaps = (a: Room, b: Room) => a.x < b.x + b.width && b.x < a.x + a.width && a.y < b.y + b.depth && b.y < a.y + a.depth;

/** Of two tiers that share a shelf, the floor of the upper one. */
export const screensIn = (rooms: readonly Room[]): Screen[] => rooms.flatMap((room) => screensOf(room, rooms));

/** The axes along which a screen across one reaches, the earlier first. */
export const alongOf = (axis: 0 | 1 | 2): readonly [0 | 1, 1 | 2] => (axis === 2 ? [0, 1] : axis === 0 ? [1, 2] : [0, 2]);

/** Nearer to either end of a way than this share of its length, a screen is not in it: a place on a face is on its near side. */
export const AT_AN_END = 1e-6;

function screensOf(room: Room, rooms: readonly Room[]): Screen[] {
  const low = [room.x, room.y, room.z];
  const high = [room.x + room.width, room.y + room.depth, room.z + room.height];
  const screen = (axis: 0 | 1 | 2, far: boolean, transmittance: Share): Screen => {
    const [i, j] = alongOf(axis);
    return { axis, at: (far ? high : low)[axis]!, i0: low[i]!, i1: high[i]!, j0: low[j]!, j1: high[j]!, transmittance };
  };
  const { faces } = room;
  const all = [
    screen(2, false, faces.floor.transmittance),
    screen(0, false, faces.left.transmittance),
    screen(0, true, faces.right.transmittance),
    screen(1, false, faces.front.transmittance),
    screen(1, true, faces.back.transmittance),
    ...(roomAbove(room, rooms) ? [] : [screen(2, true, faces.ceiling.transmittance)]),
  ];
  return all.filter((s) => s.transmittance < 1);
}

/** Whether a box stands between two places: the slab method. A place on the box's own top is not hidden by it. */
export function isHidden(box: Obstruction, ax: Metres, ay: Metres, az: Metres, bx: Metres, by: Metres, bz: Metres): boolean {
  let from = 1e-6, to = 1 - 1e-6; // prettier-ignore
  const slab = (a: number, b: number, low: number, high: number): boolean => {
    const d = b - a;
    if (Math.abs(d) < 1e-12) return a > low + 1e-9 && a < high - 1e-9;
    const t1 = (low - a) / d, t2 = (high - a) / d; // prettier-ignore
    from = Math.max(from, Math.min(t1, t2));
    to = Math.min(to, Math.max(t1, t2));
    return from < to;
  };
  return slab(ax, bx, box.x0, box.x1) && slab(ay, by, box.y0, box.y1) && slab(az, bz, box.z0, box.z1);
}
