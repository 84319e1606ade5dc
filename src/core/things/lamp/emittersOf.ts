import { cosinePowerOfBeam } from '../../light/emitters/cosinePower';
import type { Emitter } from '../../light/emitters/Emitter';
import { MOST_HOLE, ringOf } from '../../light/emitters/ring';
import { frameOf } from '../../light/emitters/frameOf';
import type { Metres, Radians } from '../../units/quantities';
import type { Lamp } from './Lamp';

/** Where a lamp hangs: the middle of its face, the height of its face, and the direction of its length from x. */
export interface LampPose {
  readonly x: Metres;
  readonly y: Metres;
  readonly face: Metres;
  readonly turn: Radians;
  /** Turned about its own length and about its own width, as of an emitter; absent: hung level. */
  readonly tilt?: Radians;
  readonly pitch?: Radians;
}

/**
 * Share of a reflector fitting's light that comes straight from the tube. The tube sends half of its light down; the
 * tables' fittings give 0.88–0.92 of the bare tube, so ½ / 0.9. The rest leaves the opening, taken as evenly diffuse.
 */
export const DIRECT_SHARE_OF_REFLECTOR_FITTING = 0.56; // ±0.05; from fixtureFactor, reflector over bare, of the lamp tables

/** Tube diameters by family, m. Source: IEC 60081: T12 38 mm, T8 26 mm, T5 16 mm. */
const TUBE_DIAMETER: Readonly<Record<string, Metres>> = { T12: 0.038, T8: 0.026, T5: 0.016, T5HO: 0.016 };

/** Diameter of one tube of the lamp, m; 26 mm where the family does not say. */
export const tubeDiameter = (lamp: Lamp): Metres => TUBE_DIAMETER[lamp.family] ?? 0.026;

/**
 * The primitive emitters of one lamp as it hangs. Their fluxes add up to the lamp's PPF.
 *
 * Tubes shine from their surface, half a diameter above the face; a bare bulb from the middle of its ball, which is exact for
 * an evenly bright ball; everything else from its face.
 */
export function emittersOf(lamp: Lamp, pose: LampPose): Emitter[] {
  const level = levelEmitters(lamp, pose);
  const { tilt = 0, pitch = 0 } = pose;
  if (tilt === 0 && pitch === 0) return level;
  // The lamp turns as one piece about the middle of its face.
  const { u, v, w } = frameOf(pose);
  const flat = frameOf({ turn: pose.turn });
  return level.map((e) => {
    const [dx, dy, dz] = [e.x - pose.x, e.y - pose.y, e.z - pose.face];
    const a = dx * flat.u[0] + dy * flat.u[1];
    const b = dx * flat.v[0] + dy * flat.v[1];
    const at = (k: 0 | 1 | 2) => a * u[k] + b * v[k] - dz * w[k];
    return { ...e, turn: pose.turn, tilt, pitch, x: pose.x + at(0), y: pose.y + at(1), z: pose.face + at(2) };
  });
}

function levelEmitters(lamp: Lamp, pose: LampPose): Emitter[] {
  const n = lamp.emitters;
  const cosinePower = lamp.beamFwhm === null ? 1 : cosinePowerOfBeam(lamp.beamFwhm);
  const one = { turn: pose.turn, length: lamp.length };
  const across = [-Math.sin(pose.turn), Math.cos(pose.turn)] as const;
  return Array.from({ length: n }, (_, i): Emitter[] => {
    const offset = (i - (n - 1) / 2) * lamp.spacing;
    const at = { x: pose.x + offset * across[0], y: pose.y + offset * across[1], z: pose.face, ppf: lamp.ppf / n };
    const rowWidth = rowWidthOf(lamp);
    const diameter = tubeDiameter(lamp);
    switch (lamp.shape) {
      case 'tube-bare':
        return [{ kind: 'tube', ...one, ...at, diameter, z: pose.face + diameter / 2 }];
      case 'tube-reflector': {
        const direct = DIRECT_SHARE_OF_REFLECTOR_FITTING;
        return [
          { kind: 'tube', ...one, ...at, diameter, shaded: true, z: pose.face + diameter / 2, ppf: direct * at.ppf },
          { kind: 'rect', ...one, ...at, width: lamp.width / n, cosinePower: 1, ppf: (1 - direct) * at.ppf },
        ];
      }
      case 'bar':
      case 'panel':
        return [{ kind: 'rect', ...one, ...at, width: rowWidth, cosinePower, ...(lamp.diodes ? { diodes: lamp.diodes } : {}) }];
      case 'round-panel':
      case 'bulb-reflector':
        return [{ kind: 'disc', ...at, radius: lamp.width / 2, cosinePower }];
      case 'coil': {
        const radius = lamp.width / 2;
        return ringOf({ kind: 'disc', ...at, radius, cosinePower }, Math.min(lamp.spacing / 2, MOST_HOLE * radius));
      }
      case 'measured': {
        const { table, round } = need(lamp.farField);
        return [{ kind: 'photometric', ...one, ...at, width: lamp.width, round, table }];
      }
      case 'bulb-bare':
        return [{ kind: 'point', ...at, z: pose.face + lamp.width / 2, cosinePower: null }];
    }
  }).flat();
}

function need<T>(thing: T | null): T {
  if (thing === null) throw new RangeError('a lamp of the shape measured needs its far field');
  return thing;
}

/** Width of one row or head: tables state the width over all rows, except for heads on one clip, where it is that of one head. */
function rowWidthOf({ emitters, spacing, width }: Lamp): Metres {
  const rest = width - (emitters - 1) * spacing;
  return rest > 0 ? rest : width;
}
