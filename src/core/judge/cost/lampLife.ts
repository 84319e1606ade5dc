import type { Day } from '../../units/day';
import type { Hours, Share } from '../../units/quantities';

export const DAYS_PER_YEAR = 365; // by convention: leap days are left out of money

/** Years that a lamp lasts. */
export const yearsOf = (life_h: number, hoursPerDay: Hours, daysPerYear = DAYS_PER_YEAR): number => life_h / (hoursPerDay * daysPerYear);

/** How many lamps replace the first within so many years: one that ends with them is not replaced. */
export const replacementsIn = (years: number, life_h: number, hoursPerDay: Hours, daysPerYear = DAYS_PER_YEAR): number =>
  Math.max(0, Math.ceil((years * daysPerYear * hoursPerDay) / life_h - 1e-9) - 1);

/** What of its price a lamp uses up in a day. */
export const wearPerDay = (price: number, life_h: number, hoursPerDay: Hours): number => (price * hoursPerDay) / life_h;

/** The last day that a lamp lights to its rated life; today where that is over. */
export const lastDayOfLamp = (today: Day, life_h: number, used_h: number, hoursPerDay: Hours): Day =>
  today + Math.floor(Math.max(0, life_h - used_h) / hoursPerDay);

/** How a lamp fades: a straight line through its rated point, or in equal shares as projections of LEDs do (the shape of TM-21). */
export type FadingModel = 'exponential' | 'linear';

/** What is left of the light after so many hours. @param rated  of the light at `rated_h` */
export function outputAfter(hours: number, rated: Share, rated_h: number, model: FadingModel): Share {
  return model === 'exponential' ? rated ** (hours / rated_h) : Math.max(0, 1 - ((1 - rated) * hours) / rated_h);
}

/** Hours until a lamp gives no more than a share of its first light. */
export function hoursUntil(share: Share, rated: Share, rated_h: number, model: FadingModel): number {
  return model === 'exponential' ? (rated_h * Math.log(share)) / Math.log(rated) : (rated_h * (1 - share)) / (1 - rated);
}
