import { fail, ok, type Problem, type Result } from '../../units/result';
import type { Efficacy, Kelvin, Lumens, Metres, Ppf, Ppfd, Watts } from '../../units/quantities';
import { integral, UMOL_PER_JOULE_NM } from '../../light/spectrum/figures';
import type { Spectrum } from '../../light/spectrum/Spectrum';
import type { PhotonClaim } from './boxClaims';
import { colourOf, curveOf } from './colourOf';
import { fitToMap, type PpfdMap } from './fitToMap';
import { fluxFromPpfd } from './fluxFromPpfd';
import type { FarField, Lamp, LampShape } from './Lamp';

/** What makes the light; it decides colour, warmth, ageing and cautions. */
export type Technology =
  'led' | 'led-full' | 'led-white-red' | 'led-pink' | 'led-red-blue' | 'fluorescent' | 'fluorescent-plant' | 'incandescent' | 'discharge';

/** What a figure of the light may be believed from. */
export const BELIEFS = ['lumens', 'ppf', 'efficacy', 'ppfd', 'map', 'photometry', 'unknown'] as const;
export type Belief = (typeof BELIEFS)[number];

/** Figures of the light that a box may give; null: it does not. */
export interface BoxFigures {
  readonly lumens: Lumens | null;
  readonly ppf: Ppf | null;
  readonly efficacy: Efficacy | null;
  /** PPFD straight below, and how far below. */
  readonly ppfd: Ppfd | null;
  readonly ppfdDistance: Metres;
}

/** A lamp as a person reads it off its box. */
export interface LampBox {
  readonly name: string;
  readonly technology: Technology;
  readonly shape: LampShape;
  readonly length: Metres;
  readonly width: Metres;
  readonly emitters: number;
  /** Diodes along and across a panel; null: evenly bright. */
  readonly diodes: Lamp['diodes'];
  /** Width of the hole of a coil. */
  readonly hole: Metres;
  readonly power: Watts;
  readonly cct: Kelvin;
  /** Degrees; null where the lamp has no beam. */
  readonly beam_deg: number | null;
  readonly figures: BoxFigures;
  /** The figure that counts; `unknown`: the box says nothing, and the person will measure. */
  readonly believe: Belief;
  readonly map: PpfdMap | null;
  /** From a photometric file: how it shines, and how much. */
  readonly measured: { readonly farField: FarField; readonly lumens: Lumens } | null;
  /** From a file of its spectrum. */
  readonly curve: Spectrum | null;
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
  'led-full': 'LED-bar',
  'led-white-red': 'LED-bar',
  'led-pink': 'LED-bar',
  'led-red-blue': 'LED-blurple',
  fluorescent: 'T8',
  'fluorescent-plant': 'T8',
  incandescent: 'incandescent',
  discharge: 'MH',
};

/** Heat clearance, guessed efficacy (µmol/J, for lamps that state nothing) and end-of-life output by technology, after the lamp tables. */
const BY_TECHNOLOGY: Readonly<
  Record<Technology, { clearance: Metres; clearancePerRootWatt: Metres; guess: number; maintenance: number; life_h: number }>
> = {
  led: { clearance: 0.02, clearancePerRootWatt: 0.01, guess: 1.5, maintenance: 0.7, life_h: 30000 },
  'led-full': { clearance: 0.02, clearancePerRootWatt: 0.01, guess: 1.4, maintenance: 0.7, life_h: 30000 },
  'led-white-red': { clearance: 0.02, clearancePerRootWatt: 0.01, guess: 2, maintenance: 0.7, life_h: 30000 },
  'led-pink': { clearance: 0.02, clearancePerRootWatt: 0.01, guess: 1.4, maintenance: 0.7, life_h: 30000 },
  'led-red-blue': { clearance: 0.02, clearancePerRootWatt: 0.02, guess: 1.25, maintenance: 0.7, life_h: 30000 },
  fluorescent: { clearance: 0.04, clearancePerRootWatt: 0.003, guess: 0.9, maintenance: 0.88, life_h: 15000 },
  'fluorescent-plant': { clearance: 0.04, clearancePerRootWatt: 0.003, guess: 0.8, maintenance: 0.8, life_h: 15000 },
  incandescent: { clearance: 0.2, clearancePerRootWatt: 0.02, guess: 0.27, maintenance: 0.9, life_h: 1500 },
  discharge: { clearance: 0.3, clearancePerRootWatt: 0.02, guess: 0.9, maintenance: 0.75, life_h: 12000 },
};

/** The spectrum that comes nearest to a lamp whose box states its colour temperature. */
export function spectrumIdFor(technology: Technology, cct: Kelvin): string {
  switch (technology) {
    case 'led':
      return cct < 2850 ? 'led-2700' : cct < 3500 ? 'led-3000' : cct < 4500 ? 'led-4000' : cct < 5750 ? 'led-5000' : 'led-6500';
    case 'led-full':
      return 'led-hcri';
    case 'led-white-red':
      return 'led-white-red';
    case 'led-pink':
      return 'led-pink';
    case 'led-red-blue':
      return 'led-blurple';
    case 'fluorescent':
      return cct < 3500 ? 'fl-830' : cct < 5000 ? 'fl-840' : 'fl-865';
    case 'fluorescent-plant':
      return 'fl-plant';
    case 'incandescent':
      return 'incandescent';
    case 'discharge':
      return cct < 2500 ? 'hps' : 'mh';
  }
}

/** What converts the lumens of a box: its own spectrum, or the usual one of its kind and colour. */
export const colourOfBox = (box: LampBox) =>
  colourOf({ spectrumId: spectrumIdFor(box.technology, box.cct), curve: box.curve, name: box.name.trim() || 'This lamp' });

