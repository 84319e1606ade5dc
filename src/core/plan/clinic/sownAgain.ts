import type { Crop } from '../../things/crop/Crop';
import type { PlannedBatch } from '../../site/season/SeasonPlan';
import type { Batch } from '../../site/stand/Site';
import type { Day } from '../../units/day';

/** What starting over does to the dates of a batch. */
export interface SownAgain {
  /** How far it is set back. */
  readonly days: number;
  /** When it would be as far as it is today. */
  readonly asNow: Day;
  /** When it was to go out, when it would, and the last day on which it could be sown for that; null: nothing is planned for it. */
  readonly out: { readonly planned: Day; readonly then: Day; readonly latestSowing: Day; readonly isTooLate: boolean } | null;
}

const WEEK = 7;

/** @returns null for plants without a day of sowing */
export function sownAgain({ sown }: Pick<Batch, 'sown'>, crop: Crop, planned: PlannedBatch | undefined, today: Day): SownAgain | null {
  if (sown === null || sown > today) return null;
  const days = today - sown;
  const youngest = crop.sowing ? WEEK * (crop.sowing.weeksBefore.least + crop.sowing.plantOutWeeksAfter) : 0;
  return {
    days,
    asNow: today + days,
    out: planned
      ? { planned: planned.out, then: planned.out + days, latestSowing: planned.out - youngest, isTooLate: today > planned.out - youngest }
      : null,
  };
}
