import type { Radians } from '../../units/quantities';
import { seenFrom, sunAt, type SunPosition } from '../sun/sunPosition';
import { clearSky, nearness, overcastSky, SOLAR_CONSTANT_W_per_m2, type Outdoors } from './skies';

/** A place on the earth. */
export interface Place {
  /** −π/2 … π/2, north positive. */
  readonly latitude: Radians;
  /** −π … π, east positive. */
  readonly longitude: Radians;
}

/** Sun and both skies at a moment. */
export interface Moment {
  readonly sun: SunPosition;
  readonly clear: Outdoors;
  readonly overcast: Outdoors;
}

const DAY_ms = 86_400_000;

/** 1 … 366, of the date in UTC. */
export const dayOfYear = (at_ms: number): number => Math.floor((at_ms - Date.UTC(new Date(at_ms).getUTCFullYear(), 0, 1)) / DAY_ms) + 1;

/** Sun and skies at a place. @param at_ms since 1970 UTC */
export function outdoorsAt(at_ms: number, { latitude, longitude }: Place): Moment {
  const sun = seenFrom(sunAt(at_ms), latitude, longitude);
  const c = Math.sin(sun.elevation);
  const beyond = SOLAR_CONSTANT_W_per_m2 * nearness(dayOfYear(at_ms));
  return { sun, clear: clearSky(c, beyond), overcast: overcastSky(c, beyond) };
}
