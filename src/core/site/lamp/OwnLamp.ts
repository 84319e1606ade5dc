import type { Dimmer } from '../../things/lamp/dimming';
import type { Day } from '../../units/day';
import type { Hours, VoltAmperes, Watts } from '../../units/quantities';

export const NOISES = ['silent', 'hums', 'whines'] as const;
export type Noise = (typeof NOISES)[number];

export const DAMP_RATINGS = ['dry', 'damp', 'wet'] as const;
export type DampRating = (typeof DAMP_RATINGS)[number];

/** As many positions as a switch has. */
export const MOST_CHANNELS = 8;

/** As many as a file holds. */
export const MOST_OWN_LAMPS = 2000;

/** One lamp that the person owns: a thing, while a `Lamp` is a kind. */
export interface OwnLamp {
  readonly id: string;
  /** What the person calls it. */
  readonly name: string;
  readonly lampId: string;
  /** The fitting that it is; null, or one that is no longer there or of another kind: it lies in the cupboard. */
  readonly fittingId: string | null;
  readonly bought: Day | null;
  /** What it cost then, in the currency of the site; null: not stated. */
  readonly paid: number | null;
  /** Hours that it had burned at the beginning of a day; from there on its timer counts. Null: not known. */
  readonly counted: { readonly hours: Hours; readonly on: Day } | null;
  /** What a plug meter showed at full light; null: not measured. */
  readonly drawn: { readonly power: Watts; readonly load: VoltAmperes | null } | null;
  /** Null: it can't be dimmed. */
  readonly dimmer: Dimmer | null;
  /** Kinds between which its switch changes, the one that it is now among them: a colour each, or a mixture; empty: it has no such switch. */
  readonly channels: readonly string[];
  /** Where its own label differs from its kind; null: as its kind. */
  readonly rating: DampRating | null;
  readonly weight_kg: number | null;
  readonly noise: Noise | null;
  /** What is wrong with it; empty: nothing. */
  readonly fault: string;
  /** When it was put away for good; null: it is in use. */
  readonly retired: Day | null;
}

/** What is known of the very lamp of a fitting, on the day that is shown. */
export interface HungLamp {
  readonly id: string;
  readonly used_h: Hours | null;
  readonly drawn: OwnLamp['drawn'];
  readonly dimmer: Dimmer | null;
  readonly channels: readonly string[];
  readonly rating: DampRating | null;
  readonly weight_kg: number | null;
}
