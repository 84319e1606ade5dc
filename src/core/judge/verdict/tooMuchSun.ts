import { lightDayOf, receivedOf, type LampSpots, type LightDay } from '../dli/LightDay';
import { scorches, type Bearing } from './scorch';

/** What a computer adds to a dose is no excess. */
const ROUNDING = 1e-9;

/**
 * Whether daylight alone, with the lamps off, is more than leaves should get: on clear days it scorches them, or by its dose at their
 * brightest spot. Nothing that lamps do mends that, however they hang and for however long they burn.
 */
export function tooMuchSun(lamps: LampSpots, day: LightDay, bearing: Bearing): 'scorches' | 'dose' | null {
  const alone = receivedOf(lamps, lightDayOf({ ...day, lit_min: 0 }, day.daylight));
  if (scorches(alone, bearing)) return 'scorches';
  return alone.strongest > bearing.dliMax * (1 + ROUNDING) ? 'dose' : null;
}
