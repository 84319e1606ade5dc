import type { StageName } from '../../things/crop/Crop';
import type { Metres } from '../../units/quantities';
import type { Day } from '../../units/day';

export const LOGGED_KINDS = [
  'emerged',
  'not-yet',
  'true-leaves',
  'potted-on',
  'stage',
  'height',
  'watered',
  'fed',
  'thinned',
  'moved',
  'trouble',
  'harvest',
  'note',
  'photo',
  'next-time',
  'air',
  'solution',
] as const;
export type LoggedKind = (typeof LOGGED_KINDS)[number];

/** The air about a batch since the day before: °C, and relative humidity in %; null: not looked at. */
export interface AirSeen {
  readonly low: number | null;
  readonly high: number | null;
  readonly humidity: number | null;
}

/** What a feed, or what runs off, was measured to be; null: not measured. */
export interface SolutionSeen {
  /** At 25 °C, mS/cm. */
  readonly ec: number | null;
  readonly ph: number | null;
}

/** What leaves show that is soon seen. */
export const LEAF_SIGNS = ['leaning', 'stretched', 'pale', 'burnt-tips'] as const;
export type LeafSign = (typeof LEAF_SIGNS)[number];

/** What an entry said before a correction. */
export type LoggedBefore = Pick<Logged, 'day' | 'height' | 'text' | 'weight_g' | 'air' | 'solution' | 'sign' | 'place'> & {
  /** Left out: of the kind that it is now. */
  readonly what?: LoggedKind;
};

/** What a person saw of a batch on a day. */
export interface Logged {
  readonly id: string;
  readonly day: Day;
  /** `not-yet`: nothing was up on that day; `stage`: from that day on it counts as being in a stage. */
  readonly what: LoggedKind;
  /** Of `height` alone: leaf tops above the compost. */
  readonly height: Metres | null;
  /** Of `stage` alone. */
  readonly stage: StageName | null;
  /** In the person's own words, of any kind; left out: none. */
  readonly text?: string;
  /** Of `height` measured on a photo: one standard deviation; left out: read off a rule. */
  readonly heightSd?: Metres;
  /** The photo that belongs to it, by its name in the photos of this browser; left out: none. */
  readonly photoId?: string;
  /** What stood here before it was corrected, the oldest first; left out: never corrected. */
  readonly was?: readonly LoggedBefore[];
  /** Of `air` alone. */
  readonly air?: AirSeen;
  /** Of `solution` alone. */
  readonly solution?: SolutionSeen;
  /** Of `trouble` alone: what the leaves show; left out: in words only. */
  readonly sign?: LeafSign;
  /** Of `trouble` with a sign: which ninth of the tray, row by row from its back left; left out: all of it. */
  readonly place?: number;
  /** Of `harvest` alone: fresh, without the tray; left out: not weighed. */
  readonly weight_g?: number;
}
