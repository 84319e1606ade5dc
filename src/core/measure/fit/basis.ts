import { cosinePowerOfBeam } from '../../light/emitters/cosinePower';
import type { Emitter } from '../../light/emitters/Emitter';
import type { Room } from '../../light/room/Room';
import { lightFieldOf } from '../../light/scene/LightField';
import { createCache, type Cache } from '../../light/scene/Cache';
import type { Metres, Ppfd, Radians } from '../../units/quantities';
import type { FitQuestion } from './FitQuestion';

/** A place of which it is asked what each lamp gives there. */
export interface BasisPlace {
  readonly scene: number;
  readonly x: Metres;
  readonly y: Metres;
  readonly z: Metres;
}

/** What each lamp gives at each place, for any reflectance of the sides and any beam. */
export interface LightBasis {
  /**
   * @param shift  of the sides, in ln(ρ / (1 − ρ))
   * @param beam   ln of the beam over the beam on the box
   * @returns PPFD by lamp and place, lamp after lamp
   */
  at(shift: number, beam: number): Float64Array;
}

/** Reflectances of the sides at which the light is settled; in between it is drawn through four of them. */
const REFLECTANCES = [0.01, 0.2, 0.4, 0.58, 0.73, 0.85, 0.93, 0.97];
/** Beams at which it is, over that on the box. */
const BEAMS = [0.5, 0.68, 0.84, 1, 1.18, 1.4, 1.7].map(Math.log);
const WIDEST: Radians = (172 * Math.PI) / 180;

const logit = (p: number) => Math.log(p / (1 - p));
const share = (l: number) => 1 / (1 + Math.exp(-l));

/** The room with the faces that are asked shifted. */
export function shifted(room: Room, sides: FitQuestion['sides'], shift: number): Room {
  if (shift === 0) return room;
  const faces = { ...room.faces };
  for (const name of sides) {
    const { reflectance, transmittance } = faces[name];
    if (reflectance > 0) faces[name] = { ...faces[name], reflectance: Math.min(1 - transmittance, share(logit(reflectance) + shift)) };
  }
  return { ...room, faces };
}

/** Mean reflectance of the faces that are asked. */
export function meanReflectance(room: Room, sides: FitQuestion['sides'], shift: number): number {
  const moved = shifted(room, sides, shift);
  return sides.reduce((sum, name) => sum + moved.faces[name].reflectance, 0) / sides.length;
}

/**
 * Settles the light once for each of a few reflectances and beams.
 *
 * Error: between them under 0.5 % (fitLight.test.ts).
 *
 * @param onShare  told how much of it is done, 0–1
 */
export function basisOf(
  { lamps, scenes, room, sides }: FitQuestion,
  places: readonly BasisPlace[],
  onShare: (done: number) => void = () => undefined,
): LightBasis {
  const asksSides = room !== null && sides.length > 0;
  const middle = asksSides ? logit(meanReflectance(room, sides, 0)) : 0;
  const shifts = asksSides ? REFLECTANCES.map((r) => logit(r) - middle) : [0];
  const beams = lamps.some((l) => l.beamFwhm !== null) ? BEAMS : [0];
  const nodes = shifts.map(() => beams.map(() => new Float64Array(lamps.length * places.length)));
  const whole = shifts.length * beams.length;
  const cache: Cache = createCache(64);
  shifts.forEach((shift, i) => {
    const walls = room && shifted(room, sides, shift);
    beams.forEach((beam, j) => {
      for (let g = 0; g < lamps.length; g++) {
        const own = lamps[g]!.beamFwhm;
        // A lamp without a beam to fit shines the same whatever the beams of the others.
        if (own === null && j > 0) {
          nodes[i]![j]!.set(nodes[i]![0]!.subarray(g * places.length, (g + 1) * places.length), g * places.length);
          continue;
        }
        scenes.forEach((scene, s) => {
          const emitters = scene.emitters[g]!.map((e) => (own === null ? e : withBeam(e, Math.min(WIDEST, own * Math.exp(beam)))));
          if (emitters.length === 0) return;
          const field = lightFieldOf({ lamps: [{ id: 'lamp', emitters }], rooms: walls ? [walls] : [], obstructions: [] }, cache);
          places.forEach((p, k) => {
            if (p.scene === s) nodes[i]![j]![g * places.length + k] = field.ppfdAt(p.x, p.y, p.z);
          });
        });
      }
      onShare((i * beams.length + j + 1) / whole);
    });
  });
  return {
    at(shift, beam) {
      // Light grows smoothly with the reflectance itself, not with its logit.
      const ws = weights(asksSides ? REFLECTANCES : [0], asksSides ? share(middle + shift) : 0);
      const wb = weights(beams, beam);
      const out = new Float64Array(lamps.length * places.length);
      ws.forEach((u, i) => {
        if (u === 0) return;
        wb.forEach((v, j) => {
          if (v === 0) return;
          const node = nodes[i]![j]!;
          for (let k = 0; k < out.length; k++) out[k]! += u * v * node[k]!;
        });
      });
      return out;
    },
  };
}

function withBeam(e: Emitter, fwhm: Radians): Emitter {
  if (!('cosinePower' in e) || e.cosinePower === null) return e;
  return { ...e, cosinePower: cosinePowerOfBeam(fwhm) };
}

/** Weights of the nodes for a value between them: Lagrange through the four around it; beyond the ends, the end. */
function weights(nodes: readonly number[], value: number): number[] {
  const all = nodes.map(() => 0);
  if (nodes.length < 4) {
    all[0] = 1;
    return all;
  }
  const v = Math.min(nodes[nodes.length - 1]!, Math.max(nodes[0]!, value));
  let first = 0;
  while (first < nodes.length - 4 && v > nodes[first + 2]!) first++;
  for (let a = first; a < first + 4; a++) {
    let w = 1;
    for (let b = first; b < first + 4; b++) if (b !== a) w *= (v - nodes[b]!) / (nodes[a]! - nodes[b]!);
    all[a] = w;
  }
  return all;
}

/** What falls at one place of a basis when each lamp gives so many times its box. */
export function lightAt(unit: Float64Array, place: number, places: number, scales: readonly number[]): Ppfd {
  let sum = 0;
  for (let g = 0; g < scales.length; g++) sum += scales[g]! * unit[g * places + place]!;
  return sum;
}
