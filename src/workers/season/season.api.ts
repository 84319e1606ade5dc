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

/** A season placed as well as a solver can. */
export interface SeasonImproved extends SeasonAnswer {
  /** Tray-weeks that are left over whatever is put where. */
  readonly leastOver: number;
}

/** The contract of the season worker. Progress is a function of the page; where it gives false, what has been found is the answer. */
export interface SeasonApi {
  /** Null where nothing is planned. */
  look(site: Site, today: Day): SeasonAnswer | null;
  /**
   * Solves the weeks to the end and searches from there: a better placing where there is one, and a bound on any. `told` is called with the
   * share that is done and the tray-weeks that are left over by then.
   */
  improve(site: Site, today: Day, told: (done: number, over: number) => void): Promise<SeasonImproved | null>;
  waysOut(site: Site, today: Day, progress: (done: number) => void): WayOut[];
}
