import { intensityTowards } from './IntensityTable';
import type { DiscEmitter, IrradianceAt, PhotometricEmitter, PointEmitter, RectEmitter } from './Emitter';
import { irradianceFromBeamRect } from './irradianceFromBeamRect';
import { frameOf, type Frame } from './frameOf';
import { gaussLegendre } from '../../units/gaussLegendre';
import { smoothnessOf } from './smoothness';
import { polygonLight } from './polygonLight';

/** Intensity for unit flux towards a direction given in the emitter's own axes, of the stated length. */
type Shine = (along: number, across: number, down: number, length: number) => number;

const cosineShine =
  (n: number | null): Shine =>
  (_along, _across, down, length) =>
    n === null ? 1 / (4 * Math.PI) : down > 0 ? ((n + 1) / (2 * Math.PI)) * Math.pow(down / length, n) : 0;

/** Light of one point (su, sv from the emitter's middle along its axes) on a receiver, for unit flux. */
function pointLight(shine: Shine, { u, v, w }: Frame, dx: number, dy: number, dz: number, nx: number, ny: number, nz: number): number {
  const facing = dx * nx + dy * ny + dz * nz;
  if (!(facing > 0)) return 0;
  const d2 = dx * dx + dy * dy + dz * dz;
  const d = Math.sqrt(d2);
  const along = -(dx * u[0] + dy * u[1] + dz * u[2]);
  const across = -(dx * v[0] + dy * v[1] + dz * v[2]);
  const down = -(dx * w[0] + dy * w[1] + dz * w[2]);
  return (shine(along, across, down, d) * facing) / (d2 * d);
}

/** Light of a small source on a receiver of any direction; see ppfdFromPoint. */
export function irradianceFromPoint(lamp: PointEmitter): IrradianceAt {
  const frame = frameOf(lamp);
  const shine = cosineShine(lamp.cosinePower);
  return (x, y, z, nx, ny, nz) => lamp.ppf * pointLight(shine, frame, lamp.x - x, lamp.y - y, lamp.z - z, nx, ny, nz);
}

/**
 * Light of a flat face, evenly bright or of diodes, on a receiver of any direction. An even diffuse rectangle has a closed
 * form, other even ones one along their longer side; all else is summed over points, the closer the more.
 *
 * Error: under 0.6 % from a tenth of the face's width on, checked in emitters.test.ts; a level face over level leaves goes
 * by ppfdFromRect and ppfdFromDisc instead, which are right however near.
 */
export function irradianceFromRect(lamp: RectEmitter): IrradianceAt {
  const { length, width, cosinePower: n, ppf, diodes } = lamp;
  const frame = frameOf(lamp);
  const { u, v, w } = frame;
  if (diodes) return summed(lamp, frame, beamOver(n), sharpnessOf(n), diodes);
  if (n !== 1 || width === 0) return irradianceFromBeamRect(lamp);
  const radiance = ppf / (Math.PI * length * width);
  const corners = new Float64Array(12);
  return (x, y, z, nx, ny, nz) => {
    const dx = lamp.x - x, dy = lamp.y - y, dz = lamp.z - z; // prettier-ignore
    if (!(dx * w[0] + dy * w[1] + dz * w[2] < 0)) return 0; // behind the face
    for (let k = 0; k < 4; k++) {
      const a = (k === 0 || k === 3 ? -length : length) / 2, b = (k < 2 ? -width : width) / 2; // prettier-ignore
      corners[3 * k] = dx + a * u[0] + b * v[0];
      corners[3 * k + 1] = dy + a * u[1] + b * v[1];
      corners[3 * k + 2] = dz + a * u[2] + b * v[2];
    }
    return radiance * polygonLight(corners, 4, nx, ny, nz);
  };
}

export function irradianceFromDisc(lamp: DiscEmitter): IrradianceAt {
  return summed(
    { ...lamp, length: 2 * lamp.radius, width: 2 * lamp.radius, round: true },
    frameOf(lamp),
    beamOver(lamp.cosinePower),
    sharpnessOf(lamp.cosinePower),
  );
}

export function irradianceFromPhotometric(lamp: PhotometricEmitter): IrradianceAt {
  const { table } = lamp;
  const sharp = 1 / smoothnessOf(lamp);
  const shine: Shine = (along, across, down) => intensityTowards(table, along, across, down);
  const overFace: OverFace = (frame, dx, dy, dz, nx, ny, nz) => (su, sv) =>
    pointLight(
      shine,
      frame,
      dx + su * frame.u[0] + sv * frame.v[0],
      dy + su * frame.u[1] + sv * frame.v[1],
      dz + su * frame.u[2] + sv * frame.v[2],
      nx,
      ny,
      nz,
    );
  return summed(lamp, frameOf(lamp), overFace, sharp);
}

