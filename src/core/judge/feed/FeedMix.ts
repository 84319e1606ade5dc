import { YOUNG_CEILING } from './dilute';
import type { FeedForm, LabelBasis, Npk } from './feed';
import type { Litres } from '../../units/quantities';

/** A feed, how strong it is wanted, and the can that it goes into. */
export interface FeedMix {
  readonly label: Npk;
  readonly basis: LabelBasis;
  readonly form: FeedForm;
  readonly by: 'nitrogen' | 'label';
  /** Of nitrogen, mg/l. */
  readonly ppm: number;
  /** As the label says, g or ml. */
  readonly perLitre: number;
  readonly ceiling: Npk;
  readonly can: Litres;
}

/** Of a usual liquid feed, for young plants: what is there before anybody has said theirs. */
export const USUAL_MIX: FeedMix = {
  label: { N: 7, P: 5, K: 6 },
  basis: 'oxide',
  form: { kind: 'liquid-w/w', density_kg_per_L: 1.2 },
  by: 'nitrogen',
  ppm: 75,
  perLitre: 2,
  ceiling: YOUNG_CEILING,
  can: 2,
};
