import type { Metres } from '../../units/quantities';

/** How equal lamps hang: so many, side by side across the depth, with a gap between their edges. */
export interface LampRow {
  readonly count: number;
  readonly gap: Metres;
}
