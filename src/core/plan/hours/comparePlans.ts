import type { Crop, Stage } from '../../things/crop/Crop';
import { boltsAbove } from '../../things/crop/bolting';
import type { Daylight } from '../../site/stand/Daylight';
import { receivedOf, type Received } from '../../judge/dli/LightDay';
import { growthOf, lastDayOf } from '../../site/growth/growthOf';
import type { Dli, Hours, Share, Watts } from '../../units/quantities';
import type { Batch } from '../../site/stand/Site';
import { hardLimitsOf } from '../../judge/verdict/hardLimits';
import { saysOf, standingOf, type Standing } from '../../judge/verdict/standing';
import type { HoursPlan } from '../../site/timer/HoursPlan';
import { wishedHours, type TrayPpfd, type Wish } from './wishedHours';

/** One stage under a plan. */
export interface PlanStage {
  readonly stage: Stage;
  readonly days: number;
  /** On its first and on its last day. */
  readonly first: Hours;
  readonly last: Hours;
  /** At the weakest spot and at the strongest, the mean over its days. */
  readonly weakest: Dli;
  readonly strongest: Dli;
  readonly limit: Wish['limit'];
}

/** What may go wrong under a plan, and how much of it there is. */
export type PlanRisk =
  | { readonly why: 'continuous-light'; readonly injury: Crop['continuousLightInjury']; readonly days: number }
  | { readonly why: 'refused'; readonly days: number }
  | { readonly why: 'weak' | 'strong'; readonly days: number }
  | { readonly why: 'too-long'; readonly days: number }
  | { readonly why: 'bolting'; readonly hours: Hours; readonly above: Hours };

/** What a plan comes to over the time that a batch has before it. */
export interface PlanCourse {
  readonly plan: HoursPlan;
  readonly stages: readonly PlanStage[];
  readonly days: number;
  /** Days on which the whole tray is within its band. */
  readonly daysInBand: number;
  /** Mean dose over the best dose, over all days. */
  readonly dliOfBest: number;
  readonly lampHours: number;
  readonly cost: number;
  readonly risks: readonly PlanRisk[];
}

/** Of plants that stay: as far as a plan is looked at, days. */
const SEASON = 90;

/**
 * Runs plans through the rest of a batch's life with its lamp kept at today's distance, and counts dose, cost and risk. Lamps
 * fade meanwhile by the hours that they burn.
 *
 * @param light  on the tray now
 * @param now    hours of its timer: what `as-set` keeps to
 * @param lamp   what the lamps over the tray draw, as far as they are its own, the price of a kWh, and which share of today's
 *               light they still give after so many hours more (left out: all of it)
 * @param daylight  what comes in by day besides
 * @param today  a day; an undated batch counts as emerging on it
 */
export function comparePlans(
  plans: readonly HoursPlan[],
  batch: Batch,
  crop: Crop,
  light: TrayPpfd,
  now: Hours,
  lamp: { readonly power: Watts; readonly price_per_kWh: number; readonly fadedTo?: (later_h: number) => Share },
  today: number,
  daylight: Daylight | null = null,
): PlanCourse[] {
  const dated =
    batch.sown === null
      ? { ...batch, sown: today, log: [{ id: '', day: today, what: 'emerged', height: null, stage: null } as const] }
      : batch;
  const from = Math.max(today, growthOf(dated, crop, today)!.emergence);
  const until = Math.max(from, Math.min(lastDayOf(dated, crop) ?? from + SEASON, from + 365));
  const days = Array.from({ length: until - from + 1 }, (_, i) => growthOf(dated, crop, from + i)!);
  return plans.map((plan): PlanCourse => {
    let burned = 0;
    const course = days.map((g): CourseDay => {
      const faded = lamp.fadedTo?.(burned) ?? 1;
      const lit: TrayPpfd = { weakest: light.weakest * faded, mean: light.mean * faded, strongest: light.strongest * faded };
      const wish = wishedHours(plan, crop, g.stage, g.age, lit, daylight) ?? { hours: now, limit: null };
      burned += wish.hours;
      const limits = hardLimitsOf(g.stage, crop, plan, g.age);
      const received = receivedOf(lit, { ...placed(wish.hours, daylight, g.stage.hoursMin), pause: null, daylight });
      return { ...wish, stage: g.stage, received, standing: standingOf(saysOf(received, g.stage, limits)) };
    });
    const count = (test: (day: CourseDay) => boolean) => course.filter(test).length;
    const weak = count((d) => d.standing === 'short' || d.standing === 'uneven');
    const strong = count((d) => d.standing === 'much' || d.standing === 'uneven');
    const long = count((d) => d.standing === 'long');
    const nights = count((d) => d.hours >= 24);
    const refused = count((d) => d.limit === 'day-and-night-refused');
    const longest = Math.max(...course.map((d) => d.received.photoperiod));
    const bolts = boltsAbove(crop);
    const risks: PlanRisk[] = [
      ...(nights > 0 ? [{ why: 'continuous-light', injury: crop.continuousLightInjury, days: nights } as const] : []),
      ...(refused > 0 ? [{ why: 'refused', days: refused } as const] : []),
      ...(weak > 0 ? [{ why: 'weak', days: weak } as const] : []),
      ...(strong > 0 ? [{ why: 'strong', days: strong } as const] : []),
      ...(long > 0 ? [{ why: 'too-long', days: long } as const] : []),
      ...(bolts !== null && longest > bolts ? [{ why: 'bolting', hours: longest, above: bolts } as const] : []),
    ];
    const lampHours = course.reduce((sum, d) => sum + d.hours, 0);
    return {
      plan,
      stages: stagesOf(course),
      days: course.length,
      daysInBand: count((d) => d.standing === 'suits'),
      dliOfBest: course.reduce((sum, d) => sum + d.received.mean / d.stage.dliTarget, 0) / course.length,
      lampHours,
      cost: (lampHours * lamp.power * lamp.price_per_kWh) / 1000,
      risks,
    };
  });
}

/** Lamps burn along with daylight, or right after it where the day would be too short otherwise. */
function placed(hours: Hours, daylight: Daylight | null, least: Hours): { on_min: number; lit_min: number } {
  const lit_min = Math.round(hours * 60);
  if (!daylight) return { on_min: 0, lit_min };
  const byDay = daylight.to_min - daylight.from_min;
  const along = Math.max(lit_min, byDay) >= least * 60;
  return { on_min: along ? Math.max(0, Math.round((daylight.from_min + daylight.to_min - lit_min) / 2)) : daylight.to_min, lit_min };
}

interface CourseDay extends Wish {
  readonly stage: Stage;
  readonly received: Received;
  readonly standing: Standing;
}

function stagesOf(course: readonly CourseDay[]): PlanStage[] {
  const groups = new Map<string, CourseDay[]>();
  for (const day of course) groups.set(day.stage.stage, [...(groups.get(day.stage.stage) ?? []), day]);
  return [...groups.values()].map((days) => {
    const { stage } = days[0]!;
    const mean = (of: (d: CourseDay) => number) => days.reduce((sum, d) => sum + of(d), 0) / days.length;
    return {
      stage,
      days: days.length,
      first: days[0]!.hours,
      last: days.at(-1)!.hours,
      weakest: mean((d) => d.received.weakest),
      strongest: mean((d) => d.received.strongest),
      limit: days.find((d) => d.limit !== null)?.limit ?? null,
    };
  });
}
