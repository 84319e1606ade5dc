import type { Dli } from '../../units/quantities';

/** Daylight on the plants of a tier, as the person states it: how much in a day, and from when to when. */
export interface Daylight {
  readonly dli: Dli;
  readonly from_min: number;
  readonly to_min: number;
}

/**
 * How far a stated daily sum of daylight may be off on one day, half-widths of a nine-in-ten band: skies differ from day to day.
 * Source: our estimate; daily sums in temperate places scatter by about half of their monthly mean.
 */
export const DAYLIGHT_OFF = { low: 0.6, high: 0.5 } as const;

/**
 * How much of a day's daylight has come by a minute of the day: as half a sine wave between its ends, the usual shape of a clear
 * day.
 */
export function daylightBy({ dli, from_min, to_min }: Daylight, minute: number): Dli {
  const part = (minute - from_min) / Math.max(1, to_min - from_min);
  return part <= 0 ? 0 : part >= 1 ? dli : (dli * (1 - Math.cos(Math.PI * part))) / 2;
}
