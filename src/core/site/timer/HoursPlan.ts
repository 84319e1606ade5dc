import type { Hours } from '../../units/quantities';

export const PLAN_KINDS = ['as-set', 'steady', 'stepping', 'day-and-night', 'ramp', 'dose', 'shortest'] as const;
export type PlanKind = (typeof PLAN_KINDS)[number];

/** How the hours of a batch are to go through its stages. */
export interface HoursPlan {
  readonly kind: PlanKind;
  /** Of `steady`. */
  readonly hours: Hours | null;
  /** Of `day-and-night` and `ramp`: how many days after emergence. */
  readonly days: number | null;
}

/** Whatever the timer is set to: what a batch has until somebody plans it. */
export const AS_SET: HoursPlan = { kind: 'as-set', hours: null, days: null };
