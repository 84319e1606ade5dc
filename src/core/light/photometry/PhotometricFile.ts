import type { Lumens, Metres, Watts } from '../../units/quantities';
import type { IntensityTable } from '../emitters/IntensityTable';

/** More than the floodlights of a stadium together: nothing that hangs over plants. */
export const MOST_LUMENS = 1e7; // consensus: the brightest single floodlights give some 2 · 10⁵ lm

/** A longer opening is a mistyped one. */
export const MOST_METRES = 100; // ours
/** Angles that are closer are the same one. */
export const LEAST_DEGREES = 1e-4; // ours; files give a tenth or a hundredth of a degree

/** What an open photometric file says of a lamp, brought to our axes: length along C = 0. */
export interface PhotometricFile {
  readonly name: string;
  /** All that leaves the lamp, summed over its table. */
  readonly lumens: Lumens;
  /** What the file states for its lamps before they leave the fitting; null for absolute photometry. */
  readonly lampLumens: Lumens | null;
  readonly power: Watts | null;
  /** Luminous opening; both 0 for a point. */
  readonly length: Metres;
  readonly width: Metres;
  readonly round: boolean;
  /** Normalised: its flux is 1. */
  readonly table: IntensityTable;
  /** The file's own words: maker's keywords and the like. */
  readonly notes: readonly string[];
}
