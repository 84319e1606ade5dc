import type { Crop, Stage } from '../../things/crop/Crop';
import { MOL_SECONDS } from '../../judge/dli/dli';
import type { Hours, Ppfd } from '../../units/quantities';
import type { Daylight } from '../../site/stand/Daylight';
import { dayAndNightDays, hardLimitsOf } from '../../judge/verdict/hardLimits';
import type { HoursPlan } from '../../site/timer/HoursPlan';
import { hoursWithin } from './solveDli';

/** The light on a tray. */
export interface TrayPpfd {
  readonly weakest: Ppfd;
  readonly mean: Ppfd;
  readonly strongest: Ppfd;
}

/** Hours that a plan asks for on a day, and why they are not others. */
export interface Wish {
  readonly hours: Hours;
  readonly limit: 'longest-day' | 'shortest-day' | 'day-and-night-refused' | null;
}

/** How fast the days of the stepping plan shorten, from the longest that the crop bears: growers' consensus. */
const STEP_PER_WEEK: Hours = 1;
/** Share of the dose at which the gentle start begins: growers' consensus. */
const RAMP_FROM = 0.5;
const RAMP_DAYS = 7; // a week: growers' consensus

/** How many days a plan's beginning lasts, where it has one. */
export const daysOfPlan = (plan: HoursPlan): number =>
  plan.kind === 'day-and-night' ? dayAndNightDays(plan) : plan.kind === 'ramp' ? (plan.days ?? RAMP_DAYS) : 0;

/**
 * The hours that a plan asks for on one day of a batch, within what may be done to it: lamps that burn along with daylight, so
 * that the photoperiod is the longer of the two, or beside it where the day would be too short.
 *
 * @param age    days since emergence; before it the first day's hours are meant
 * @param light  on its tray while the lamps burn; null: not known, then plans that go by the dose ask for the middle of its day
 * @returns null for a plan that leaves the timer as it is
 */
export function wishedHours(
  plan: HoursPlan,
  crop: Crop,
  stage: Stage,
  age: number,
  light: TrayPpfd | null,
  daylight: Daylight | null = null,
): Wish | null {
  const limits = hardLimitsOf(stage, crop, plan, age);
  const day = daylight && daylight.dli > 0 ? daylight : null;
  const byDay = day ? (day.to_min - day.from_min) / 60 : 0;
  const more = day ? day.dli : 0;
  const [least, most] = [Math.max(0, stage.hoursMin - byDay), stage.hoursMax];
  const within = (wanted: Hours): Wish => {
    const hours = Math.min(most, Math.max(least, wanted));
    return { hours, limit: wanted > hours + 1e-9 ? 'longest-day' : wanted < hours - 1e-9 ? 'shortest-day' : null };
  };
  const byDose = (share = 1): Wish => {
    if (!light) return { hours: (least + most) / 2, limit: null };
    const dose = Math.max(0, share * stage.dliTarget - more);
    const { hours, limit } = hoursWithin(dose, light.mean, { hoursMin: least, hoursMax: most, ppfdMax: stage.ppfdMax });
    return { hours, limit: limit === 'longest-day' || limit === 'shortest-day' ? limit : null };
  };
  switch (plan.kind) {
    case 'as-set':
      return null;
    case 'steady':
      return within(plan.hours ?? (least + most) / 2);
    case 'stepping':
      // From the longest day of its first stage; that it ends at the shortest is meant, and no limit.
      return { hours: within(crop.stages[0]!.hoursMax - STEP_PER_WEEK * Math.floor(Math.max(0, age) / 7)).hours, limit: null };
    case 'day-and-night':
      if (age >= daysOfPlan(plan)) return byDose();
      return limits.longestDay < 24 ? { ...within(24), limit: 'day-and-night-refused' } : { hours: 24, limit: null };
    case 'ramp': {
      const share = RAMP_FROM + (1 - RAMP_FROM) * Math.min(1, Math.max(0, age) / daysOfPlan(plan));
      return share < 1 ? byDose(share) : byDose();
    }
    case 'dose':
      return byDose();
    case 'shortest':
      return light && light.weakest > 0 ? within(Math.max(0, stage.dliMin - more) / (light.weakest * MOL_SECONDS)) : within(most);
  }
}
