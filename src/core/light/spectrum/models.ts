import type { Kelvin } from '../../units/quantities';
import { chromaticityOf, tristimulus } from './colour';
import illuminants from './data/illuminants.json';
import { planck } from './planck';
import { spectrumFrom, type Nanometres, type Spectrum } from './Spectrum';

/** A band of light: its peak, its full width at half of the maximum, and its height. */
export type Band = readonly [peak: Nanometres, fwhm: Nanometres, height: number];

/** A bell-shaped band with that full width at half of its height. */
export const bell = (nm: Nanometres, [peak, fwhm, height]: Band): number => height * Math.exp(-4 * Math.LN2 * ((nm - peak) / fwhm) ** 2);

/** A light of several bands, every nanometre. */
export const bands = (...list: readonly Band[]): Spectrum =>
  spectrumFrom((nm) => list.reduce((sum, b) => sum + bell(nm, b), 0), 380, 800, 1);

/** A black body, which a glowing wire nearly is. Source: CIE 15:2004. */
export const blackBody = (kelvin: Kelvin): Spectrum => spectrumFrom((nm) => planck(nm, kelvin), 380, 800, 5);

/**
 * A phase of daylight by its colour temperature.
 *
 * @param kelvin  4000 … 25 000
 * @throws RangeError outside that range
 * Source: CIE 15:2004, 3.3: S = S₀ + M₁ S₁ + M₂ S₂.
 */
export function daylight(kelvin: Kelvin): Spectrum {
  if (!(kelvin >= 4000 && kelvin <= 25000)) throw new RangeError(`kelvin must be between 4000 and 25000, got ${kelvin}`);
  const t = 1e3 / kelvin;
  const x =
    kelvin <= 7000
      ? -4.607 * t ** 3 + 2.9678 * t ** 2 + 0.09911 * t + 0.244063
      : -2.0064 * t ** 3 + 1.9018 * t ** 2 + 0.24748 * t + 0.23704;
  const y = -3 * x * x + 2.87 * x - 0.275;
  const m = 0.0241 + 0.2562 * x - 0.7341 * y;
  const m1 = (-1.3515 - 1.7703 * x + 5.9114 * y) / m;
  const m2 = (0.03 - 31.4424 * x + 30.0717 * y) / m;
  return {
    start: 300,
    step: 10,
    power: illuminants.S0.map((s0, i) => Math.max(0, s0 + m1 * illuminants.S1[i]! + m2 * illuminants.S2[i]!)),
  };
}

/** A fluorescent lamp of the CIE's list. */
export const fluorescent = (name: 'F2' | 'F11' | 'F12'): Spectrum => ({ start: 380, step: 5, power: illuminants[name] });

/**
 * Where the phosphors of white LEDs of a colour rendering sit: the green-yellow band, and the orange-red one with the tail that it
 * has towards the deep red. Those of 80 and 90 are set so that lux per µmol and the far-red share meet the spectrum table within
 * 2 % and 2 points at every colour (spectrum.test.ts).
 */
const PHOSPHORS: Readonly<Record<70 | 80 | 90, readonly [readonly Band[], readonly Band[]]>> = {
  70: [[[545, 100.5, 1]], [[600, 93.5, 1]]], // prettier-ignore
  80: [[[541, 102, 1]], [[616, 97, 1], [670, 100, 0.06]]], // prettier-ignore
  90: [[[531.4, 103.2, 1]], [[630, 100.3, 1], [670, 100, 0.1]]], // prettier-ignore
};

/**
 * A white light of three parts, mixed so that it is as white as a wanted colour. What the parts weigh follows from the colour.
 *
 * @throws RangeError when no mixture of the three gives that colour
 */
export function whiteOf(wanted: Spectrum, blue: readonly Band[], green: readonly Band[], red: readonly Band[]): Spectrum {
  const { x, y } = chromaticityOf(wanted);
  // How far each part alone is from the wanted colour; the weighted sum must be on it.
  const off = (part: readonly Band[]) => {
    const [X, Y, Z] = tristimulus(bands(...part));
    return [X - x * (X + Y + Z), Y - y * (X + Y + Z)] as const;
  };
  const [p, a, b] = [off(blue), off(green), off(red)];
  const det = a[0] * b[1] - b[0] * a[1];
  const g = (b[0] * p[1] - p[0] * b[1]) / det;
  const r = (p[0] * a[1] - a[0] * p[1]) / det;
  if (!(g >= 0 && r >= 0)) throw new RangeError('these three parts give no such colour');
  const by = (part: readonly Band[], weight: number) => part.map(([peak, fwhm, height]): Band => [peak, fwhm, height * weight]);
  return bands(...blue, ...by(green, g), ...by(red, r));
}

/**
 * A white LED: a blue chip at 450 nm and two phosphor bands, as white as a black body of that temperature.
 *
 * @param kelvin  2200 … 8000
 * @param ra      colour rendering that the places of the bands stand for
 * Error: real lamps of one name differ by ±5 % in lux per µmol; pumps of 445 or 455 nm change it by 1 %.
 * Source: our model; places of the bands after the usual two-phosphor LEDs (garnet and nitride).
 */
export function whiteLed(kelvin: Kelvin, ra: 70 | 80 | 90 = 80): Spectrum {
  const [green, red] = PHOSPHORS[ra];
  return whiteOf(blackBody(kelvin), [[450, 20, 1]], green, red);
}
