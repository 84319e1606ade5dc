import type { Radians } from '../../units/quantities';

export type Vec = readonly [number, number, number];

/** The axes of an emitter: its length, its width, and the direction in which it shines. */
export interface Frame {
  readonly u: Vec;
  readonly v: Vec;
  readonly w: Vec;
}

/**
 * The axes of an emitter after it has been tilted about its length, then pitched about its width, then turned about the
 * vertical. Untouched: length along x, width along y, shining straight down.
 *
 *     R = Rz(turn) · Ry(−pitch) · Rx(tilt)
 */
export function frameOf({ turn = 0, tilt = 0, pitch = 0 }: { turn?: Radians; tilt?: Radians; pitch?: Radians }): Frame {
  const [ct, st, cp, sp, cr, sr] = [Math.cos(tilt), Math.sin(tilt), Math.cos(pitch), Math.sin(pitch), Math.cos(turn), Math.sin(turn)];
  const turned = (x: number, y: number, z: number): Vec => [x * cr - y * sr, x * sr + y * cr, z];
  return { u: turned(cp, 0, sp), v: turned(-st * sp, ct, st * cp), w: turned(ct * sp, st, -ct * cp) };
}

export const isLevel = ({ tilt = 0, pitch = 0 }: { tilt?: Radians; pitch?: Radians }): boolean => tilt === 0 && pitch === 0;
