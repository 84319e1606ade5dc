import type { Kelvin } from '../../units/quantities';
import observer from './data/observer.json';
import { planck } from './planck';
import { powerAt, spectrumFrom, type Nanometres, type Spectrum } from './Spectrum';

export interface Chromaticity {
  readonly x: number;
  readonly y: number;
}

/** The observer's table is given every so many nanometres. */
const OBSERVER_STEP: Nanometres = 5;

/**
 * Tristimulus values of the 2° observer, by sums over the observer's own 5 nm, or over the spectrum's where that is finer: so a
 * line between two of them is not missed. Source: CIE 15:2004.
 */
export function tristimulus(spectrum: Spectrum): readonly [number, number, number] {
  const step = Math.min(OBSERVER_STEP, spectrum.step);
  const within = (list: readonly number[], place: number) => {
    const i = Math.min(list.length - 2, Math.floor(place));
    return list[i]! + (list[i + 1]! - list[i]!) * (place - i);
  };
  let X = 0, Y = 0, Z = 0; // prettier-ignore
  for (let from = 0; from <= 400; from += step) {
    const p = powerAt(spectrum, 380 + from);
    X += p * within(observer.x_5nm, from / OBSERVER_STEP);
    Y += p * within(observer.v_1nm, from);
    Z += p * within(observer.z_5nm, from / OBSERVER_STEP);
  }
  return [X, Y, Z];
}

/** @throws RangeError for a spectrum that the eye does not see at all */
export function chromaticityOf(spectrum: Spectrum): Chromaticity {
  const [X, Y, Z] = tristimulus(spectrum);
  const sum = X + Y + Z;
  if (!(sum > 0)) throw new RangeError('the eye sees nothing of this spectrum');
  return { x: X / sum, y: Y / sum };
}

/** CIE 1960 coordinates, in which nearness to a black body is measured. */
const uvOf = ({ x, y }: Chromaticity): readonly [number, number] => {
  const d = -2 * x + 12 * y + 3;
  return [(4 * x) / d, (6 * y) / d];
};

/** Farthest from the line of black bodies at which a colour temperature still means something. */
const FARTHEST_DUV = 0.05; // CIE 15:2004, 9.5

const locus = new Map<number, readonly [number, number]>();
function blackBodyUv(kelvin: Kelvin): readonly [number, number] {
  const known = locus.get(kelvin);
  if (known) return known;
  const uv = uvOf(chromaticityOf(spectrumFrom((nm) => planck(nm, kelvin), 380, 780)));
  if (locus.size < 4000) locus.set(kelvin, uv);
  return uv;
}

/**
 * Correlated colour temperature: of the black body nearest in the CIE 1960 diagram, looked for in equal steps of 1/T.
 *
 * @returns K, 1000 … 25 000; null where the nearest is farther than 0.05 or at the end of that range
 * Source: CIE 15:2004, 9.5. Error: under 0.1 % for the observer's 5 nm table.
 */
export function cctOf(xy: Chromaticity): Kelvin | null {
  const uv = uvOf(xy);
  const away = (mired: number) => {
    const [u, v] = blackBodyUv(Math.round(1e8 / mired) / 100);
    return Math.hypot(u - uv[0], v - uv[1]);
  };
  let best = 40;
  for (let m = 40; m <= 1000; m += 20) if (away(m) < away(best)) best = m;
  let low = best - 20, high = best + 20; // prettier-ignore
  for (let i = 0; i < 30; i++) {
    const [a, b] = [low + (high - low) / 3, high - (high - low) / 3];
    if (away(a) < away(b)) high = b;
    else low = a;
  }
  const mired = (low + high) / 2;
  return away(mired) > FARTHEST_DUV || mired <= 40 || mired >= 1000 ? null : 1e6 / mired;
}

/** The colour on a screen, as bright as it goes; what the screen cannot show is drawn towards white. Source: IEC 61966-2-1 (sRGB). */
export function screenColourOf({ x, y }: Chromaticity): readonly [number, number, number] {
  const [X, Z] = [x / y, (1 - x - y) / y];
  const linear = [3.2406 * X - 1.5372 - 0.4986 * Z, -0.9689 * X + 1.8758 + 0.0415 * Z, 0.0557 * X - 0.204 + 1.057 * Z];
  const lowest = Math.min(0, ...linear);
  const lifted = linear.map((c) => c - lowest);
  const most = Math.max(...lifted);
  const coded = lifted.map((c) => {
    const v = c / most;
    return Math.round(255 * (v <= 0.0031308 ? 12.92 * v : 1.055 * v ** (1 / 2.4) - 0.055));
  });
  return [coded[0]!, coded[1]!, coded[2]!];
}
