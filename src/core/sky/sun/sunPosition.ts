import type { Radians } from '../../units/quantities';

/** Where the sun stands in the sky of a place, without refraction. */
export interface SunPosition {
  /** Over the horizon, −π/2 … π/2. */
  readonly elevation: Radians;
  /** From north through east, 0 … 2π. */
  readonly azimuth: Radians;
  /** Sun–earth distance, astronomical units. */
  readonly distance_au: number;
}

/** What all places share at a moment. */
export interface SunAt {
  readonly declination: Radians;
  /** How far the sun has gone past the meridian of Greenwich, any number of turns. */
  readonly hourAngle: Radians;
  readonly distance_au: number;
}

const RAD = Math.PI / 180;
const DAY_ms = 86_400_000;
const J2000_ms = Date.UTC(2000, 0, 1, 12); // exact; the epoch of the series
const CENTURY_ms = 36525 * DAY_ms; // exact; a Julian century
const B1900_ms = Date.UTC(1899, 11, 31, 12); // exact; the epoch of the terms of the planets
/** Earth's clock minus UTC, 69 s ± 2 s within 2000 … 2030; Bulletin A of the IERS. */
const DELTA_T_ms = 69_000;
const PARALLAX = (8.794 / 3600) * RAD; // of the sun at one astronomical unit; IAU 1976

/** What moon and planets move the sun's place, degrees. Source: Meeus, Astronomical Formulae for Calculators (1982), ch. 18. */
function movedByPlanets(at_ms: number): number {
  const t = (at_ms - B1900_ms) / CENTURY_ms;
  const of = (start: number, speed: number) => (start + speed * t) * RAD;
  return (
    0.00134 * Math.cos(of(153.23, 22518.7541)) +
    0.00154 * Math.cos(of(216.57, 45037.5082)) +
    0.002 * Math.cos(of(312.69, 32964.3577)) +
    0.00178 * Math.sin(of(231.19, 20.2)) +
    0.00179 * Math.sin(of(350.74, 445267.1142))
  );
}

/**
 * Declination, hour angle and distance of the sun at a moment.
 *
 * @param at_ms  since 1970 UTC, of the years 1900 … 2100
 *
 * Error: below 0.003° against an ephemeris; sunCases.test.ts holds it within 0.01°.
 * Source: Meeus, Astronomical Algorithms (1998), ch. 12, 22 and 25.
 */
export function sunAt(at_ms: number): SunAt {
  const t = (at_ms + DELTA_T_ms - J2000_ms) / CENTURY_ms;
  const meanLongitude = 280.46646 + t * (36000.76983 + 0.0003032 * t);
  const anomaly = (357.52911 + t * (35999.05029 - 0.0001537 * t)) * RAD;
  const eccentricity = 0.016708634 - t * (0.000042037 + 0.0000001267 * t);
  const centre =
    (1.914602 - t * (0.004817 + 0.000014 * t)) * Math.sin(anomaly) +
    (0.019993 - 0.000101 * t) * Math.sin(2 * anomaly) +
    0.000289 * Math.sin(3 * anomaly);
  const distance_au = (1.000001018 * (1 - eccentricity ** 2)) / (1 + eccentricity * Math.cos(anomaly + centre * RAD));
  const node = (125.04 - 1934.136 * t) * RAD;
  const nutation = -0.00478 * Math.sin(node) - 0.000367 * Math.sin(2 * meanLongitude * RAD);
  const apparent = (meanLongitude + centre + movedByPlanets(at_ms) - 0.00569 / distance_au + nutation) * RAD;
  const obliquity = (23.4392911 - t * (0.0130042 + 0.00000016 * t) + 0.00256 * Math.cos(node)) * RAD;
  const ascension = Math.atan2(Math.cos(obliquity) * Math.sin(apparent), Math.cos(apparent));
  const days = (at_ms - J2000_ms) / DAY_ms;
  const starTime = (280.46061837 + 360.98564736629 * days + nutation * Math.cos(obliquity)) * RAD;
  return { declination: Math.asin(Math.sin(obliquity) * Math.sin(apparent)), hourAngle: starTime - ascension, distance_au };
}

/**
 * Where the sun stands, seen from a place.
 *
 * @param at_ms      since 1970 UTC
 * @param latitude   −π/2 … π/2, north positive
 * @param longitude  −π … π, east positive
 */
export const sunPosition = (at_ms: number, latitude: Radians, longitude: Radians): SunPosition =>
  seenFrom(sunAt(at_ms), latitude, longitude);

/** The same, where what all places share is known already. */
export function seenFrom(sun: SunAt, latitude: Radians, longitude: Radians): SunPosition {
  const hourAngle = sun.hourAngle + longitude;
  const [sinLat, cosLat] = [Math.sin(latitude), Math.cos(latitude)];
  const [sinDec, cosDec] = [Math.sin(sun.declination), Math.cos(sun.declination)];
  const up = sinLat * sinDec + cosLat * cosDec * Math.cos(hourAngle);
  const east = -cosDec * Math.sin(hourAngle);
  const north = cosLat * sinDec - sinLat * cosDec * Math.cos(hourAngle);
  const level = Math.hypot(east, north);
  const azimuth = Math.atan2(east, north);
  return {
    // Seen from the ground, not from the middle of the earth.
    elevation: Math.atan2(up, level) - (PARALLAX * level) / sun.distance_au,
    azimuth: azimuth < 0 ? azimuth + 2 * Math.PI : azimuth,
    distance_au: sun.distance_au,
  };
}
