import type { Metres } from '../../units/quantities';
import { ceilingCorner, wallCorner } from './exchange';
import { LinesBeside } from './linesBeside';
import { sends, type FacePatches, type Patches } from './patches';
import type { Room } from './Room';

/** Nearest that a place may be to a face, as a share of the room's size: on the face itself the formula is a limit. */
const SKIN = 1e-5;

/** Farther than this from a face, in its patches, the mean of a patch is as good as how its light lies in it. */
const REACH = 1;

/**
 * How much each patch's light counts on a small level piece that faces up: its configuration factors, so that the reflected
 * light there is Σ weight · sent. Only what stands above the piece is seen; the lower part of a wall is cut off.
 *
 * Beside a face its patches are cut up, and their pieces take the light of a parabola through the patch and its neighbours
 * whose means are theirs (third-order finite volumes): a wall's light falls away towards the floor, which the mean of a patch
 * hides from a leaf beside it.
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
    const away = Math.abs(f.at - here[f.axis]!);
    if (away >= REACH * Math.max(f.di, f.dj) || f.columns < 3 || f.rows < 3) {
      gatherWhole(f, here, away, out);
      continue;
    }
    side.cut(f.columns, f.di, here[f.i]!, 0);
    upright.cut(f.rows, f.dj, here[f.j]!, f.name === 'ceiling' ? 0 : rz);
    gatherPieces(f, side, upright, here, away, out);
  }
}

/** A corner function of a face as seen from a place: across its columns and rows, in that order. */
const cornerOf = (f: FacePatches) => (f.name === 'ceiling' ? ceilingCorner : wallCorner);

function gatherWhole(f: FacePatches, here: readonly number[], away: Metres, out: Float32Array): void {
  const { columns, rows, di, dj, first } = f;
  const wide = columns + 1;
  const corner = scratchFor(wide * (rows + 1));
  const light = cornerOf(f);
  const [hi, hj] = [here[f.i]!, here[f.j]!];
  for (let j = 0; j <= rows; j++) {
    const up = f.name === 'ceiling' ? j * dj - hj : Math.max(0, j * dj - hj);
    for (let i = 0; i <= columns; i++) corner[i + wide * j] = light(i * di - hi, up, away);
  }
  for (let j = 0; j < rows; j++)
    for (let i = 0; i < columns; i++) {
      const k = i + wide * j;
      out[first + i + columns * j] = Math.max(0, corner[k + 1 + wide]! - corner[k + wide]! - corner[k + 1]! + corner[k]!);
    }
}

/** The same in pieces, the light of each given to the patches from which its own is worked out. */
function gatherPieces(f: FacePatches, is: LinesBeside, js: LinesBeside, here: readonly number[], away: Metres, out: Float32Array): void {
  const wide = is.count + 1;
  const corner = scratchFor(wide * (js.count + 1));
  const light = cornerOf(f);
  const [hi, hj] = [here[f.i]!, here[f.j]!];
  for (let j = 0; j <= js.count; j++) for (let i = 0; i < wide; i++) corner[i + wide * j] = light(is.at[i]! - hi, js.at[j]! - hj, away);
  out.fill(0, f.first, f.first + f.columns * f.rows);
  for (let j = 0; j < js.count; j++)
    for (let i = 0; i < is.count; i++) {
      const k = i + wide * j;
      const seen = Math.max(0, corner[k + 1 + wide]! - corner[k + wide]! - corner[k + 1]! + corner[k]!);
      const low = f.first + is.from[i]! + f.columns * js.from[j]!;
      for (let q = 0; q < 3; q++) {
        const part = seen * js.weight[3 * j + q]!;
        for (let p = 0; p < 3; p++) out[low + f.columns * q + p]! += part * is.weight[3 * i + p]!;
      }
    }
}

/** Filled anew for each face; a map asks for thousands. */
const side = new LinesBeside();
const upright = new LinesBeside();
let scratch = new Float64Array(512);
function scratchFor(size: number): Float64Array {
  if (scratch.length < size) scratch = new Float64Array(size);
  return scratch;
}
