import type { Lamp } from '../lamp/Lamp';
import type { SpectrumNote } from '../library/spectrumLibrary';
import { calibrate, compare } from './calibrate';
import { question, type Suspicion } from './question';
import type { Around } from './nominalAt';
import type { Reading } from './Reading';

/** Within what the other readings say, a lamp looked at elsewhere may honestly read this much less or more. */
const AMONG_READINGS = { low: 0.5, high: 2 } as const; // twice the nine-in-ten scatter of a hand and a cheap meter; our estimate

/**
 * Asks whether a reading can be right: against the other readings of the same lamp where there are any, else against its
 * box. A first reading of a lamp that states nothing is not questioned.
 */
export function suspicionsOf(
  reading: Reading,
  all: readonly Reading[],
  lamp: Lamp,
  spectrum: SpectrumNote,
  around: Around | null,
): Suspicion[] {
  const compared = compare([reading], lamp, spectrum, around)[0];
  if (!compared) return [];
  const others = calibrate(
    all.filter((r) => r.id !== reading.id),
    lamp,
    spectrum,
    around,
  );
  if (others) return question({ ...compared, ratio: compared.ratio / others.scale }, spectrum, AMONG_READINGS);
  return lamp.fluxBasis === 'unknown' ? [] : question(compared, spectrum);
}
