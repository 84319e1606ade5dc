import table from './data/spectra-notes.json';
import type { Source } from '../../units/Source';

/** What is known of a lamp's colour: lux for each µmol m⁻² s⁻¹, with the spread between lamps sold under one name. */
export interface SpectrumNote {
  readonly id: string;
  readonly name: string;
  readonly luxPerUmol: number;
  readonly luxPerUmolLow: number;
  readonly luxPerUmolHigh: number;
  readonly sources: readonly Source[];
}

export const spectrumLibrary: readonly SpectrumNote[] = table.spectra.map((row) => ({
  id: row.id,
  name: row.name,
  luxPerUmol: row.luxPerUmol,
  luxPerUmolLow: row.luxPerUmolLow,
  luxPerUmolHigh: row.luxPerUmolHigh,
  sources: row.sources as readonly Source[],
}));

const byId = new Map(spectrumLibrary.map((s) => [s.id, s]));

/** @throws RangeError for an id that the library does not hold: a caller's mistake, since readers let none through */
export function spectrumOf(id: string): SpectrumNote {
  const found = byId.get(id);
  if (!found) throw new RangeError(`no spectrum is called ${id}`);
  return found;
}