/** Photons radiated in 400–700 nm for each joule radiated at all: no lamp of this colour can make more of a joule of power. */
export function efficacyLimitOf(box: LampBox): Efficacy {
  const { spectrum } = curveOf({ spectrumId: spectrumIdFor(box.technology, box.cct), curve: box.curve });
  const photons = integral(spectrum, 400, 700, (nm) => nm * UMOL_PER_JOULE_NM);
  return Math.min(EFFICACY_LIMIT, photons / integral(spectrum, 380, 780, () => 1));
}

/** The figures of a box as photons, so that they can be held against each other. */
export function claimsOf(box: LampBox): readonly PhotonClaim[] {
  const { lumens, ppf, efficacy, ppfd, ppfdDistance } = box.figures;
  const claims: PhotonClaim[] = [];
  if (lumens !== null) claims.push({ what: 'lumens', ppf: lumens / colourOfBox(box).luxPerUmol });
  if (ppf !== null) claims.push({ what: 'ppf', ppf });
  if (efficacy !== null) claims.push({ what: 'efficacy', ppf: efficacy * box.power });
  if (ppfd !== null && ppfdDistance > 0 && fits(box))
    claims.push({ what: 'ppfd', ppf: fluxFromPpfd(lampOfBox(box, 'trial', 1, box.beam_deg), ppfd, ppfdDistance) });
  return claims.filter((c) => c.ppf > 0);
}

/** Whether its shape and size can be reckoned with. */
const fits = (box: LampBox) =>
  box.length >= 0 && box.width >= 0 && box.emitters >= 1 && (box.beam_deg === null || (box.beam_deg >= 5 && box.beam_deg <= 170));

/** A lamp from what its box says, or every field that cannot be right, with the reason. */
export function lampFromBox(box: LampBox, id: string): Result<Lamp> {
  const problems: Problem[] = [];
  const within = (at: string, value: number, low: number, high: number) => {
    if (!(value >= low && value <= high)) problems.push({ code: 'box/range', at, found: value, expected: `${low}–${high}` });
  };
  const smallest = box.shape === 'measured' ? 0 : 0.005;
  if (!box.name.trim()) problems.push({ code: 'box/empty', at: 'name' });
  within('length', box.length, smallest, 3);
  within('width', box.width, smallest, 2);
  within('emitters', box.emitters, 1, 12);
  within('power', box.power, 0.5, 2000);
  within('cct', box.cct, 1500, 20000);
  if (box.beam_deg !== null) within('beam_deg', box.beam_deg, 5, 170);
  if (box.shape === 'coil' && !(box.hole >= 0 && box.hole < box.width))
    problems.push({ code: 'box/range', at: 'hole', found: box.hole, expected: 'less than the outer width' });
  if (box.diodes) {
    within('diodes', box.diodes.columns, 1, 40);
    within('diodes', box.diodes.rows, 1, 40);
  }
  if (box.shape === 'measured' && !box.measured) problems.push({ code: 'box/no-file', at: 'photometry' });
  if (problems.length > 0) return fail(...problems);
  const fitted = box.believe === 'map' && box.map ? fitToMap(lampOfBox(box, id, 1, box.beam_deg), box.map) : null;
  const beam_deg = fitted?.beamFwhm ? Math.round((fitted.beamFwhm * 1800) / Math.PI) / 10 : box.beam_deg;
  const ppf =
    box.believe === 'map'
      ? fitted?.ppf
      : box.believe === 'photometry'
        ? box.measured && box.measured.lumens / colourOfBox(box).luxPerUmol
        : box.believe === 'unknown'
          ? BY_TECHNOLOGY[box.technology].guess * box.power
          : claimsOf(box).find((c) => c.what === box.believe)?.ppf;
  const at = box.believe === 'unknown' ? 'power' : box.believe;
  if (!ppf || !(ppf > 0)) return fail({ code: 'box/no-figure', at });
  if (ppf / box.power > efficacyLimitOf(box))
    return fail({ code: 'box/impossible', at, found: ppf / box.power, expected: efficacyLimitOf(box).toFixed(2) });
  return ok(lampOfBox(box, id, ppf, beam_deg));
}

function lampOfBox(box: LampBox, id: string, ppf: Ppf, beam_deg: number | null): Lamp {
  const kind = BY_TECHNOLOGY[box.technology];
  const emitters = Math.round(box.emitters);
  return {
    id,
    name: box.name.trim(),
    family: FAMILY[box.technology],
    shape: box.shape,
    length: box.length,
    width: box.width,
    emitters,
    spacing: box.shape === 'coil' ? box.hole : emitters > 1 ? box.width / emitters : 0,
    diodes: box.shape === 'panel' ? box.diodes : null,
    beamFwhm: beam_deg === null ? null : (beam_deg * Math.PI) / 180,
    power: box.power,
    ppf,
    fluxBasis: box.believe,
    lumens: box.figures.lumens,
    cct: box.cct,
    spectrumId: spectrumIdFor(box.technology, box.cct),
    curve: box.curve,
    farField: box.shape === 'measured' ? (box.measured?.farField ?? null) : null,
    maintenanceAtEnd: kind.maintenance,
    life_h: kind.life_h,
    common: false,
    heatClearance: Math.round((kind.clearance + kind.clearancePerRootWatt * Math.sqrt(box.power)) * 100) / 100,
    coolSurface: box.technology.startsWith('fluorescent') || (box.technology.startsWith('led') && box.power < 60),
    weight_kg: 1,
    base: null,
    ballast: null,
    linkable: false,
    locationRating: 'unknown',
    emitsUV: false,
    distrust: [],
    sources: [{ cite: 'typed from its box', kind: 'consensus', supports: ['all'] }],
  };
}
