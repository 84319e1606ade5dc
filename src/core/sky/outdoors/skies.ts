import type { Ppfd } from '../../units/quantities';

/** Power on flat ground outdoors. */
export interface Outdoors {
  /** On level ground, W m⁻². */
  readonly global: number;
  /** Of it from the sky beside the sun. */
  readonly diffuse: number;
  /** From the sun, on a face turned to it. */
  readonly beam: number;
}

export const SOLAR_CONSTANT_W_per_m2 = 1361; // ±0.5; Kopp & Lean 2011, Geophys. Res. Lett. 38:L01706
/** 0.45 of the power of daylight lies within 400–700 nm (±0.03), at 4.57 µmol per joule there; Thimijan & Heins 1983, HortScience 18:818–822. */
export const UMOL_PER_J = 0.45 * 4.57;
export const GROUND_ALBEDO = 0.2; // grass and streets, 0.1–0.3; the usual figure, Liu & Jordan 1963
/** Of what reaches the air from outside, this share comes through a closed cloud cover: a convention, single days 0.1–0.4. */
export const OVERCAST_SHARE = 0.25;

/** Of what an overcast sky gives to level ground an upright face gets this share, ground apart; from (1 + 2 sin γ)/3, Moon & Spencer 1942. */
export const OVERCAST_UPRIGHT = 0.5 * (1 + 8 / (3 * Math.PI)) * (3 / 7); // = 0.39618

/** How much nearer the sun is than in the mean, as power. @param dayOfYear 1 … 366. Source: Duffie & Beckman (2013), eq. 1.4.1a */
export const nearness = (dayOfYear: number): number => 1 + 0.033 * Math.cos((2 * Math.PI * dayOfYear) / 365);

/** Share of the global light that is diffuse. @param kt  clearness, 0 … 1. Source: Erbs, Klein & Duffie 1982, Solar Energy 28:293–302 */
export function diffuseShare(kt: number): number {
  if (kt <= 0.22) return 1 - 0.09 * kt;
  if (kt <= 0.8) return 0.9511 - 0.1604 * kt + 4.388 * kt ** 2 - 16.638 * kt ** 3 + 12.336 * kt ** 4;
  return 0.165;
}

export const NO_SKY_LIGHT: Outdoors = { global: 0, diffuse: 0, beam: 0 };

/**
 * A cloudless sky.
 *
 *     G = 1098 c · exp(−0.057 / c),   c = sin(elevation)
 *
 * @param c       sine of the sun's height; nothing below the horizon
 * @param beyond  power on a face turned to the sun outside of the air, W m⁻²
 * Error: some 5–10 % between clean and hazy air.
 * Source: Haurwitz 1945, J. Meteorol. 2:154–166; diffuse share by `diffuseShare`.
 */
export function clearSky(c: number, beyond: number): Outdoors {
  if (!(c > 0)) return NO_SKY_LIGHT;
  const global = 1098 * c * Math.exp(-0.057 / c);
  const diffuse = global * diffuseShare(global / (beyond * c));
  return { global, diffuse, beam: (global - diffuse) / c };
}

/** A closed cloud cover: all of it is diffuse, brightest overhead. */
export function overcastSky(c: number, beyond: number): Outdoors {
  if (!(c > 0)) return NO_SKY_LIGHT;
  const global = OVERCAST_SHARE * beyond * c;
  return { global, diffuse: global, beam: 0 };
}

export const ppfdOf = (power_W_per_m2: number): Ppfd => power_W_per_m2 * UMOL_PER_J;