/**
 * Light of each point of a face (by its place along and across) on one receiver, for unit flux; null where no point shines.
 * Made ready once for all points of the face, since they share their height over the receiver.
 */
type OverFace = (
  frame: Frame,
  dx: number,
  dy: number,
  dz: number,
  nx: number,
  ny: number,
  nz: number,
) => ((su: number, sv: number) => number) | null;

/** A beam of cosⁿθ: all points of the face are equally high over the receiver, so one power is left for each. */
function beamOver(n: number): OverFace {
  const half = (n + 3) / 2;
  return ({ u, v, w }, dx, dy, dz, nx, ny, nz) => {
    const down = -(dx * w[0] + dy * w[1] + dz * w[2]);
    if (!(down > 0)) return null;
    const k = ((n + 1) / (2 * Math.PI)) * Math.pow(down, n);
    return (su, sv) => {
      const x = dx + su * u[0] + sv * v[0], y = dy + su * u[1] + sv * v[1], z = dz + su * u[2] + sv * v[2]; // prettier-ignore
      const facing = x * nx + y * ny + z * nz;
      return facing > 0 ? k * facing * Math.pow(x * x + y * y + z * z, -half) : 0;
    };
  };
}

interface Opening {
  readonly x: number;
  readonly y: number;
  readonly z: number;
  readonly ppf: number;
  readonly length: number;
  readonly width: number;
  readonly round?: boolean;
}

/** Sums an opening over points: diodes where they sit, otherwise by Gauss's rule with more points the nearer the receiver. */
function summed(
  lamp: Opening,
  frame: Frame,
  overFace: OverFace,
  sharp: number,
  diodes?: { readonly columns: number; readonly rows: number } | undefined,
): IrradianceAt {
  const { length, width, ppf, round = false } = lamp;
  const { u, v, w } = frame;
  const fixed = diodes && { a: evenlySpaced(diodes.columns), b: evenlySpaced(diodes.rows) };
  return (x, y, z, nx, ny, nz) => {
    const dx = lamp.x - x, dy = lamp.y - y, dz = lamp.z - z; // prettier-ignore
    const light = overFace(frame, dx, dy, dz, nx, ny, nz);
    if (!light) return 0;
    // How far the receiver is from the face: outside its outline, and off its plane.
    const ru = Math.max(0, Math.abs(dx * u[0] + dy * u[1] + dz * u[2]) - length / 2);
    const rv = Math.max(0, Math.abs(dx * v[0] + dy * v[1] + dz * v[2]) - width / 2);
    const away = Math.max(0.002, Math.hypot(ru, rv, dx * w[0] + dy * w[1] + dz * w[2]));
    const a = fixed ? fixed.a : round ? chordRule(pointsFor((length * sharp) / away)) : gaussLegendre(pointsFor((length * sharp) / away));
    const b = fixed ? fixed.b : gaussLegendre(pointsFor((width * sharp) / away));
    let sum = 0, whole = 0; // prettier-ignore
    for (let i = 0; i < a.at.length; i++) {
      // A round opening: the chord across at this place, weighted by its own length.
      const chord = round ? Math.sqrt(Math.max(0, 1 - 4 * a.at[i]! ** 2)) : 1;
      whole += a.weight[i]! * chord;
      for (let j = 0; j < b.at.length; j++) {
        const su = a.at[i]! * length, sv = b.at[j]! * width * chord; // prettier-ignore
        sum += a.weight[i]! * b.weight[j]! * chord * light(su, sv);
      }
    }
    return (ppf * sum) / whole;
  };
}

/** A sharper beam changes faster over the face and needs more points. */
const sharpnessOf = (n: number): number => Math.sqrt((n + 3) / 4);

const pointsFor = (sizes: number): number => (sizes === 0 ? 1 : Math.min(60, 2 + Math.ceil(2.2 * sizes)));

function evenlySpaced(n: number): { at: Float64Array; weight: Float64Array } {
  return { at: Float64Array.from({ length: n }, (_, i) => (i + 0.5) / n - 0.5), weight: new Float64Array(n).fill(1 / n) };
}

const chordRules = new Map<number, { at: Float64Array; weight: Float64Array }>();

/** Gauss–Chebyshev of the second kind on [−½, ½], made for what is weighted by the chord of a circle. Source: Abramowitz & Stegun, 25.4.40. */
function chordRule(n: number) {
  const known = chordRules.get(n);
  if (known) return known;
  const angle = (i: number) => (Math.PI * (i + 1)) / (n + 1);
  const rule = {
    at: Float64Array.from({ length: n }, (_, i) => Math.cos(angle(i)) / 2),
    weight: Float64Array.from({ length: n }, (_, i) => Math.sin(angle(i))), // times the chord, again sin
  };
  chordRules.set(n, rule);
  return rule;
}
