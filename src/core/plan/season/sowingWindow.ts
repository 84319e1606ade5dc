import type { Day } from '../../units/day';

const WEEK = 7;

/** What a crop needs between its seed and the open ground. */
export interface SowingRules {
  /** How old it may be when it is planted out, days from sowing. */
  readonly age: { readonly youngest: number; readonly oldest: number };
  /** From sowing until it is up, days. */
  readonly emerges: { readonly first: number; readonly last: number };
  readonly needsLight: boolean;
  readonly containers: readonly { readonly containerId: string; readonly fromDay: number }[];
  readonly hardeningDays: number;
}

/** When a crop is sown for a day on which it goes out. */
export interface SowingWindow {
  readonly plantOut: Day;
  readonly earliest: Day;
  readonly latest: Day;
  readonly hardeningStart: Day;
}

export const windowFor = ({ age, hardeningDays }: Pick<SowingRules, 'age' | 'hardeningDays'>, plantOut: Day): SowingWindow => ({
  plantOut,
  earliest: plantOut - age.oldest,
  latest: plantOut - age.youngest,
  hardeningStart: plantOut - hardeningDays,
});

/** The day for planting out: so many weeks from the last frost, and not before the nights are warm enough. */
export function plantOutOf(
  lastFrost: Day | null,
  weeksAfter: number,
  warmNights: Day | null,
): { readonly day: Day; readonly binding: 'frost' | 'night' } | null {
  const frost = lastFrost === null ? null : lastFrost + WEEK * weeksAfter;
  if (frost === null) return warmNights === null ? null : { day: warmNights, binding: 'night' };
  if (warmNights === null || warmNights <= frost) return { day: frost, binding: 'frost' };
  return { day: warmNights, binding: 'night' };
}

export type SowChoice = 'earliest' | 'middle' | 'latest';

export const chosenDay = ({ earliest, latest }: Pick<SowingWindow, 'earliest' | 'latest'>, choice: SowChoice): Day =>
  choice === 'earliest' ? earliest : choice === 'latest' ? latest : earliest + Math.floor((latest - earliest) / 2);

/** What follows from a day of sowing. */
export interface SowingCourse {
  readonly sown: Day;
  readonly emergence: { readonly first: Day; readonly last: Day; readonly expected: Day };
  /** By then the lamp must be on every day: the day before the first may be up; for seed that needs light, from the start. */
  readonly lampBy: Day;
  readonly pottings: readonly { readonly containerId: string; readonly day: Day }[];
}

/** @param until  potting on that falls on this day or later is left out: the plants are gone by then */
export function courseOf({ emerges, needsLight, containers }: SowingRules, sown: Day, until: Day): SowingCourse {
  // Half days round up.
  const expected = sown + Math.floor((emerges.first + emerges.last) / 2 + 0.5);
  return {
    sown,
    emergence: { first: sown + emerges.first, last: sown + emerges.last, expected },
    lampBy: needsLight ? sown : sown + emerges.first - 1,
    pottings: containers
      .filter((c) => c.fromDay > 0)
      .map((c) => ({ containerId: c.containerId, day: expected + c.fromDay }))
      .filter((p) => p.day < until),
  };
}

/** Weeks under way that a seedling must have had before hardening to be worth sowing still: growers' consensus. */
const SETTLED_DAYS = 14;

/** How a day stands to a sowing window, and what is lost by being late. */
export interface Lateness {
  readonly status: 'early' | 'in-window' | 'late';
  readonly daysToWindow: number;
  readonly daysLate: number;
  /** Sown today, it is old enough on this day. */
  readonly plantOutAtFullAge: Day;
  /** Its age on the day for planting out; below zero where that has gone by. */
  readonly ageAtPlantOut: number;
  /** It is up, settled and hardened by the day for planting out, if younger than it should be. */
  readonly isWorthIt: boolean;
}

export function latenessOf({ age, emerges, hardeningDays }: SowingRules, window: SowingWindow, today: Day): Lateness {
  const status = today < window.earliest ? 'early' : today > window.latest ? 'late' : 'in-window';
  const ageAtPlantOut = window.plantOut - today;
  return {
    status,
    daysToWindow: Math.max(0, window.earliest - today),
    daysLate: Math.max(0, today - window.latest),
    plantOutAtFullAge: today + age.youngest,
    ageAtPlantOut,
    isWorthIt: ageAtPlantOut >= emerges.last + hardeningDays + SETTLED_DAYS,
  };
}

/** The last day on which sowing still gives a harvest before the frost of autumn. */
export const lastUsefulSowing = (firstFrost: Day, { age }: Pick<SowingRules, 'age'>, harvestDays: number): Day =>
  firstFrost - age.youngest - harvestDays;

/** Days of sowing again and again, while there is a harvest before an end. */
export function successionOf(first: Day, everyDays: number, daysToHarvest: number, end: Day): Day[] {
  const days: Day[] = [];
  for (let day = first; day + daysToHarvest <= end; day += everyDays) days.push(day);
  return days;
}
