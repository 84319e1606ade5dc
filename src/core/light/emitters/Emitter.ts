import type { Metres, Ppf, Ppfd, Radians } from '../../quantities';

/**
 * The primitive sources of light from which every lamp is built. All of them hang level and shine downward;
 * x runs along the width of the tier, y along its depth, z up. Places are those of the emitting point, axis or plane.
 */
export type Emitter = PointEmitter | TubeEmitter | RectEmitter | DiscEmitter;

interface Placed {
  readonly x: Metres;
  readonly y: Metres;
  readonly z: Metres;
  /** Photons it sends out altogether. */
  readonly ppf: Ppf;
}

/** A small source; `cosinePower` null shines evenly in all directions, n shines downward with cosⁿθ. */
export interface PointEmitter extends Placed {
  readonly kind: 'point';
  readonly cosinePower: number | null;
}

/** A thin diffuse cylinder: intensity ∝ the sine of the angle to its axis, all round, ends dark. */
export interface TubeEmitter extends Placed {
  readonly kind: 'tube';
  readonly length: Metres;
  /** Angle of the axis from x. */
  readonly turn: Radians;
}

/** A flat rectangle that shines downward, each point with cosⁿθ; a width of 0 is a strip. */
export interface RectEmitter extends Placed {
  readonly kind: 'rect';
  readonly length: Metres;
  readonly width: Metres;
  /** Angle of the length from x. */
  readonly turn: Radians;
  readonly cosinePower: number;
}

/** A flat round opening that shines downward, each point with cosⁿθ. */
export interface DiscEmitter extends Placed {
  readonly kind: 'disc';
  readonly radius: Metres;
  readonly cosinePower: number;
}

/** The light of one emitter on a level receiver that faces up, made ready once and asked at many places. */
export type LightAt = (x: Metres, y: Metres, z: Metres) => Ppfd;
