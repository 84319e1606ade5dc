import type { Metres } from '../quantities';

/** How equal lamps hang: so many, side by side across the depth, with a gap between their edges. */
export interface LampRow {
  readonly count: number;
  readonly gap: Metres;
}
