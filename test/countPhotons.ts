import type { Emitter } from '../src/core/light/emitters/Emitter';
import { frameOf } from '../src/core/light/emitters/frameOf';
import type { FaceName, Room } from '../src/core/light/room/Room';
import { mulberry } from '../src/core/units/mulberry';

/** A level rectangle through which photons are counted on their way down. */
export interface Tile {
  readonly x0: number;
  readonly x1: number;
  readonly y0: number;
  readonly y1: number;
}

/** A block that sends evenly back what share of the photons meet it. */
export interface Block extends Tile {
  readonly z0: number;
  readonly z1: number;
  readonly reflectance: number;
}

const SIDES = [['left', 'right'], ['front', 'back'], ['floor', 'ceiling']] as const; // prettier-ignore

/**
 * Photons sent out one by one and followed until they are swallowed: how many come down through each tile, as PPFD. Knows nothing of
 * patches and form factors.
 *
 * @param emitters  all of one shape: diffuse rectangles or discs, or points that shine all round
 * @param room      from 0, 0, 0 on
 */
export function countPhotons(
  emitters: readonly Emitter[],
  room: Room,
  tiles: readonly (Tile & { readonly z: number })[],
  photons: number,
  blocks: readonly Block[] = [],
): number[] {
  const size = [room.width, room.depth, room.height];
  const random = mulberry(5);
  const ppf = emitters.reduce((sum, e) => sum + e.ppf, 0);
  const frames = emitters.map(frameOf);
  const found = tiles.map(() => 0);
  const p = [0, 0, 0];
  const d = [0, 0, 0];
  const about = (n: readonly number[], s: readonly number[], t: readonly number[]) => {
    const r2 = random(), a = 2 * Math.PI * random(), r = Math.sqrt(r2), up = Math.sqrt(1 - r2); // prettier-ignore
    for (let k = 0; k < 3; k++) d[k] = up * n[k]! + r * Math.cos(a) * s[k]! + r * Math.sin(a) * t[k]!;
  };
  const AXES = [[1, 0, 0], [0, 1, 0], [0, 0, 1]] as const; // prettier-ignore
  const BACK = [[-1, 0, 0], [0, -1, 0], [0, 0, -1]] as const; // prettier-ignore
  const sendBack = (axis: number, towardsZero: boolean) => about((towardsZero ? BACK : AXES)[axis]!, AXES[(axis + 1) % 3]!, AXES[(axis + 2) % 3]!); // prettier-ignore

  function sendOut(): void {
    let lot = emitters.length > 1 ? random() * ppf : 0, n = 0; // prettier-ignore
    while (n < emitters.length - 1 && (lot -= emitters[n]!.ppf) >= 0) n++;
    const e = emitters[n]!;
    const { u, v, w } = frames[n]!;
    let a = 0, b = 0; // prettier-ignore
    if (e.kind === 'rect') [a, b] = [(random() - 0.5) * e.length, (random() - 0.5) * e.width];
    if (e.kind === 'disc') {
      const r = e.radius * Math.sqrt(random()), turn = 2 * Math.PI * random(); // prettier-ignore
      [a, b] = [r * Math.cos(turn), r * Math.sin(turn)];
    }
    [e.x, e.y, e.z].forEach((c, k) => (p[k] = c + a * u[k]! + b * v[k]!));
    if (e.kind === 'point') {
      const c = 2 * random() - 1, s = Math.sqrt(1 - c * c), turn = 2 * Math.PI * random(); // prettier-ignore
      [d[0], d[1], d[2]] = [s * Math.cos(turn), s * Math.sin(turn), c];
    } else about(w, u, v);
  }

  /** Where the way of a photon enters a block: how far, and through the side across which axis; null: it passes by. */
  function enters(block: Block): [number, number] | null {
    const [low, high] = [[block.x0, block.y0, block.z0], [block.x1, block.y1, block.z1]] as const; // prettier-ignore
    let from = 1e-9, to = Infinity, axis = -1; // prettier-ignore
    for (let k = 0; k < 3; k++) {
      const [a, b] = [(low[k]! - p[k]!) / d[k]!, (high[k]! - p[k]!) / d[k]!];
      if (Math.min(a, b) > from) [from, axis] = [Math.min(a, b), k];
      to = Math.min(to, Math.max(a, b));
    }
    return axis >= 0 && from < to ? [from, axis] : null;
  }

  for (let i = 0; i < photons; i++) {
    sendOut();
    for (;;) {
      let t = Infinity, axis = 0, met: Block | null = null; // prettier-ignore
      for (let k = 0; k < 3; k++) {
        const own = d[k]! > 0 ? (size[k]! - p[k]!) / d[k]! : d[k]! < 0 ? -p[k]! / d[k]! : Infinity;
        if (own < t) [t, axis] = [own, k];
      }
      for (const block of blocks) {
        const at = enters(block);
        if (at && at[0] < t) [t, axis, met] = [...at, block];
      }
      if (d[2]! < 0)
        tiles.forEach((tile, k) => {
          const down = (tile.z - p[2]!) / d[2]!;
          if (down <= 0 || down > t) return;
          const [x, y] = [p[0]! + down * d[0]!, p[1]! + down * d[1]!];
          if (x >= tile.x0 && x < tile.x1 && y >= tile.y0 && y < tile.y1) found[k]!++;
        });
      const far = d[axis]! > 0;
      for (let k = 0; k < 3; k++) p[k]! += t * d[k]!;
      const lot = random();
      if (met) {
        if (lot >= met.reflectance) break;
        sendBack(axis, far);
        continue;
      }
      p[axis] = far ? size[axis]! : 0;
      const { reflectance, specular = 0 } = room.faces[SIDES[axis]![far ? 1 : 0] as FaceName];
      if (lot >= reflectance) break;
      if (lot < reflectance * specular) d[axis] = -d[axis]!;
      else sendBack(axis, far);
    }
  }
  return tiles.map(({ x0, x1, y0, y1 }, k) => (found[k]! * ppf) / photons / ((x1 - x0) * (y1 - y0)));
}
