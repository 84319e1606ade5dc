import type { Crop, Stage } from '../crop/Crop';
import { MOL_SECONDS } from '../dose/dli';
import { lampShareOf, type Daylight } from '../dose/Daylight';
import { growthOf, lastDayOf } from '../growth/growthOf';
import type { Dli, Hours, Watts } from '../quantities';
import type { Batch } from '../stand/Site';
import type { HoursPlan } from './HoursPlan';
import { wishedHours, type TrayStrength, type Wish } from './wishedHours';

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
  | { readonly why: 'bolting'; readonly hours: Hours };

/** What a plan comes to over the time that a batch has before it. */
export interface PlanCourse {
  readonly plan: HoursPlan;
  readonly stages: readonly PlanStage[];
  readonly days: number;
  /** Days on which the whole tray is within its band. */
  readonly daysInBand: number;
  /** Mean dose over the best dose, over all days. */
  readonly doseOfBest: number;
  readonly lampHours: number;
  readonly cost: number;
  readonly risks: readonly PlanRisk[];
}

/** Of plants that stay: as far as a plan is looked at, days. */
const SEASON = 90;
/** Doses that are the same but for the last figures of a computer. */
const HAIR: Dli = 1e-9;
/** A long-day plant may bolt or bulb in days longer than this: onions, spinach and the like, between 12 and 16 h by kind. */
const LONG_DAY: Hours = 14; // Brewster 2008, Onions and Other Vegetable Alliums, 2nd ed.

/**
 * Runs plans through the rest of a batch's life with its lamp kept at today's distance, and counts dose, cost and risk.
 *
 * @param light  on the tray now
 * @param now    hours of its timer: what `as-set` keeps to
 * @param lamp   what the lamps over the tray draw, as far as they are its own, and the price of a kWh
 * @param daylight  what comes in by day besides
 * @param today  a day; an undated batch counts as emerging on it
 */
export function comparePlans(
  plans: readonly HoursPlan[],
  batch: Batch,
  crop: Crop,
  light: TrayStrength,
  now: Hours,
  lamp: { readonly power: Watts; readonly price_per_kWh: number },
  today: number,
  daylight: Daylight | null = null,
): PlanCourse[] {
  const dated =
    batch.sown === null
      ? { ...batch, sown: today, log: [{ id: '', day: today, what: 'emerged', height: null, stage: null } as const] }
      : batch;
  const from = Math.max(today, growthOf(dated, crop, today)!.emergence);
  const until = Math.max(from, Math.min(lastDayOf(dated, crop) ?? from + SEASON, from + 365));
  const days = Array.from({ length: until - from + 1 }, (_, i) => {
    const growth = growthOf(dated, crop, from + i)!;
    return { ...growth, stage: lampShareOf(growth.stage, daylight) };
  });
  return plans.map((plan): PlanCourse => {
    const course = days.map((g) => {
      const wish = wishedHours(plan, crop, g.stage, g.age, light) ?? { hours: now, limit: null };
      const k = wish.hours * MOL_SECONDS;
      return { ...wish, stage: g.stage, weakest: light.weakest * k, mean: light.mean * k, strongest: light.strongest * k };
    });
    const count = (test: (day: (typeof course)[number]) => boolean) => course.filter(test).length;
    const weak = count((d) => d.weakest < d.stage.dliMin - HAIR);
    const strong = count((d) => d.strongest > d.stage.dliMax + HAIR || light.strongest > d.stage.ppfdMax);
    const nights = count((d) => d.hours >= 24);
    const refused = count((d) => d.limit === 'day-and-night-refused');
    const longest = Math.max(...course.map((d) => d.hours));
    const risks: PlanRisk[] = [
      ...(nights > 0 ? [{ why: 'continuous-light', injury: crop.continuousLightInjury, days: nights } as const] : []),
      ...(refused > 0 ? [{ why: 'refused', days: refused } as const] : []),
      ...(weak > 0 ? [{ why: 'weak', days: weak } as const] : []),
      ...(strong > 0 ? [{ why: 'strong', days: strong } as const] : []),
      ...(crop.dayLengthType === 'long-day' && longest > LONG_DAY ? [{ why: 'bolting', hours: longest } as const] : []),
    ];
    const lampHours = course.reduce((sum, d) => sum + d.hours, 0);
    return {
      plan,
      stages: stagesOf(course),
      days: course.length,
      daysInBand: count((d) => d.weakest >= d.stage.dliMin - HAIR && d.strongest <= d.stage.dliMax + HAIR),
      doseOfBest: course.reduce((sum, d) => sum + d.mean / d.stage.dliTarget, 0) / course.length,
      lampHours,
      cost: (lampHours * lamp.power * lamp.price_per_kWh) / 1000,
      risks,
    };
  });
}

interface CourseDay extends Wish {
  readonly stage: Stage;
  readonly weakest: Dli;
  readonly strongest: Dli;
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
      weakest: mean((d) => d.weakest),
      strongest: mean((d) => d.strongest),
      limit: days.find((d) => d.limit !== null)?.limit ?? null,
    };
  });
}
