import type { SpectrumNote } from '../library/spectrumLibrary';
import type { Kelvin, Metres, Watts } from '../quantities';
import { fail, ok, type Problem, type Result } from '../result';
import type { Lamp, LampShape } from './Lamp';

/** What makes the light; it decides colour, warmth, ageing and cautions. */
export type Technology = 'led' | 'led-pink' | 'led-red-blue' | 'fluorescent' | 'incandescent' | 'discharge';

/** What the box says of the light; one of three ways. */
export type BoxLight =
  | { readonly basis: 'lumens'; readonly lumens: number }
  | { readonly basis: 'ppf'; readonly ppf: number }
  | { readonly basis: 'efficacy'; readonly efficacy: number }
  /** The box says nothing; the person will measure. */
  | { readonly basis: 'unknown' };

/** A lamp as a person reads it off its box. */
export interface Box {
  readonly name: string;
  readonly technology: Technology;
  readonly shape: LampShape;
  readonly length: Metres;
  readonly width: Metres;
  readonly emitters: number;
  readonly power: Watts;
  readonly cct: Kelvin;
  /** Degrees; null where the lamp has no beam. */
  readonly beam_deg: number | null;
  readonly light: BoxLight;
}

/**
 * The most photons of 400–700 nm that a joule of electricity can become in a lamp: every joule a photon of 700 nm.
 *
 *     λ / (h c N_A) = 700 nm / 0.11963 J m mol⁻¹ = 5.85 µmol J⁻¹
 */
export const EFFICACY_LIMIT = 5.85; // µmol/J; exact constants of the SI (2019)
/** The best lamps that are sold; above it the box deserves a second look. */
export const EFFICACY_BEST = 3.8; // µmol/J; Kusuma et al. 2020, Horticulture Research 7, for red and blue diodes; rounded by us

const FAMILY: Readonly<Record<Technology, string>> = {
  led: 'LED-bar',
  'led-pink': 'LED-bar',
  'led-red-blue': 'LED-blurple',
  fluorescent: 'T8',
  incandescent: 'incandescent',
  discharge: 'MH',
};

/** Heat clearance, guessed efficacy (µmol/J, for lamps that state nothing) and end-of-life output by technology, after the lamp tables. */
const BY_TECHNOLOGY: Readonly<
  Record<Technology, { clearance: Metres; clearancePerRootWatt: Metres; guess: number; maintenance: number; life_h: number }>
> = {
  led: { clearance: 0.02, clearancePerRootWatt: 0.01, guess: 1.5, maintenance: 0.7, life_h: 30000 },
  'led-pink': { clearance: 0.02, clearancePerRootWatt: 0.01, guess: 1.4, maintenance: 0.7, life_h: 30000 },
  'led-red-blue': { clearance: 0.02, clearancePerRootWatt: 0.02, guess: 1.25, maintenance: 0.7, life_h: 30000 },
  fluorescent: { clearance: 0.04, clearancePerRootWatt: 0.003, guess: 0.9, maintenance: 0.88, life_h: 15000 },
  incandescent: { clearance: 0.2, clearancePerRootWatt: 0.02, guess: 0.27, maintenance: 0.9, life_h: 1500 },
  discharge: { clearance: 0.3, clearancePerRootWatt: 0.02, guess: 0.9, maintenance: 0.75, life_h: 12000 },
};

/** The spectrum that comes nearest to a lamp whose box states its colour temperature. */
export function spectrumIdFor(technology: Technology, cct: Kelvin): string {
  switch (technology) {
    case 'led':
      return cct < 2850 ? 'led-2700' : cct < 3500 ? 'led-3000' : cct < 4500 ? 'led-4000' : cct < 5750 ? 'led-5000' : 'led-6500';
    case 'led-pink':
      return 'led-pink';
    case 'led-red-blue':
      return 'led-blurple';
    case 'fluorescent':
      return cct < 3500 ? 'fl-830' : cct < 5000 ? 'fl-840' : 'fl-865';
    case 'incandescent':
      return 'incandescent';
    case 'discharge':
      return cct < 2500 ? 'hps' : 'mh';
  }
}

/**
 * A lamp from what its box says, or every field that cannot be right, with the reason.
 *
 * @param spectrum  the note for `spectrumIdFor(box.technology, box.cct)`
 */
export function lampFromBox(box: Box, id: string, spectrum: SpectrumNote): Result<Lamp> {
  const problems: Problem[] = [];
  const within = (at: string, value: number, low: number, high: number) => {
    if (!(value >= low && value <= high)) problems.push({ code: 'box/range', at, found: value, expected: `${low}–${high}` });
  };
  if (!box.name.trim()) problems.push({ code: 'box/empty', at: 'name' });
  within('length', box.length, 0.01, 3);
  within('width', box.width, 0.005, 2);
  within('emitters', box.emitters, 1, 12);
  within('power', box.power, 0.5, 2000);
  within('cct', box.cct, 1500, 20000);
  if (box.beam_deg !== null) within('beam_deg', box.beam_deg, 5, 170);
  const { light } = box;
  const kind = BY_TECHNOLOGY[box.technology];
  const ppf =
    light.basis === 'lumens'
      ? light.lumens / spectrum.luxPerUmol
      : light.basis === 'ppf'
        ? light.ppf
        : light.basis === 'efficacy'
          ? light.efficacy * box.power
          : kind.guess * box.power;
  const at = light.basis === 'unknown' ? 'power' : light.basis;
  if (!(ppf > 0)) problems.push({ code: 'box/range', at, found: ppf, expected: 'more than 0' });
  else if (box.power > 0 && ppf / box.power > EFFICACY_LIMIT) {
    problems.push({ code: 'box/impossible', at, found: ppf / box.power, expected: `at most ${EFFICACY_LIMIT}` });
  }
  if (problems.length > 0) return fail(...problems);
  return ok({
    id,
    name: box.name.trim(),
    family: FAMILY[box.technology],
    shape: box.shape,
    length: box.length,
    width: box.width,
    emitters: Math.round(box.emitters),
    spacing: box.emitters > 1 ? box.width / Math.round(box.emitters) : 0,
    beamFwhm: box.beam_deg === null ? null : (box.beam_deg * Math.PI) / 180,
    power: box.power,
    ppf,
    fluxBasis: light.basis,
    lumens: light.basis === 'lumens' ? light.lumens : null,
    cct: box.cct,
    spectrumId: spectrum.id,
    maintenanceAtEnd: kind.maintenance,
    life_h: kind.life_h,
    common: false,
    heatClearance: Math.round((kind.clearance + kind.clearancePerRootWatt * Math.sqrt(box.power)) * 100) / 100,
    coolSurface: box.technology === 'fluorescent' || (box.technology.startsWith('led') && box.power < 60),
    weight_kg: 1,
    base: null,
    ballast: null,
    linkable: false,
    locationRating: 'unknown',
    emitsUV: false,
    distrust: [],
    sources: [{ cite: 'typed from its box', kind: 'consensus', supports: ['all'] }],
  });
}
