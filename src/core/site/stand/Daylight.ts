import type { Dli, Ppfd, Share } from '../../units/quantities';

/** Daylight on the plants of a tray or tier: how much in a day, and from when to when. */
export interface Daylight {
  readonly dli: Dli;
  readonly from_min: number;
  readonly to_min: number;
  /** Where it was computed from a window: its course over the day, and how far single days lie below and above; left out: as stated. */
  readonly course?: DaylightCourse;
}

/** The course of a day in equal parts from midnight, PPFD of leaves that face up. */
export interface DaylightCourse {
  /** In the mean of a month's clear and overcast days, and over all of the plants: what adds up. */
  readonly mean: readonly Ppfd[];
  /** Under a clear sky where it is brightest: what leaves must bear. */
  readonly clear: readonly Ppfd[];
  /** The strongest of `clear`. */
  readonly peak: Ppfd;
  /** How far a day without sun lies below the mean, and one without a cloud above it. */
  readonly off: { readonly low: Share; readonly high: Share };
  /** At the nine spots of a tray (`nineSpotsOf`) how many times its mean dose; left out: of several trays, or alike everywhere. */
  readonly nine?: readonly number[];
  /** At the same spots the largest share that any of them ever has of the brightest one under a clear sky: 1 where the sun comes. */
  readonly nineClear?: readonly Share[];
}

/**
 * How far a stated daily sum of daylight may be off on one day, half-widths of a nine-in-ten band: skies differ from day to day.
 * Source: our estimate; daily sums in temperate places scatter by about half of their monthly mean.
 */
export const DAYLIGHT_OFF = { low: 0.6, high: 0.5 } as const;

/** How much of a day's daylight has come by a minute of the day: by its course, else as half a sine wave between its ends. */
export function daylightBy({ dli, from_min, to_min, course }: Daylight, minute: number): Dli {
  if (course) return courseBy(course.mean, minute);
  const part = (minute - from_min) / Math.max(1, to_min - from_min);
  return part <= 0 ? 0 : part >= 1 ? dli : (dli * (1 - Math.cos(Math.PI * part))) / 2;
}

function courseBy(mean: readonly Ppfd[], minute: number): Dli {
  const step = 1440 / mean.length;
  let sum = 0;
  for (let i = 0; i < mean.length; i++) sum += mean[i]! * Math.min(step, Math.max(0, minute - i * step));
  return (sum * 60) / 1e6;
}
