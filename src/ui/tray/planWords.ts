import type { PlanRisk, PlanStage } from '@/core/plan/hours/comparePlans';
import type { HoursPlan } from '@/core/site/timer/HoursPlan';
import type { DliLimit } from '@/core/plan/hours/solveDli';
import { daysOfPlan, type Wish } from '@/core/plan/hours/wishedHours';
import { showHours } from '@/core/units/clock';
import { daysWords } from '../season/dayWords';
import { stageWords } from '../verdict/words';

export const hoursWords = (h: number): string => showHours(Math.round(h * 4) * 15);

/** A plan by what it does. */
export function planWords(plan: HoursPlan): string {
  switch (plan.kind) {
    case 'as-set':
      return 'As the timer is set';
    case 'steady':
      return plan.hours === null ? 'Steady' : `Steady, ${hoursWords(plan.hours)}`;
    case 'stepping':
      return 'Long at first, an hour less each week';
    case 'day-and-night':
      return `Day and night for ${daysWords(daysOfPlan(plan))}, then by the DLI`;
    case 'ramp':
      return `A gentle start over ${daysWords(daysOfPlan(plan))}`;
    case 'dose':
      return 'As long as the DLI needs';
    case 'shortest':
      return 'Shortest photoperiod that gives enough';
  }
}

/** What may go wrong under a plan. */
export function riskWords(risk: PlanRisk): string {
  switch (risk.why) {
    case 'continuous-light':
      return risk.injury === 'low'
        ? `${daysWords(risk.days)} without a night, which it tolerates`
        : `${daysWords(risk.days)} without a night: some crops yellow`;
    case 'refused':
      return 'day and night damages it: kept to its longest day';
    case 'weak':
      return `the weakest spot is short on ${daysWords(risk.days)}`;
    case 'strong':
      return `the strongest spot is over on ${daysWords(risk.days)}`;
    case 'too-long':
      return `the day is too long on ${daysWords(risk.days)}`;
    case 'bolting':
      return `days of ${hoursWords(risk.hours)} may make it bolt or bulb: keep them under ${hoursWords(risk.above)} when it is warm`;
  }
}

const WISH_LIMITS: Readonly<Record<NonNullable<Wish['limit']>, string>> = {
  'longest-day': 'limited by the crop’s maximum photoperiod',
  'shortest-day': 'limited by the crop’s minimum photoperiod',
  'day-and-night-refused': 'limited by the crop’s maximum photoperiod',
};

/** What keeps the hours of a plan from going farther, each reason once: `Limited by the crop’s minimum photoperiod: emergence, seedling.` */
export function wishLimitWords(stages: readonly Pick<PlanStage, 'stage' | 'limit'>[]): string[] {
  const of = new Map<string, string[]>();
  for (const { stage, limit } of stages) if (limit) of.set(WISH_LIMITS[limit], [...(of.get(WISH_LIMITS[limit]) ?? []), stageWords(stage)]);
  return [...of].map(([words, names]) => `${words[0]!.toUpperCase()}${words.slice(1)}: ${names.join(', ')}.`);
}

const DOSE_LIMITS: Readonly<Record<DliLimit, string>> = {
  'longest-day': 'More hours than it tolerates would be needed: this is the nearest.',
  'shortest-day': 'Fewer hours than it needs would do: this is the nearest.',
  'too-strong': 'That is stronger than its leaves tolerate: this is the nearest.',
  dark: 'Without light there is no DLI.',
};
export const dliLimitWords = (limit: DliLimit): string => DOSE_LIMITS[limit];
