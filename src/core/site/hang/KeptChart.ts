import type { Metres, Share } from '../../units/quantities';
import type { Day } from '../../units/day';

/** What is to be done on one visit. */
export interface VisitJobs {
  readonly day: Day;
  readonly lamps: readonly LampJob[];
  readonly dims: readonly DimJob[];
  readonly risers: readonly RiserJob[];
  readonly hours: readonly HoursJob[];
}

/** A visit with what is to be done on it and no more. */
export const jobsIn = ({ day, lamps, dims, risers, hours }: VisitJobs): VisitJobs => ({ day, lamps, dims, risers, hours });

/** A lamp so many steps of its hanger up (or, below zero, down), and the height of its face then. */
export interface LampJob {
  readonly tierId: string;
  readonly fittingId: string;
  readonly steps: number;
  readonly face: Metres;
}

/** The dimmer of a lamp from one setting to another. */
export interface DimJob {
  readonly tierId: string;
  readonly fittingId: string;
  readonly from: Share;
  readonly to: Share;
}

export interface RiserJob {
  readonly tierId: string;
  readonly trayId: string;
  readonly from: number;
  readonly to: number;
}

export interface HoursJob {
  readonly timerId: string;
  readonly on_min: number;
  readonly lit_min: number;
}

/** A chart as it was put up at the rack: what was to be done when, to be held against what is to be done now. */
export interface KeptChart {
  readonly made: Day;
  readonly visits: readonly VisitJobs[];
}
