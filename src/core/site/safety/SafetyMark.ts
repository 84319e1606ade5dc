import type { Day } from '../../units/day';

/** A caution that a person has seen to, for a stand as it was then. */
export interface SafetyMark {
  readonly standId: string;
  readonly cautionId: string;
  readonly day: Day;
  /** What the stand was like: when it is another, it has to be seen to again. */
  readonly of: string;
}

/** As many are kept. */
export const MOST_SAFETY = 4000;
