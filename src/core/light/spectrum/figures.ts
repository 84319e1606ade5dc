import type { Kelvin, Share } from '../../units/quantities';
import { LUX_PER_FOOT_CANDLE } from '../../units/light';
import { chromaticityOf, cctOf, screenColourOf } from './colour';
import observer from './data/observer.json';
import { powerAt, type Nanometres, type Spectrum } from './Spectrum';

/** Photopic luminous efficacy at 555 nm, lm/W. */
export const LUMENS_PER_WATT = 683; // exact to 683.002; SI Brochure, 9th ed. (2019), K_cd
/** Micromoles of photons in a joule for each nanometre of wavelength: 1 / (h c N_A). */
export const UMOL_PER_JOULE_NM = 1 / 119.626565582; // µmol J⁻¹ nm⁻¹; exact constants of the SI (2019)

/** What a spectrum is worth, to the eye and to a plant. */
export interface SpectrumFigures {
  /** lx for each µmol m⁻² s⁻¹ of 400–700 nm. */
  readonly luxPerUmol: number;
  readonly footCandlesPerUmol: number;
  /** µmol of 400–700 nm for each joule radiated in 400–700 nm. */
  readonly umolPerJoule: number;
  /** Of the photons of 400–700 nm: 400–500, 500–600, 600–700 nm. */
  readonly blue: Share;
  readonly green: Share;
  readonly red: Share;
  /** Photons of 700–750 nm over those of 400–700 nm. */
  readonly farRed: number;
  /** Photons of 655–665 nm over those of 725–735 nm; null where there is no far-red. Source: Smith 1982, Annu. Rev. Plant Physiol. 33. */
  readonly redToFarRed: number | null;
  /** Correlated colour temperature; null where the light is too far from white to have one (|Duv| > 0.05, CIE 15). */
  readonly cct: Kelvin | null;
  /** sRGB of the lamp on a screen, as bright as the screen goes. */
  readonly colour: readonly [number, number, number];
}

/**
 * Works out what a spectrum is worth.
 *
 *     lx per µmol = 683 ∫ P V dλ / (∫ P λ dλ / h c N_A),   V over 380–780 nm, photons over 400–700 nm
 *
 * @throws RangeError when it has no power between 400 and 700 nm
 * Error: that of the table; for bands of 15 nm given every 5 nm under 0.1 %.
 * Source: definitions; checked against independent figures in spectrum.test.ts.
 */
export function figuresOf(spectrum: Spectrum): SpectrumFigures {
  const lumens = LUMENS_PER_WATT * integral(spectrum, 380, 780, visible);
  const photons = (from: Nanometres, to: Nanometres) => integral(spectrum, from, to, (nm) => nm * UMOL_PER_JOULE_NM);
  const par = photons(400, 700);
  if (!(par > 0)) throw new RangeError('a spectrum needs power between 400 and 700 nm');
  const far = photons(725, 735);
  const xy = chromaticityOf(spectrum);
  return {
    luxPerUmol: lumens / par,
    footCandlesPerUmol: lumens / par / LUX_PER_FOOT_CANDLE,
    umolPerJoule: par / integral(spectrum, 400, 700, () => 1),
    blue: photons(400, 500) / par,
    green: photons(500, 600) / par,
    red: photons(600, 700) / par,
    farRed: photons(700, 750) / par,
    redToFarRed: far > 1e-6 * par ? photons(655, 665) / far : null,
    cct: cctOf(xy),
    colour: screenColourOf(xy),
  };
}

/** Response of the eye, 0–1. */
export function visible(nm: Nanometres): number {
  const at = nm - 380;
  if (at < 0 || at > observer.v_1nm.length - 1) return 0;
  const i = Math.min(observer.v_1nm.length - 2, Math.floor(at));
  return observer.v_1nm[i]! + (observer.v_1nm[i + 1]! - observer.v_1nm[i]!) * (at - i);
}

/** Tables this fine are summed at their own points: what is smooth between them then counts in full. */
const FINE: Nanometres = 5;

/** ∫ P(λ) w(λ) dλ by trapezoids, at the spectrum's own points where these are at most 5 nm apart, else every nanometre. */
export function integral(spectrum: Spectrum, from: Nanometres, to: Nanometres, weight: (nm: Nanometres) => number): number {
  const { start } = spectrum;
  const step = spectrum.step <= FINE ? spectrum.step : 1;
  let sum = 0;
  let last = from;
  let before = powerAt(spectrum, from) * weight(from);
  for (let k = Math.floor((from - start) / step + 1e-9) + 1; last < to; k++) {
    const nm = Math.min(to, start + k * step);
    const here = powerAt(spectrum, nm) * weight(nm);
    sum += ((nm - last) * (before + here)) / 2;
    last = nm;
    before = here;
  }
  return sum;
}

/** Several lights together, each by its share of the photons of 400–700 nm. */
export function mixture(parts: readonly { readonly spectrum: Spectrum; readonly share: number }[]): Spectrum {
  const scaled = parts.map(({ spectrum, share }) => {
    const photons = integral(spectrum, 400, 700, (nm) => nm);
    if (!(photons > 0)) throw new RangeError('a spectrum needs power between 400 and 700 nm');
    return { spectrum, by: share / photons };
  });
  const power = Array.from({ length: 421 }, (_, i) => scaled.reduce((sum, s) => sum + s.by * powerAt(s.spectrum, 380 + i), 0));
  return { start: 380, step: 1, power };
}
