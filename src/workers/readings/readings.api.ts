import type { NoFit, TierFit } from '../../core/measure/fit/fitTier';
import type { Site } from '../../core/site/stand/Site';
import type { WalkPoint } from '../../core/answer/walk/planWalk';

/** A tier of a site as it is asked about. */
export interface TierOfSite {
  readonly site: Site;
  readonly standId: string;
  readonly tierId: string;
}

/** The contract of the readings worker. Progress is a function of the page. */
export interface ReadingsApi {
  fit(of: TierOfSite, id: string, now_ms: number, progress: (done: number) => void): TierFit | NoFit;
  plan(of: TierOfSite, count: number): WalkPoint[];
}
