import { spectrumOf, type SpectrumNote } from '../../light/spectrum/spectrumLibrary';
import { figuresOf } from '../../light/spectrum/figures';
import { lampSpectrumOf } from '../../light/spectrum/lampSpectra';
import type { Spectrum } from '../../light/spectrum/Spectrum';
import type { Lamp } from './Lamp';

/** How far the factor of a measured spectrum may be off: its own error, and lamps of one make that differ. */
const OWN_CURVE_DOUBT = 0.03; // our estimate

/** What converts this lamp's lux: its own measured spectrum where it has one, else the usual one of its kind. */
export function colourOf({ spectrumId, curve, name }: Pick<Lamp, 'spectrumId' | 'curve' | 'name'>): SpectrumNote {
  if (!curve) return spectrumOf(spectrumId);
  const { luxPerUmol } = figuresOf(curve);
  return {
    id: 'own',
    name: `${name}, as measured`,
    luxPerUmol: Math.round(luxPerUmol * 10) / 10,
    luxPerUmolLow: luxPerUmol * (1 - OWN_CURVE_DOUBT),
    luxPerUmolHigh: luxPerUmol * (1 + OWN_CURVE_DOUBT),
    sources: [{ cite: 'its own spectrum, from a file', kind: 'consensus', supports: ['luxPerUmol'] }],
  };
}

/** The curve to be drawn and mixed, and what it is made from. */
export function curveOf({ spectrumId, curve }: Pick<Lamp, 'spectrumId' | 'curve'>): { readonly spectrum: Spectrum; readonly made: string } {
  return curve ? { spectrum: curve, made: 'measured: from a file' } : lampSpectrumOf(spectrumId);
}
