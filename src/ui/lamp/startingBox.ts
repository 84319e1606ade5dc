import { isRoundShape } from '@/core/things/lamp/isRound';
import type { LampBox, BoxFigures, Technology } from '@/core/things/lamp/lampFromBox';
import type { Lamp, LampShape } from '@/core/things/lamp/Lamp';
import { colourOf } from '@/core/things/lamp/colourOf';
import { lampLibrary } from '@/core/things/lamp/lampLibrary';
import { showLength, type LengthUnit } from '@/core/units/length';

export const BEAM_BY_SHAPE: Readonly<Record<LampShape, number | null>> = {
  bar: 120,
  panel: 120,
  'round-panel': 120,
  coil: 120,
  'bulb-reflector': 95,
  'tube-bare': null,
  'tube-reflector': null,
  'bulb-bare': null,
  measured: null,
};

/** The usual size of lamps of a shape: the middle one of the lamp tables. */
export function usualSizeOf(shape: LampShape): Pick<LampBox, 'length' | 'width' | 'hole'> {
  const of = lampLibrary.filter((l) => l.shape === shape);
  const middle = (size: (l: Lamp) => number, fallback: number) => of.map(size).sort((a, b) => a - b)[Math.floor(of.length / 2)] ?? fallback;
  const width = middle((l) => l.width, 0.1);
  return { width, length: isRoundShape(shape) ? width : middle((l) => l.length, width), hole: middle((l) => l.spacing, width / 2) };
}

const SHORT_SHAPE: Readonly<Record<LampShape, string>> = {
  bar: 'bar',
  panel: 'panel',
  'round-panel': 'round panel',
  coil: 'coil of tape',
  'bulb-bare': 'bulb',
  'bulb-reflector': 'bulb in a reflector',
  'tube-bare': 'tube',
  'tube-reflector': 'tube in a reflector',
  measured: 'lamp from its file',
};

/** A name from the figures, for who types none: `LED bar 1.2 m, 36 W`. */
export function nameFromFigures({ technology, shape, length, power, emitters }: LampBox, unit: LengthUnit): string {
  const kind = technology.startsWith('led')
    ? 'LED'
    : technology.startsWith('fluorescent')
      ? 'Fluorescent'
      : technology === 'incandescent'
        ? 'Incandescent'
        : 'Discharge';
  const size = isRoundShape(shape) || shape === 'measured' ? '' : ` ${showLength(length, unit)}`;
  return `${kind} ${SHORT_SHAPE[shape]}${size}${emitters > 1 ? `, ${emitters} rows` : ''}, ${Number(power.toPrecision(3))} W`;
}

const NO_FIGURES: BoxFigures = { lumens: null, ppf: null, efficacy: null, ppfd: null, ppfdDistance: 0.3 };

function technologyOf({ spectrumId }: Lamp): Technology {
  if (spectrumId === 'led-hcri') return 'led-full';
  if (spectrumId === 'led-white-red') return 'led-white-red';
  if (spectrumId === 'fl-plant') return 'fluorescent-plant';
  if (spectrumId === 'led-pink') return 'led-pink';
  if (spectrumId === 'led-blurple') return 'led-red-blue';
  if (spectrumId.startsWith('fl')) return 'fluorescent';
  if (/incandescent|halogen/.test(spectrumId)) return 'incandescent';
  return /mh|hps/.test(spectrumId) ? 'discharge' : 'led';
}

/** The form as it opens: the person's own lamp as it was kept, or the one that hangs as a beginning for a new one. */
export function startingBox(lamp: Lamp, own: boolean): LampBox {
  const { fluxBasis: basis } = lamp;
  const believe =
    own && (basis === 'ppf' || basis === 'efficacy' || basis === 'unknown' || basis === 'photometry')
      ? basis
      : own && basis !== 'lumens'
        ? 'ppf'
        : 'lumens';
  const lumens = Math.round(lamp.lumens ?? lamp.ppf * colourOf(lamp).luxPerUmol);
  return {
    name: own ? lamp.name : '',
    technology: technologyOf(lamp),
    shape: lamp.shape,
    length: lamp.length,
    width: lamp.width,
    emitters: lamp.emitters,
    diodes: own ? lamp.diodes : null,
    hole: lamp.shape === 'coil' ? lamp.spacing : lamp.width / 2,
    power: lamp.power,
    cct: lamp.cct ?? 4000,
    beam_deg: lamp.beamFwhm === null ? BEAM_BY_SHAPE[lamp.shape] : Math.round((lamp.beamFwhm * 180) / Math.PI),
    figures: {
      ...NO_FIGURES,
      lumens: believe === 'lumens' ? lumens : own ? lamp.lumens : null,
      ppf: believe === 'ppf' ? Math.round(lamp.ppf * 10) / 10 : null,
      efficacy: believe === 'efficacy' ? Math.round((lamp.ppf / lamp.power) * 1000) / 1000 : null,
    },
    believe,
    map: null,
    measured: lamp.farField && { farField: lamp.farField, lumens: lamp.ppf * colourOf(lamp).luxPerUmol },
    curve: own ? lamp.curve : null,
  };
}
