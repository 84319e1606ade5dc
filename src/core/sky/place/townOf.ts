import type { Place } from '../outdoors/outdoorsAt';
import towns from './zoneTowns.json';

const RAD = Math.PI / 180;
const byZone: Readonly<Record<string, readonly number[]>> = towns;

/**
 * The town that a time zone is named after; null for zones that are named after none.
 *
 * Error: a zone may be a thousand kilometres wide; the person puts it right.
 * Source: zone.tab of the tz database 2025a, in the public domain.
 */
export function townOf(timeZone: string): Place | null {
  const [latitude, longitude] = Object.hasOwn(byZone, timeZone) ? byZone[timeZone]! : [];
  return latitude === undefined || longitude === undefined ? null : { latitude: latitude * RAD, longitude: longitude * RAD };
}
