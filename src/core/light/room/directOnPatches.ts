import type { Emitter, IrradianceAt } from '../emitters/Emitter';
import { frameOf } from '../emitters/frameOf';
import { gaussLegendre } from '../../units/gaussLegendre';
import { smoothnessOf } from '../emitters/smoothness';
import type { Patches } from './patches';
import type { Room } from './Room';

/** Light straight from a lamp on the patches of a room, µmol m⁻² s⁻¹, one value for each patch. */
export interface PatchLight {
  /** Mean over the patch. */
  readonly mean: Float64Array;
  /**
   * How it lies within the patches of the ceiling, told as light moved between neighbours: added to the mean it has the same
   * centre and width as the light itself. 0 elsewhere. A bulb close below a pale ceiling makes a spot smaller than a patch.
   */
  readonly moved: Float64Array;
}

/**
 * Light straight from one emitter on each patch of a room.
 *
 * @param light  of that emitter, with whatever stands in its way already taken into account
 * @param coarse  the middle of a patch stands for all of it: for light from another tier, which is small
 */
export function directOnPatches({ faces, count }: Patches, room: Room, emitter: Emitter, light: IrradianceAt, coarse = false): PatchLight {
  const mean = new Float64Array(count);
  const moved = new Float64Array(count);
  const away = distanceTo(emitter);
  const smooth = smoothnessOf(emitter);
  const origin = [room.x, room.y, room.z];
  const place = [0, 0, 0];
  for (const f of faces) {
    const [nx, ny, nz] = f.normal;
    const side = Math.max(f.di, f.dj);
    place[f.axis] = origin[f.axis]! + f.at;
    for (let j = 0; j < f.rows; j++) {
      for (let i = 0; i < f.columns; i++) {
        const ci = origin[f.i]! + (i + 0.5) * f.di;
        const cj = origin[f.j]! + (j + 0.5) * f.dj;
        place[f.i] = ci;
        place[f.j] = cj;
        const near = (smooth * away(place[0]!, place[1]!, place[2]!)) / side;
        const { at, weight } = gaussLegendre(coarse || near > 4 ? 1 : near > 1.5 ? 2 : near > 0.8 ? 3 : near > 0.4 ? 5 : 10);
        const k = f.first + i + f.columns * j;
        const shares = f.name === 'ceiling' && at.length > 1 && f.columns > 2 && f.rows > 2;
        const [fromI, fromJ] = [threeFrom(i, f.columns), threeFrom(j, f.rows)];
        let sum = 0;
        for (let b = 0; b < at.length; b++) {
          place[f.j] = cj + at[b]! * f.dj;
          let across = 0, first = 0, last = 0; // prettier-ignore
          for (let a = 0; a < at.length; a++) {
            place[f.i] = ci + at[a]! * f.di;
            const falls = weight[a]! * light(place[0]!, place[1]!, place[2]!, nx, ny, nz);
            across += falls;
            if (!shares) continue;
            const s = i + at[a]! - fromI - 1;
            first += falls * firstOfThree(s);
            last += falls * firstOfThree(-s);
          }
          sum += weight[b]! * across;
          if (!shares) continue;
          const s = j + at[b]! - fromJ - 1;
          const up = [firstOfThree(s), 1 - firstOfThree(s) - firstOfThree(-s), firstOfThree(-s)];
          for (let q = 0; q < 3; q++) {
            const low = f.first + fromI + f.columns * (fromJ + q);
            const part = weight[b]! * up[q]!;
            moved[low]! += part * first;
            moved[low + 1]! += part * (across - first - last);
            moved[low + 2]! += part * last;
          }
        }
        mean[k] = sum;
        if (shares) moved[k]! -= sum;
      }
    }
  }
  return { mean, moved };
}

/** The first of three neighbouring patches around one. */
const threeFrom = (k: number, count: number) => Math.min(count - 3, Math.max(0, k - 1));

/**
 * What light at one place counts for the first of three patches, when their even light is to have its total, centre and width: exact for
 * whatever changes as a parabola over the three. For the last of them: of −s; the middle one has the rest.
 *
 * @param s  from the middle of the three, in patches
 */
const firstOfThree = (s: number) => (s * s - 1 / 12 - s) / 2;

/** Distance from a place to the nearest part of an emitter's outline. */
function distanceTo(emitter: Emitter): (x: number, y: number, z: number) => number {
  const { u, v } = frameOf(emitter);
  const [a, b] =
    emitter.kind === 'point'
      ? [0, 0]
      : emitter.kind === 'tube'
        ? [emitter.length / 2, 0]
        : emitter.kind === 'disc'
          ? [emitter.radius, emitter.radius]
          : [emitter.length / 2, emitter.width / 2];
  return (x, y, z) => {
    const dx = x - emitter.x, dy = y - emitter.y, dz = z - emitter.z; // prettier-ignore
    const du = dx * u[0] + dy * u[1] + dz * u[2];
    const dv = dx * v[0] + dy * v[1] + dz * v[2];
    const pu = Math.max(-a, Math.min(a, du)), pv = Math.max(-b, Math.min(b, dv)); // prettier-ignore
    return Math.hypot(dx - pu * u[0] - pv * v[0], dy - pu * u[1] - pv * v[1], dz - pu * u[2] - pv * v[2]);
  };
}
