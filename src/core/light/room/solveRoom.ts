import type { Ppf } from '../../units/quantities';
import { sends, type FacePatches, type Patches } from './patches';

/** What each patch sends into a room once all reflections have settled: reflected, and let in from the room next door. */
export interface Settled {
  readonly sent: Float64Array;
  readonly converged: boolean;
}

/** A sender that reflects nothing (bare wire) is taken to reflect this much, so that it can stand in the same equations. */
const NEARLY_NOTHING = 1e-9;

/** What is left over of the equations, as a share of what was put in, at which the light has settled. */
const ENOUGH = 3e-4;
const TURNS = 200;

/**
 * Diffuse light going to and fro between the patches until it settles (radiosity), by conjugate gradients on the symmetric
 * form of the equations.
 *
 *     Bᵢ = ρᵢ (Dᵢ + Σⱼ Fᵢⱼ Bⱼ) + Xᵢ    ⇔    (1 − S) y = g,   yᵢ = √(Aᵢ/ρᵢ) Bᵢ,   Sᵢⱼ = √(ρᵢρⱼ) · √(Aᵢ/Aⱼ) Fᵢⱼ
 *
 * @param direct   light straight from the lamps on each patch, mean over the patch, µmol m⁻² s⁻¹
 * @param entering light that each patch sends in from outside (through a wire shelf); absent: none
 * @param start    an earlier result for the same room, to begin from: a lamp that moved a little settles in few turns
 * @returns converged is false where even two hundred turns were not enough (reflectances of 1 all round)
 * Source: Goral et al. 1984, "Modeling the interaction of light between diffuse surfaces"; Hestenes & Stiefel 1952.
 */
export function settle(patches: Patches, direct: Float64Array, entering?: Float64Array, start?: Settled): Settled {
  const { count, area, reflectance, senders } = patches;
  const n = senders.length;
  const half = Float64Array.from(senders, (i) => Math.sqrt(Math.max(reflectance[i]!, NEARLY_NOTHING)));
  const root = half.map((h, k) => Math.sqrt(area[senders[k]!]!) / h);
  const scaled = new Float64Array(n);
  const own = new Float64Array(n);
  for (let k = 0; k < n; k++) {
    const i = senders[k]!;
    own[k] = root[k]! * (reflectance[i]! * direct[i]! + (entering ? entering[i]! : 0));
  }
  // Where nothing is put in nothing is sent, whatever there was before.
  if (square(own) === 0) return { sent: new Float64Array(count), converged: true };
  const y = new Float64Array(own);
  if (start) for (let k = 0; k < n; k++) y[k] = root[k]! * start.sent[senders[k]!]!;
  const rest = new Float64Array(n);
  const step = new Float64Array(n);
  lessExchange(patches, half, y, rest, scaled);
  for (let i = 0; i < n; i++) step[i] = rest[i] = own[i]! - rest[i]!;
  const enough = ENOUGH ** 2 * square(own);
  let left = square(rest);
  const image = new Float64Array(n);
  for (let turn = 0; turn < TURNS && left > enough; turn++) {
    lessExchange(patches, half, step, image, scaled);
    let along = 0;
    for (let i = 0; i < n; i++) along += step[i]! * image[i]!;
    const far = left / along;
    for (let i = 0; i < n; i++) {
      y[i]! += far * step[i]!;
      rest[i]! -= far * image[i]!;
    }
    const now = square(rest);
    for (let i = 0; i < n; i++) step[i] = rest[i]! + (now / left) * step[i]!;
    left = now;
  }
  const sent = new Float64Array(count);
  for (let k = 0; k < n; k++) sent[senders[k]!] = Math.max(0, y[k]! / root[k]!);
  return { sent, converged: left <= enough };
}

/**
 * out = (1 − S) x. S is symmetric: what two faces send each other is read once and counts for both; no patch sees another of its own face.
 *
 * @param half    square roots of the reflectances of the senders
 * @param scaled  to work in
 */
function lessExchange(
  { faces, count, formFactors }: Patches,
  half: Float64Array,
  x: Float64Array,
  out: Float64Array,
  scaled: Float64Array,
): void {
  out.fill(0);
  for (let i = 0; i < x.length; i++) scaled[i] = half[i]! * x[i]!;
  const sending = faces.filter(sends);
  let fromA = 0;
  for (let ka = 0; ka < sending.length; ka++) {
    const a = sending[ka]!;
    const inA = a.columns * a.rows;
    let fromB = fromA + inA;
    for (const b of sending.slice(ka + 1)) {
      const inB = b.columns * b.rows;
      const sizes = Math.sqrt((a.di * a.dj) / (b.di * b.dj));
      for (let i = 0; i < inA; i++) {
        const row = (a.first + i) * count + b.first;
        const own = sizes * scaled[fromA + i]!;
        let sum = 0, more = 0, j = 0; // prettier-ignore
        for (; j < inB - 1; j += 2) {
          const p = formFactors[row + j]!, q = formFactors[row + j + 1]!; // prettier-ignore
          sum += p * scaled[fromB + j]!;
          more += q * scaled[fromB + j + 1]!;
          out[fromB + j]! += p * own;
          out[fromB + j + 1]! += q * own;
        }
        if (j < inB) {
          sum += formFactors[row + j]! * scaled[fromB + j]!;
          out[fromB + j]! += formFactors[row + j]! * own;
        }
        out[fromA + i]! += sizes * (sum + more);
      }
      fromB += inB;
    }
    fromA += inA;
  }
  for (let i = 0; i < x.length; i++) out[i] = x[i]! - half[i]! * out[i]!;
}

function square(x: Float64Array): number {
  let sum = 0;
  for (let i = 0; i < x.length; i++) sum += x[i]! * x[i]!;
  return sum;
}

/** Light that falls on each patch of a settled room, straight from lamps and from the other patches, µmol m⁻² s⁻¹. */
export function incidentOn(patches: Patches, settled: Settled, direct: Float64Array): Float64Array {
  const incident = fromOtherPatches(patches, settled, patches.faces);
  for (let i = 0; i < incident.length; i++) incident[i]! += direct[i]!;
  return incident;
}

/** The part of it that comes from the other patches, on the patches of some faces; 0 on all others. */
export function fromOtherPatches({ count, formFactors, senders }: Patches, { sent }: Settled, faces: readonly FacePatches[]): Float64Array {
  const arriving = new Float64Array(count);
  for (const f of faces)
    for (let i = f.first; i < f.first + f.columns * f.rows; i++) {
      let sum = 0;
      for (let j = 0; j < senders.length; j++) sum += formFactors[i * count + senders[j]!]! * sent[senders[j]!]!;
      arriving[i] = sum;
    }
  return arriving;
}

/** Where the photons of a settled room went, µmol s⁻¹. */
export interface Balance {
  readonly absorbed: Ppf;
  readonly left: Ppf;
}

export function balanceOf(patches: Patches, settled: Settled, direct: Float64Array): Balance {
  const incident = incidentOn(patches, settled, direct);
  let absorbed = 0, left = 0; // prettier-ignore
  for (const f of patches.faces) {
    for (let k = f.first; k < f.first + f.columns * f.rows; k++) {
      const falls = incident[k]! * patches.area[k]!;
      absorbed += falls * (1 - patches.reflectance[k]! - f.transmittance);
      left += falls * f.transmittance;
    }
  }
  return { absorbed, left };
}
