import type { SeasonLook } from '../../core/plan/season/seasonLook';
import type { WayOut } from '../../core/plan/season/waysOut';
import type { Site } from '../../core/site/stand/Site';
import type { Day } from '../../core/units/day';
import type { TierCarry } from '../../core/plan/season/carryOf';

/** A season looked at, and the shelves by which it was. */
export interface SeasonAnswer {
  readonly look: SeasonLook;
  readonly carries: readonly TierCarry[];
}

/** The contract of the season worker. Progress is a function of the page; where it gives false, what has been found is the answer. */
export interface SeasonApi {
  /** Null where nothing is planned. */
  look(site: Site, today: Day): SeasonAnswer | null;
  waysOut(site: Site, today: Day, progress: (done: number) => void): WayOut[];
}
