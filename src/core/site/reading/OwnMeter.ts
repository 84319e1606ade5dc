import type { Share } from '../../units/quantities';

/** How a meter came by its factor. */
export const MATCHED_BY = ['nothing', 'known-meter', 'noon-sun'] as const;
export type MatchedBy = (typeof MATCHED_BY)[number];

/** A meter of the person's own. */
export interface OwnMeter {
  readonly id: string;
  readonly name: string;
  /** Of the meter table. */
  readonly kindId: string;
  /** What it shows has to be multiplied by this; 1 as it was bought. */
  readonly factor: number;
  /** What is left in doubt of the factor, half-width of a nine-in-ten band; null: that of its kind. */
  readonly uncertainty: Share | null;
  readonly matchedBy: MatchedBy;
  /** When it was last checked, milliseconds since 1970 (UTC); null: never. */
  readonly checked_ms: number | null;
}

/** A meter not checked for so long is asked for again. */
export const CHECK_EVERY_MS = 2 * 365 * 86_400_000; // two years; the usual interval of calibration laboratories, growers' consensus
