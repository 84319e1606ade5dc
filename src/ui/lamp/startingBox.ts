import type { Box, BoxFigures, Technology } from '@/core/things/lamp/lampFromBox';
import type { Lamp, LampShape } from '@/core/things/lamp/Lamp';
import { colourOf } from '@/core/things/lamp/colourOf';

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
export const ROUND: readonly LampShape[] = ['bulb-bare', 'bulb-reflector', 'round-panel', 'coil'];

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
export function startingBox(lamp: Lamp, own: boolean): Box {
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
