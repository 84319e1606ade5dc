import { MINUTES_PER_DAY } from '../../units/clock';
import type { Radians } from '../../units/quantities';

/** Clocks that people live by are at most so far off the sun: three hours in the far west of a country with one time. */
const MOST_OFF_min = 3.25 * 60; // our margin over tz database zones

/**
 * The clock at which the sun is highest, after midnight; right within a quarter of an hour (the equation of time is left out).
 *
 * @param ahead_min  of the clocks over the world's
 */
export function sunsNoon(longitude: Radians, ahead_min: number): number {
  const noon = MINUTES_PER_DAY / 2 + ahead_min - (longitude / (2 * Math.PI)) * MINUTES_PER_DAY;
  return ((noon % MINUTES_PER_DAY) + MINUTES_PER_DAY) % MINUTES_PER_DAY;
}

/** Whether a place and clocks do not belong together: by them the sun would be highest far from noon. */
export const isOtherZone = (longitude: Radians, ahead_min: number): boolean =>
  Math.abs(sunsNoon(longitude, ahead_min) - MINUTES_PER_DAY / 2) > MOST_OFF_min;
