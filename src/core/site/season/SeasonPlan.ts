import type { Day } from '../../units/day';

/** A day of the year without a year; 29 February of a common year is 1 March. */
export interface YearDay {
  /** 1 … 12 */
  readonly month: number;
  readonly day: number;
}

/** One row of a table of late frosts: in so many of a hundred years a frost still comes after this day. */
export interface FrostRow extends YearDay {
  readonly laterPercent: number;
}

/** How the last frost of a place is known. */
export type LastFrost =
  | { readonly kind: 'unknown' }
  | ({ readonly kind: 'day' } & YearDay)
  | { readonly kind: 'table'; readonly rows: readonly FrostRow[]; readonly riskPercent: number };

/** A season as it is planned: what is known of the weather outside, and what is to be sown. */
export interface SeasonPlan {
  readonly name: string;
  /** In which the plants go out. */
  readonly year: number;
  readonly lastFrost: LastFrost;
  /** The first frost of autumn; null: not known. */
  readonly firstFrost: YearDay | null;
  /** Mean night minima by month from January, °C; null: not known. */
  readonly nights: readonly number[] | null;
  readonly hardeningDays: number;
  readonly batches: readonly PlannedBatch[];
}

/** A container that a planned batch stands in, from so many days after emergence; the first from sowing. */
export interface PlannedContainer {
  readonly containerId: string;
  readonly fromDay: number;
}

export const GOALS = ['outdoors', 'ready'] as const;

/** A batch that is to be sown, or has been. */
export interface PlannedBatch {
  readonly id: string;
  readonly cropId: string;
  /** What the person calls it; empty: by its crop. */
  readonly label: string;
  readonly sown: Day;
  /** When it goes out, or is ready and leaves the shelves. */
  readonly out: Day;
  readonly goal: (typeof GOALS)[number];
  /** Cells or pots that are sown. */
  readonly cells: number;
  /** Of a hundred cells, in how many something comes up. */
  readonly filledPercent: number;
  /** Of a hundred plants, how many are lost at each potting on. */
  readonly lossPercent: number;
  /** As many as are kept after the first potting on; null: all. */
  readonly keepAtMost: number | null;
  readonly containers: readonly PlannedContainer[];
  /** The tier that it has to stand on; null: any. */
  readonly tierId: string | null;
  /** The batch on the stands that it has become; null: not sown yet. */
  readonly batchId: string | null;
  /** It has been lost: it takes no room from this day on; null: it lives. */
  readonly lost: Day | null;
}
