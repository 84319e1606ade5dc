import type { Tables } from '../../things/tables/Tables';
import type { Site } from '../../site/stand/Site';
import type { Day } from '../../units/day';
import type { Share } from '../../units/quantities';
import type { Truth } from './Truth';

export const EXERCISE_IDS = [
  'one-bulb',
  'too-near',
  'two-trays',
  'wrong-range',
  'old-tubes',
  'grey-sides',
  'red-blue',
  'advert',
  'two-crops',
  'away',
  'january-sill',
  'fair-trial',
  'tired-meter',
  'free',
] as const;
export type ExerciseId = (typeof EXERCISE_IDS)[number];

/** What has to come out of an exercise. */
export interface Goal {
  /** Of all seedlings, so many sound. */
  readonly sound: Share;
  /** The lamps may use no more than so much; null: not asked. */
  readonly kWh: number | null;
  /** Trays of these batches have to get the same light: their mean doses no farther apart than this; null: not asked. */
  readonly alike: { readonly arms: readonly (readonly string[])[]; readonly within: Share } | null;
}

/** A practice stand as it begins: what the person sees, and what is so. */
export interface Start {
  readonly site: Site;
  readonly truth: Truth;
  /** Batches that are up already, and for how many days; the others are seeds. */
  readonly raised: Readonly<Record<string, number>>;
}

/** A thing to learn, on a stand with a hidden truth. */
export interface Exercise {
  readonly id: ExerciseId;
  readonly level: 1 | 2 | 3;
  /** How long it runs. */
  readonly days: number;
  /** From this day on nobody comes by until the end; null: one may come every day. */
  readonly awayFrom: number | null;
  readonly goal: Goal;
  /** The day on which it plays; left out: today. */
  firstDay?(today: Day): Day;
  /** @param seed  the same seed is the same truth, so that two people can compare */
  start(seed: number, today: Day, tables: Tables): Start;
}
