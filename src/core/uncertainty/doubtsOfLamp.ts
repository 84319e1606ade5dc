import type { Lamp } from '../lamp/Lamp';
import type { SpectrumNote } from '../library/spectrumLibrary';
import type { Calibration } from '../reading/calibrate';
import type { Doubt } from './Band';

const CALIPER = 'US DOE CALiPER report series (2007–2016), measured against claimed output; rounded by us';
const CONSENSUS = 'our estimate, growers’ consensus';

/** Real lamps spread their light a little otherwise than their kind; readings in the middle do not tell. */
export const DOUBT_OF_BEAM: Doubt = { why: 'beam-shape', low: 0.08, high: 0.08, source: CONSENSUS };

/** How far the flux of a lamp may be off by what it was taken from: half-widths of a nine-in-ten band. */
const BY_BASIS: Readonly<Record<Lamp['fluxBasis'], Omit<Doubt, 'why'>>> = {
  archetype: { low: 0.25, high: 0.2, source: `a typical lamp of its kind, not yours; ${CALIPER}` },
  lumens: { low: 0.15, high: 0.1, source: `lumens on the box; ${CALIPER}` },
  ppf: { low: 0.12, high: 0.08, source: `PPF on the box; ${CALIPER}` },
  unknown: { low: 0.6, high: 0.8, source: `nothing is stated; guessed from the watts, ${CONSENSUS}` },
  efficacy: { low: 0.2, high: 0.1, source: `efficacy on the box × watts; ${CALIPER}` },
};

/**
 * Why the light of a lamp that nobody has measured may differ from its box.
 *
 * Ageing only takes away: the lamp may be anywhere between new and the end of its life.
 */
export function doubtsOfLamp(lamp: Lamp, spectrum: SpectrumNote): Doubt[] {
  const doubts: Doubt[] = [{ why: 'box-label', ...BY_BASIS[lamp.fluxBasis] }];
  if (lamp.fluxBasis === 'lumens' || lamp.fluxBasis === 'archetype') {
    doubts.push({
      why: 'lumens-to-photons',
      low: 1 - spectrum.luxPerUmol / spectrum.luxPerUmolHigh,
      high: spectrum.luxPerUmol / spectrum.luxPerUmolLow - 1,
      source: spectrum.sources.find((s) => s.supports.includes('luxPerUmol'))?.cite ?? CONSENSUS,
    });
  }
  // Nine in ten of the way from new to the end of life, since its hours are not known.
  doubts.push({
    why: 'age',
    low: 0.9 * (1 - lamp.maintenanceAtEnd),
    high: 0,
    source: lamp.sources.find((s) => s.supports.includes('lumenMaintenanceAtEnd'))?.cite ?? CONSENSUS,
  });
  doubts.push(DOUBT_OF_BEAM);
  return doubts;
}

/** Why the light of a set-up may differ from what is shown: by its readings where there are any, by its box otherwise. */
export function doubtsOf(lamp: Lamp, spectrum: SpectrumNote, calibration: Calibration | null): readonly Doubt[] {
  return calibration ? [...calibration.doubts, DOUBT_OF_BEAM] : doubtsOfLamp(lamp, spectrum);
}
