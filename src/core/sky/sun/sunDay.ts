import type { Hours, Radians } from '../../units/quantities';
import { sunAt, sunPosition } from './sunPosition';

/** The sun's day at a place. Minutes count from 00:00 UTC of the date and may lie before it or after its end. */
export interface SunDay {
  readonly state: 'rises and sets' | 'always up' | 'always down';
  /** When the sun stands highest, and how high, without refraction. */
  readonly highest_min: number;
  readonly highest: Radians;
  /** null: it does not on this day. */
  readonly rise_min: number | null;
  readonly set_min: number | null;
  readonly length: Hours;
}

/** The upper edge touches a level horizon: half the sun's width and 34′ of refraction. Source: the almanacs' convention. */
export const AT_THE_HORIZON: Radians = (-0.833 * Math.PI) / 180;

const MINUTE_ms = 60_000;

/**
 * When the sun rises, stands highest and sets.
 *
 * @param midnight_ms  00:00 UTC of the date, since 1970
 * @param height       of the sun's centre at which the day begins and ends
 */
export function sunDay(midnight_ms: number, latitude: Radians, longitude: Radians, height: Radians = AT_THE_HORIZON): SunDay {
  const elevationAt = (minute: number) => sunPosition(midnight_ms + minute * MINUTE_ms, latitude, longitude).elevation;
  const mean = 720 - (longitude * 720) / Math.PI;
  const past = sunAt(midnight_ms + mean * MINUTE_ms).hourAngle + longitude;
  const transit = mean - (Math.atan2(Math.sin(past), Math.cos(past)) * 720) / Math.PI;
  const highest_min = highestNear(elevationAt, transit);
  const highest = elevationAt(highest_min);
  if (highest < height) return { state: 'always down', highest_min, highest, rise_min: null, set_min: null, length: 0 };
  const before = highest_min - 720;
  const after = highest_min + 720;
  const rises = elevationAt(before) < height;
  const sets = elevationAt(after) < height;
  if (!rises && !sets) return { state: 'always up', highest_min, highest, rise_min: null, set_min: null, length: 24 };
  const rise_min = rises ? crossing(elevationAt, height, before, highest_min) : null;
  const set_min = sets ? crossing(elevationAt, height, after, highest_min) : null;
  return { state: 'rises and sets', highest_min, highest, rise_min, set_min, length: ((set_min ?? after) - (rise_min ?? before)) / 60 };
}

/** Near the poles the sun stands highest some minutes beside its transit, as its declination moves on. */
function highestNear(elevationAt: (minute: number) => number, transit: number): number {
  let [a, b] = [transit - 30, transit + 30];
  for (let i = 0; i < 60; i++) {
    const [p, q] = [a + (b - a) * 0.382, a + (b - a) * 0.618];
    if (elevationAt(p) < elevationAt(q)) a = p;
    else b = q;
  }
  return (a + b) / 2;
}

/** Halves the stretch between a minute when it is below and one when it is above. */
function crossing(elevationAt: (minute: number) => number, height: Radians, below: number, above: number): number {
  for (let i = 0; i < 30; i++) {
    const middle = (below + above) / 2;
    if (elevationAt(middle) < height) below = middle;
    else above = middle;
  }
  return (below + above) / 2;
}
