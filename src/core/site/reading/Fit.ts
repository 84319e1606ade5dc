import type { Hours, Radians, Share } from '../../units/quantities';
import type { LitLamp } from './Reading';

/** What readings were found to say of a tier, kept with it: from then on every answer rests on that. */
export interface Fit {
  readonly id: string;
  /** When it was made, milliseconds since 1970 (UTC). */
  readonly made_ms: number;
  /** The readings that it rests on, and how many were left out. */
  readonly readingIds: readonly string[];
  readonly leftOut: number;
  readonly lamps: readonly FitOfLamp[];
  /** Reflectance by material of the sides, with its standard error; null: it was not asked or not told. */
  readonly sides: { readonly reflectances: Readonly<Record<string, Share>>; readonly error: Share } | null;
  /** Scatter of the readings about it, one standard deviation. */
  readonly scatter: Share;
  /** Its part of the doubt that all its readings share: their meter. Half-width, nine in ten. */
  readonly meter: Share;
  /** How the lamps hung, from the middle of the tier, and how many hours they had burned. */
  readonly lit: readonly LitLamp[];
  readonly used_h: Hours | null;
}

export interface FitOfLamp {
  readonly lampId: string;
  /** Over its box. */
  readonly scale: number;
  /** Relative standard error, without that of the meter. */
  readonly error: Share;
  /** Its beam where that was found. */
  readonly beamFwhm: Radians | null;
}

/** The fit that counts: the newest. */
export const fitInForce = ({ fits }: { readonly fits: readonly Fit[] }): Fit | null => fits[fits.length - 1] ?? null;
