import type { Lamp } from '../../things/lamp/Lamp';
import type { SpectrumNote } from '../../light/spectrum/spectrumLibrary';
import type { Calibration } from '../reading/calibrate';
import { AS_NEW, maintenance, outputFor, UNKNOWN_LIVED, type Ageing } from '../../things/lamp/ageing';
import type { Uncertainty } from '../../judge/uncertainty/Band';

const CALIPER = 'US DOE CALiPER report series (2007–2016), measured against claimed output; rounded by us';
const CONSENSUS = 'our estimate, growers’ consensus';

/** Real lamps spread their light a little otherwise than their kind; readings in the middle do not tell. */
export const BEAM_UNCERTAINTY: Uncertainty = { why: 'beam-shape', low: 0.08, high: 0.08, source: CONSENSUS };

/** How far the flux of a lamp may be off by what it was taken from: half-widths of a nine-in-ten band. */
const BY_BASIS: Readonly<Record<Lamp['fluxBasis'], Omit<Uncertainty, 'why'>>> = {
  archetype: { low: 0.25, high: 0.2, source: `a typical lamp of its kind, not yours; ${CALIPER}` },
  lumens: { low: 0.15, high: 0.1, source: `lumens on the box; ${CALIPER}` },
  ppf: { low: 0.12, high: 0.08, source: `PPF on the box; ${CALIPER}` },
  unknown: { low: 0.6, high: 0.8, source: `nothing is stated; guessed from the watts, ${CONSENSUS}` },
  ppfd: { low: 0.15, high: 0.1, source: `one PPFD at a distance, as the box states it; ${CALIPER}` },
  map: { low: 0.15, high: 0.08, source: `a published map, perhaps taken between pale walls; ${CONSENSUS}` },
  photometry: { low: 0.08, high: 0.08, source: 'a photometric file; laboratories agree within about 4 %, lamps of one make within 10 %' },
  efficacy: { low: 0.2, high: 0.1, source: `efficacy on the box × watts; ${CALIPER}` },
};

/**
 * Why the light of a lamp that nobody has measured may differ from its box.
 *
 * The doubt of its age is about the expected lamp, which has faded already.
 */
export function uncertaintiesOfLamp(lamp: Lamp, spectrum: SpectrumNote, ageing: Ageing): Uncertainty[] {
  const uncertainties: Uncertainty[] = [{ why: 'box-label', ...BY_BASIS[lamp.fluxBasis] }];
  if (lamp.fluxBasis === 'lumens' || lamp.fluxBasis === 'archetype' || lamp.fluxBasis === 'photometry') {
    uncertainties.push({
      why: 'lumens-to-photons',
      low: 1 - spectrum.luxPerUmol / spectrum.luxPerUmolHigh,
      high: spectrum.luxPerUmol / spectrum.luxPerUmolLow - 1,
      source: spectrum.sources.find((s) => s.supports.includes('luxPerUmol'))?.cite ?? CONSENSUS,
    });
  }
  uncertainties.push(uncertaintyOfAge(lamp, ageing));
  uncertainties.push(BEAM_UNCERTAINTY);
  return uncertainties;
}

/** Of unknown age: anywhere between new and the end of its life. Otherwise lamps lose a third more or less than usual. */
function uncertaintyOfAge(lamp: Lamp, { view, used_h }: Ageing): Uncertainty {
  const source = lamp.sources.find((s) => s.supports.includes('lumenMaintenanceAtEnd'))?.cite ?? CONSENSUS;
  const at = (lived: number) => maintenance(lamp, lived * lamp.life_h);
  if (view === 'now' && used_h === null) {
    const { least, expected, most } = UNKNOWN_LIVED;
    return { why: 'age', low: 1 - at(most) / at(expected), high: at(least) / at(expected) - 1, source };
  }
  const lost = view === 'new' ? 0 : 1 - (view === 'end' ? lamp.maintenanceAtEnd : maintenance(lamp, used_h!));
  return { why: 'age', low: lost / 3, high: lost / 3, source };
}

/** Why the light of a set-up may differ from what is shown: by its readings where there are any, by its box otherwise. */
export function uncertaintiesOf(
  lamp: Lamp,
  spectrum: SpectrumNote,
  calibration: Calibration | null,
  ageing: Ageing = AS_NEW,
): readonly Uncertainty[] {
  if (!calibration) return uncertaintiesOfLamp(lamp, spectrum, ageing);
  const measured = [...calibration.uncertainties, BEAM_UNCERTAINTY];
  return ageing.view === 'now' ? measured : [...measured, uncertaintyOfOtherDay(lamp, ageing)];
}

/** Readings are of today; for another day of the lamp's life it is reckoned from there how much it fades in between. */
function uncertaintyOfOtherDay(lamp: Lamp, ageing: Ageing): Uncertainty {
  // Of unknown age: much of the fading between the two days may have happened already, or not yet.
  const fades = 0.9 * (1 / lamp.maintenanceAtEnd - 1);
  const third = Math.abs(1 - outputFor(lamp, ageing, true)) / 3;
  const unknown = ageing.used_h === null;
  return { why: 'age', low: third, high: unknown ? fades : third, source: CONSENSUS };
}
