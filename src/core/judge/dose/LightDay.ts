import type { Dli, Hours, Ppfd } from '../../units/quantities';
import { blocksOf, litWithin, longestDark, type Block, type LitTimes } from '../../units/LitTimes';
import type { Daylight } from '../../site/stand/Daylight';
import { MINUTES_PER_DAY } from '../../units/clock';
import { MOL_SECONDS } from './dli';

/** The light of one day where plants stand: the lamps' hours, and the daylight that comes in. */
export interface LightDay extends LitTimes {
  readonly daylight: Daylight | null;
}

/** What the leaves of a tray get in a day from lamps and daylight together. */
export interface Received {
  readonly weakest: Dli;
  readonly mean: Dli;
  readonly strongest: Dli;
  /** At the strongest spot, at the time of the day when it is strongest. */
  readonly strongestPpfd: Ppfd;
  /** How long it is light, by lamp or by day. */
  readonly photoperiod: Hours;
}

/** Daylight that counts: none stated and none at all are the same. */
const comesIn = (daylight: Daylight | null): daylight is Daylight => daylight !== null && daylight.dli > 0;

/** What daylight adds to the dose. */
export const daylightDose = ({ daylight }: Pick<LightDay, 'daylight'>): Dli => (comesIn(daylight) ? daylight.dli : 0);

/**
 * How long it is light in a day: while lamps burn or daylight comes in, what they share counted once. Where the lamps pause, all that
 * is not the longest night: plants that go by the length of the day measure the night, and light that breaks it makes a long day of
 * it (night breaks: Borthwick, Hendricks and Parker 1952, floral initiation).
 */
export function photoperiodOf(day: LightDay): Hours {
  const { lit_min, pause, daylight } = day;
  if (pause && blocksOf(day).length > 1) return (MINUTES_PER_DAY - longestDark(day, comesIn(daylight) ? daylight : null)) / 60;
  if (!comesIn(daylight)) return lit_min / 60;
  return (lit_min + daylight.to_min - daylight.from_min - litWithin(day, daylight)) / 60;
}

/**
 * Daylight when it is strongest: of a clear day where its course is known, else at noon of half a sine wave between its ends.
 *
 *     E = DLI · π / (2 · T · 0.0036),   T in hours
 */
export function peakOf({ dli, from_min, to_min, course }: Daylight): Ppfd {
  if (course) return course.peak;
  const hours = Math.max(1, to_min - from_min) / 60;
  return (dli * Math.PI) / (2 * hours * MOL_SECONDS);
}

/** The strongest daylight while lamps burn: of noon where they burn then, else of the minute of their hours that is nearest to it. */
export const daylightBesideLamps = (day: LightDay): Ppfd => Math.max(...blocksOf(day).map((block) => daylightBeside(block, day.daylight)));

function daylightBeside({ on_min, lit_min }: Block, daylight: Daylight | null): Ppfd {
  if (!comesIn(daylight) || lit_min <= 0) return 0;
  const { from_min, to_min, course } = daylight;
  if (course) return strongestWithin(course.clear, on_min, lit_min);
  const noon = (from_min + to_min) / 2;
  let best = 0;
  // The lamps' day may run into the next one: yesterday's, today's, and tomorrow's.
  for (const day of [-1440, 0, 1440]) {
    const nearest = Math.min(on_min + day + lit_min, Math.max(on_min + day, noon));
    if (nearest <= from_min || nearest >= to_min) continue;
    best = Math.max(best, peakOf(daylight) * Math.sin((Math.PI * (nearest - from_min)) / (to_min - from_min)));
  }
  return best;
}

/** The strongest part of a course that lamps burn along with. */
function strongestWithin(course: readonly Ppfd[], on_min: number, lit_min: number): Ppfd {
  const n = course.length;
  const step = 1440 / n;
  let best = 0;
  const end = Math.ceil((on_min + lit_min) / step);
  for (let i = Math.floor(on_min / step); i < end; i++) best = Math.max(best, course[i % n]!);
  return best;
}

/** What lamps of these strengths and the daylight of a day come to. Daylight counts alike for every spot of a tray. */
export function receivedOf(lamps: { readonly weakest: Ppfd; readonly mean: Ppfd; readonly strongest: Ppfd }, day: LightDay): Received {
  const k = (day.lit_min / 60) * MOL_SECONDS;
  const more = daylightDose(day);
  const noon = comesIn(day.daylight) ? peakOf(day.daylight) : 0;
  const lit = day.lit_min > 0 ? lamps.strongest + daylightBesideLamps(day) : 0;
  return {
    weakest: lamps.weakest * k + more,
    mean: lamps.mean * k + more,
    strongest: lamps.strongest * k + more,
    strongestPpfd: Math.max(lit, noon),
    photoperiod: photoperiodOf(day),
  };
}
