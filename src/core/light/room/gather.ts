import { ceilingCorner, wallCorner } from './exchange';
import { sends, type Patches } from './patches';
import type { Room } from './Room';

/** Nearest that a place may be to a face, as a share of the room's size: on the face itself the formula is a limit. */
const SKIN = 1e-5;

/**
 * How much each patch's light counts on a small level piece that faces up: its configuration factors, so that the reflected
 * light there is Σ weight · sent. Only what stands above the piece is seen; the lower part of a wall is cut off.
 *
 * @param x, y, z  place, inside the room or on its faces
 * @param out      the weights are written here, one for each patch of a face that sends light; the others are left as they are, 0
 */
export function gatherWeights({ faces }: Patches, room: Room, x: number, y: number, z: number, out: Float32Array): void {
  const rx = Math.min(room.width * (1 - SKIN), Math.max(room.width * SKIN, x - room.x));
  const ry = Math.min(room.depth * (1 - SKIN), Math.max(room.depth * SKIN, y - room.y));
  const rz = Math.min(room.height * (1 - SKIN), Math.max(0, z - room.z));
  const here = [rx, ry, rz];
  for (const f of faces) {
    if (f.name === 'floor' || !sends(f)) continue;
    const { columns, rows, di, dj, first } = f;
    const corner = scratchFor((columns + 1) * (rows + 1));
    const wide = columns + 1;
    if (f.name === 'ceiling') {
      for (let j = 0; j <= rows; j++)
        for (let i = 0; i <= columns; i++) corner[i + wide * j] = ceilingCorner(i * di - rx, j * dj - ry, f.at - rz);
    } else {
      const c = Math.abs(f.at - here[f.axis]!);
      const along = here[f.i]!;
      for (let j = 0; j <= rows; j++) {
        const up = Math.max(0, j * dj - rz);
        for (let i = 0; i <= columns; i++) corner[i + wide * j] = wallCorner(i * di - along, up, c);
      }
    }
    for (let j = 0; j < rows; j++)
      for (let i = 0; i < columns; i++) {
        const k = i + wide * j;
        out[first + i + columns * j] = Math.max(0, corner[k + 1 + wide]! - corner[k + wide]! - corner[k + 1]! + corner[k]!);
      }
  }
}

let scratch = new Float64Array(512);
function scratchFor(size: number): Float64Array {
  if (scratch.length < size) scratch = new Float64Array(size);
  return scratch;
}
