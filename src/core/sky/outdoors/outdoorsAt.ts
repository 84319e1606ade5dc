import type { Radians } from '../../units/quantities';
import { seenFrom, sunAt, type SunAt, type SunPosition } from '../sun/sunPosition';
import { clearSky, nearness, NO_SKY_LIGHT, overcastSky, SOLAR_CONSTANT_W_per_m2, type Outdoors } from './skies';

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
export const outdoorsAt = (at_ms: number, place: Place): Moment => momentOf(sunAt(at_ms), dayOfYear(at_ms), place);

/**
 * A day of moments, evenly spread: the sun of its start and end with straight lines between them.
 *
 * Error: below 0.001° more than `sunAt`.
 */
export function outdoorsOver(start_ms: number, parts: number, place: Place): Moment[] {
  const [a, b] = [sunAt(start_ms), sunAt(start_ms + DAY_ms)];
  // One turn and a bit, or a bit less.
  const turn = 2 * Math.PI;
  const gone = b.hourAngle - a.hourAngle;
  const around = gone - turn * Math.round(gone / turn) + turn;
  const [first, last] = [dayOfYear(start_ms), dayOfYear(start_ms + DAY_ms - 1)];
  const midnight = Math.ceil(start_ms / DAY_ms) * DAY_ms;
  return Array.from({ length: parts }, (_, i) => {
    const f = (i + 0.5) / parts;
    const sun: SunAt = {
      declination: a.declination + f * (b.declination - a.declination),
      hourAngle: a.hourAngle + f * around,
      distance_au: a.distance_au + f * (b.distance_au - a.distance_au),
    };
    return momentOf(sun, start_ms + f * DAY_ms < midnight ? first : last, place);
  });
}

function momentOf(at: SunAt, dayOfYear: number, { latitude, longitude }: Place): Moment {
  const sun = seenFrom(at, latitude, longitude);
  if (!(sun.elevation > 0)) return { sun, clear: NO_SKY_LIGHT, overcast: NO_SKY_LIGHT };
  const c = Math.sin(sun.elevation);
  const beyond = SOLAR_CONSTANT_W_per_m2 * nearness(dayOfYear);
  return { sun, clear: clearSky(c, beyond), overcast: overcastSky(c, beyond) };
}
