import type { Radians, Share } from '../../units/quantities';

export const CLIMATE_KINDS = ['cloudy-coast', 'inland', 'warm-dry-summer', 'dry', 'humid-warm', 'rainy-tropics', 'far-north'] as const;
export type ClimateKind = (typeof CLIMATE_KINDS)[number];

/** How much of the time between sunrise and sunset the sun shines, month by month from January. */
export interface Climate {
  /** One of the ready ones, typed by the person, or from a weather file. */
  readonly kind: ClimateKind | 'typed' | 'file';
  /** Of the weather file; empty otherwise. */
  readonly name: string;
  /** Twelve shares. */
  readonly sunshine: readonly Share[];
}

/**
 * Ready kinds, for the northern half of the world. Our reading of climate normals (WMO, 1991–2020) for towns of each kind, rounded; a
 * single place may be off by 0.1, a single month of one year by 0.2.
 */
const READY: Record<ClimateKind, readonly Share[]> = {
  'cloudy-coast': [0.21, 0.27, 0.32, 0.39, 0.41, 0.4, 0.4, 0.4, 0.38, 0.32, 0.25, 0.19],
  inland: [0.22, 0.3, 0.38, 0.45, 0.48, 0.48, 0.5, 0.5, 0.44, 0.36, 0.22, 0.18],
  'warm-dry-summer': [0.48, 0.52, 0.55, 0.58, 0.63, 0.7, 0.78, 0.77, 0.68, 0.59, 0.51, 0.46],
  dry: [0.72, 0.74, 0.76, 0.79, 0.83, 0.88, 0.84, 0.85, 0.87, 0.85, 0.79, 0.73],
  'humid-warm': [0.5, 0.52, 0.55, 0.6, 0.62, 0.61, 0.61, 0.62, 0.6, 0.62, 0.55, 0.5],
  'rainy-tropics': [0.48, 0.53, 0.55, 0.52, 0.48, 0.45, 0.46, 0.47, 0.43, 0.42, 0.42, 0.44],
  'far-north': [0.15, 0.3, 0.4, 0.45, 0.45, 0.44, 0.43, 0.38, 0.33, 0.26, 0.18, 0.1],
};

export const readyClimate = (kind: ClimateKind): Climate => ({ kind, name: '', sunshine: READY[kind] });

/** A kind to begin with, by latitude alone: the person knows better. */
export function usualClimate(latitude: Radians): ClimateKind {
  const degrees = (Math.abs(latitude) * 180) / Math.PI;
  if (degrees > 62) return 'far-north';
  if (degrees > 46) return 'cloudy-coast';
  if (degrees > 33) return 'warm-dry-summer';
  if (degrees > 18) return 'humid-warm';
  return 'rainy-tropics';
}

/** The share of a month at a place: ready kinds are turned by half a year south of the equator. @param month 0 … 11 */
export function sunshineOf({ kind, sunshine }: Climate, month: number, latitude: Radians): Share {
  const isReady = kind !== 'typed' && kind !== 'file';
  return sunshine[isReady && latitude < 0 ? (month + 6) % 12 : month] ?? 0;
}
