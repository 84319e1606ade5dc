import type { Crop } from '../../things/crop/Crop';

/** Air is said to be warm or cold for a crop from so many degrees off on: within that, thermometers and shelves differ. Our choice. */
export const AIR_OFF_BY = 3;

/** Temperatures of the air, °C; null: not known. */
export interface DayAndNight {
  readonly day: number | null;
  readonly night: number | null;
}

/**
 * By how many degrees the air is warmer than a crop wants it once it is up, by day or by night, whichever is more; null where nothing
 * is known of either. Warm nights lengthen stems most, the more where light is weak (Erwin & Heins 1995; Myster & Moe 1995).
 */
export function warmerBy({ day, night }: DayAndNight, likes: NonNullable<Crop['afterEmergence']>): number | null {
  if (day === null && night === null) return null;
  return Math.max(0, day === null ? 0 : day - likes.day, night === null ? 0 : night - likes.night);
}
