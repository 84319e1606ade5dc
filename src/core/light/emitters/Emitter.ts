import type { IntensityTable } from './IntensityTable';
import type { Metres, Ppf, Ppfd, Radians } from '../../units/quantities';

/**
 * The primitive sources of light from which every lamp is built. Untilted they hang level and shine downward;
 * x runs along the width of the tier, y along its depth, z up. Places are those of the emitting point, axis or plane.
 */
export type Emitter = PointEmitter | TubeEmitter | RectEmitter | DiscEmitter | PhotometricEmitter;

interface Placed {
  readonly x: Metres;
  readonly y: Metres;
  readonly z: Metres;
  /** Photons it sends out altogether. */
  readonly ppf: Ppf;
  /** Turned about its own length, so that its face looks towards its own y; absent: 0. */
  readonly tilt?: Radians;
  /** One end (towards its own x) lifted above the other; absent: 0. */
  readonly pitch?: Radians;
}

/** A small source; `cosinePower` null shines evenly in all directions, n shines downward with cosⁿθ. */
export interface PointEmitter extends Placed {
  readonly kind: 'point';
  readonly cosinePower: number | null;
  readonly turn?: Radians;
}

/** A diffuse cylinder: intensity ∝ the sine of the angle to its axis, all round, ends dark. */
export interface TubeEmitter extends Placed {
  readonly kind: 'tube';
  readonly length: Metres;
  /** Absent or 0: a line. */
  readonly diameter?: Metres;
  /** A reflector keeps it from shining above its own level: what it sends out goes down, twice as strong. */
  readonly shaded?: boolean;
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
  /** Diodes in so many columns along the length and rows across it; absent: evenly bright. */
  readonly diodes?: { readonly columns: number; readonly rows: number };
}

/** A flat round opening that shines downward, each point with cosⁿθ. */
export interface DiscEmitter extends Placed {
  readonly kind: 'disc';
  readonly radius: Metres;
  readonly cosinePower: number;
  readonly turn?: Radians;
}

/** A measured far field laid over the luminous opening that its file states: every part of the opening shines by the table. */
export interface PhotometricEmitter extends Placed {
  readonly kind: 'photometric';
  readonly length: Metres;
  readonly width: Metres;
  readonly round: boolean;
  readonly turn: Radians;
  readonly table: IntensityTable;
}

/** The light of one emitter on a level receiver that faces up, made ready once and asked at many places. */
export type LightAt = (x: Metres, y: Metres, z: Metres) => Ppfd;

/** The light of one emitter on a receiver of any direction, by its place and its unit normal. */
export type IrradianceAt = (x: Metres, y: Metres, z: Metres, nx: number, ny: number, nz: number) => Ppfd;
