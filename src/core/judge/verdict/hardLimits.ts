import type { Crop, Stage } from '../../things/crop/Crop';
import { stays } from '../../things/crop/stays';
import type { Received } from '../dli/LightDay';
import { scorches } from './scorch';
import type { HoursPlan } from '../../site/timer/HoursPlan';
import type { Dli, Hours, Ppfd } from '../../units/quantities';
import { DAY_AND_NIGHT_DAYS } from '../schools/schools';
import type { Batch } from '../../site/stand/Site';

/**
 * What may not be done to plants of a crop, stage and day, whatever else would be gained by it. Everybody who sets hours,
 * heights or lamps asks here; what is merely better or worse is the loss.
 */
export interface HardLimits {
  /** Longest photoperiod to which lamps may bring a day. One that the sun alone makes longer is the season's, and lamps may burn within it. */
  readonly longestDay: Hours;
  /** Strongest light at any leaf while lamps burn, daylight as it usually is at that hour. */
  readonly strongest: Ppfd;
  /** Largest dose; by it strong sun is told from sun that scorches. */
  readonly dliMax: Dli;
}

/** A limit that is broken, and by how much. */
export type Breach =
  | { readonly why: 'day-too-long'; readonly hours: Hours; readonly most: Hours }
  /** While lamps burn. */
  | { readonly why: 'too-strong'; readonly ppfd: Ppfd; readonly most: Ppfd }
  /** Of daylight alone when the sky is clear, on days that bring too much: nothing that lamps do can mend it. */
  | { readonly why: 'sun-too-strong'; readonly ppfd: Ppfd; readonly most: Ppfd };

/** Whether crops of a kind may be lit day and night for their first days: not where continuous light is known to injure them. */
export const bearsDayAndNight = ({ continuousLightInjury }: Pick<Crop, 'continuousLightInjury'>): boolean =>
  continuousLightInjury !== 'high' && continuousLightInjury !== 'some';

/** How many days of day and night a plan has, no more than those that are known to do no harm. */
export const dayAndNightDays = ({ kind, days }: HoursPlan): number =>
  kind === 'day-and-night' ? Math.min(DAY_AND_NIGHT_DAYS.to, days ?? DAY_AND_NIGHT_DAYS.from) : 0;

/**
 * The limits of a batch on a day. The longest day is the stage's, but for the first days of a batch that the person has planned
 * day and night for, where the crop bears it. Plants that stay have no first days.
 *
 * @param age  days since emergence; null: not known, then the first stage stands for the first days
 */
export function hardLimitsOf(
  stage: Pick<Stage, 'stage' | 'hoursMax' | 'ppfdMax' | 'dliMax'>,
  crop: Pick<Crop, 'continuousLightInjury' | 'stages'>,
  plan: HoursPlan,
  age: number | null,
): HardLimits {
  const first = age === null ? stage.stage === crop.stages[0]?.stage : age < dayAndNightDays(plan);
  const dayAndNight = dayAndNightDays(plan) > 0 && first && !stays(crop) && bearsDayAndNight(crop);
  return { longestDay: dayAndNight ? 24 : stage.hoursMax, strongest: stage.ppfdMax, dliMax: stage.dliMax };
}

/** The limits of a batch as it is today; how old one is without a date is not known. */
export const limitsOfBatch = (
  { plan, sown, age }: Pick<Batch, 'plan' | 'sown' | 'age'>,
  crop: Parameters<typeof hardLimitsOf>[1],
  stage: Parameters<typeof hardLimitsOf>[0],
): HardLimits => hardLimitsOf(stage, crop, plan, sown === null ? null : (age ?? null));

/** A minute of the clock, and what a computer adds to a number, are no breach. */
const MINUTE: Hours = 1 / 60;
const ROUNDING = 1e-6;

/** How long a day is, and how long the sun alone makes it. */
type LitHours = Pick<Received, 'photoperiod' | 'sunHours'>;

/** The longest that a day may be: no lamp makes it shorter than the sun does. */
const longestOf = ({ sunHours }: LitHours, { longestDay }: HardLimits): Hours => Math.max(longestDay, sunHours);

/** Whether a limit is broken. */
export const isTooLong = (lit: LitHours, limits: HardLimits): boolean => lit.photoperiod > longestOf(lit, limits) + MINUTE;
export const isTooStrong = (litPpfd: Ppfd, { strongest }: HardLimits): boolean => litPpfd > strongest * (1 + ROUNDING);

/** How deep one limit is broken, 0 where it is kept: what `depthOf` says, for those who look at thousands of days. */
export const depthTooLong = (lit: LitHours, limits: HardLimits): Hours =>
  isTooLong(lit, limits) ? lit.photoperiod - longestOf(lit, limits) : 0;
export const depthTooStrong = (litPpfd: Ppfd, limits: HardLimits): number =>
  isTooStrong(litPpfd, limits) ? Math.log(litPpfd / limits.strongest) : 0;

/** The limits that are broken; none where all is allowed. */
export function breachesOf(received: LitHours & Pick<Received, 'litPpfd' | 'noonPpfd' | 'clearDli'>, limits: HardLimits): Breach[] {
  const breaches: Breach[] = [];
  const { photoperiod, litPpfd, noonPpfd, clearDli } = received;
  const most = limits.strongest;
  if (isTooLong(received, limits)) breaches.push({ why: 'day-too-long', hours: photoperiod, most: longestOf(received, limits) });
  if (isTooStrong(litPpfd, limits)) breaches.push({ why: 'too-strong', ppfd: litPpfd, most });
  if (scorches({ noonPpfd, clearDli }, limits)) breaches.push({ why: 'sun-too-strong', ppfd: noonPpfd, most });
  return breaches;
}

/** How deep a breach is: hours over the longest day, or how far the strength is over its limit, in logarithms. */
export const depthOf = (b: Breach): number => (b.why === 'day-too-long' ? b.hours - b.most : Math.log(b.ppfd / b.most));

/** Whether what is planned breaks a limit that is kept now, or breaks one more deeply than now. */
export function isWorse(now: readonly Breach[], then: readonly Breach[]): boolean {
  return then.some((b) => depthOf(b) > Math.max(0, ...now.filter((a) => a.why === b.why).map(depthOf)) + 1e-4);
}
