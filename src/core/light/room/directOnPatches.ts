import type { Emitter, IrradianceAt } from '../emitters/Emitter';
import { frameOf } from '../emitters/frameOf';
import { gaussLegendre } from '../../units/gaussLegendre';
import { smoothnessOf } from '../emitters/smoothness';
import type { Patches } from './patches';
import type { Room } from './Room';

/**
 * Light straight from one emitter on each patch of a room, the mean over the patch.
 *
 * @param light  of that emitter, with whatever stands in its way already taken into account
 * @param coarse  the middle of a patch stands for all of it: for light from another tier, which is small
 * @returns µmol m⁻² s⁻¹, one for each patch
 */
export function directOnPatches(
  { faces, count }: Patches,
  room: Room,
  emitter: Emitter,
  light: IrradianceAt,
  coarse = false,
): Float64Array {
  const out = new Float64Array(count);
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
        let sum = 0;
        for (let a = 0; a < at.length; a++) {
          place[f.i] = ci + at[a]! * f.di;
          for (let b = 0; b < at.length; b++) {
            place[f.j] = cj + at[b]! * f.dj;
            sum += weight[a]! * weight[b]! * light(place[0]!, place[1]!, place[2]!, nx, ny, nz);
          }
        }
        out[f.first + i + f.columns * j] = sum;
      }
    }
  }
  return out;
}

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
