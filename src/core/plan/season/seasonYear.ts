import type { SeasonPlan } from '../../site/season/SeasonPlan';
import { yearOfDay, type Day } from '../../units/day';
import type { Radians } from '../../units/quantities';

/** In the north one plans from September on for the next year: so many days before its end. Our choice. */
const AHEAD = 120;
/** South of the equator the spring of a year is ahead from March on. */
const HALF_YEAR = 183;

/** The year of planting out that somebody plans for who begins on a day. @param latitude  null: as in the north */
export const yearToPlan = (today: Day, latitude: Radians | null): number =>
  yearOfDay(today + AHEAD - ((latitude ?? 1) < 0 ? HALF_YEAR : 0));

/** Whether a season is over, so that its plan serves for another year: nobody plans for it any more, and none of it still grows. */
export const isOver = ({ year, batches }: Pick<SeasonPlan, 'year' | 'batches'>, today: Day, latitude: Radians | null): boolean =>
  year < yearToPlan(today, latitude) && batches.every((b) => (b.lost ?? b.out) < today);
