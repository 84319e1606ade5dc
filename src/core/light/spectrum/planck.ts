import type { Kelvin } from '../../units/quantities';
import type { Nanometres } from './Spectrum';

/** Second radiation constant h c / k, m K. */
const C2 = 0.01438776877; // exact constants of the SI (2019), rounded at the last place

/** Relative power for each nanometre of a black body, 1 at 560 nm. Source: Planck 1900; CIE 15:2004, 3.1. */
export function planck(nm: Nanometres, kelvin: Kelvin): number {
  const at = (l: number) => 1 / (l ** 5 * Math.expm1(C2 / (l * 1e-9 * kelvin)));
  return at(nm) / at(560);
}
