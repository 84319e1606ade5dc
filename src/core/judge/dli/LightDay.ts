import type { Dli, Hours, Ppfd, Share } from '../../units/quantities';
import { blocksOf, longestDark, type LitBlock, type LitTimes } from '../../units/LitTimes';
import { betweenNine } from '../../site/stand/nineSpots';
import { DAYLIGHT_OFF, type Daylight } from '../../site/stand/Daylight';
import { MINUTES_PER_DAY } from '../../units/clock';
import type { Spots } from './Spots';
import { MOL_SECONDS } from './dli';

/** The light of one day where plants stand: the lamps' hours, and the daylight that comes in. */
export interface LightDay extends LitTimes {
  readonly daylight: Daylight | null;
}

/** The day of some times and a daylight: one and the same object for the same, since much about a day is worked out only once. */
export function lightDayOf({ on_min, lit_min, pause }: LitTimes, daylight: Daylight | null): LightDay {
  const of = daylight ?? IN_THE_DARK;
  let days = daysOf.get(of);
  if (!days || days.size > MOST_DAYS) daysOf.set(of, (days = new Map()));
  const whole = pause === null && Number.isInteger(on_min) && Number.isInteger(lit_min);
  const key = !whole ? `${on_min} ${lit_min} ${pause?.from_min} ${pause?.to_min}` : on_min * (MINUTES_PER_DAY + 1) + lit_min;
  let day = days.get(key);
  if (!day) days.set(key, (day = { on_min, lit_min, pause, daylight }));
  return day;
}
const IN_THE_DARK = {};
const daysOf = new WeakMap<object, Map<string | number, LightDay>>();
/** A thorough search for hours tries some ten thousand. */
const MOST_DAYS = 40_000;

/** What the leaves of a tray get in a day from lamps and daylight together. */
export interface Received {
  readonly weakest: Dli;
  readonly mean: Dli;
  readonly strongest: Dli;
  /** At the strongest spot, at the time of the day when it is strongest, under a clear sky: no leaf ever gets more. */
  readonly strongestPpfd: Ppfd;
  /** At the strongest spot while lamps burn, beside daylight as it usually is at that hour; 0 where none burns. Limits on lamps go by it. */
  readonly litPpfd: Ppfd;
  /** Of daylight alone, where and when it is strongest under a clear sky, and its dose there on a clear day: whether the sun scorches. */
  readonly noonPpfd: Ppfd;
  readonly clearDli: Dli;
  /** How long it is light, by lamp or by day. */
  readonly photoperiod: Hours;
  /** How long it is light by daylight alone; 0 where none comes in. */
  readonly sunHours: Hours;
}

/** What daylight alone comes to on a clear day. */
export type ClearDay = Pick<Received, 'noonPpfd' | 'clearDli'>;

/** Daylight that counts: none stated and none at all are the same. */
const comesIn = (daylight: Daylight | null): daylight is Daylight => daylight !== null && daylight.dli > 0;

/** What daylight adds to the dose. */
export const daylightDli = ({ daylight }: Pick<LightDay, 'daylight'>): Dli => (comesIn(daylight) ? daylight.dli : 0);

/**
 * How long the day is for plants: all that is not the longest night, by lamp and by daylight. Plants that go by the length of the day
 * measure the night, and light that breaks it makes a long day of it (night breaks: Borthwick, Hendricks and Parker 1952, floral
 * initiation); so lamps that burn hours after dusk lengthen the day by the gap as well.
 */
export const photoperiodOf = (day: LightDay): Hours => ofDay(day).photoperiod;

/** The same, and how long it is light by daylight alone. */
export const litHoursOf = (day: LightDay): Pick<Received, 'photoperiod' | 'sunHours'> => ofDay(day);

function workOutPhotoperiod(day: LightDay): Hours {
  const { lit_min, pause, daylight } = day;
  const sky = comesIn(daylight) ? daylight : null;
  return sky || pause ? (MINUTES_PER_DAY - longestDark(day, sky)) / 60 : lit_min / 60;
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

/** What daylight alone comes to on a clear day, at the brightest spot of the plants; worked out once for each. */
export function clearDayOf({ daylight }: Pick<LightDay, 'daylight'>): ClearDay {
  if (!comesIn(daylight)) return NO_SUN;
  let known = clearDays.get(daylight);
  if (!known) {
    const { nine, off = DAYLIGHT_OFF } = daylight.course ?? {};
    known = { noonPpfd: peakOf(daylight), clearDli: daylight.dli * (1 + off.high) * (nine ? Math.max(...nine) : 1) };
    clearDays.set(daylight, known);
  }
  return known;
}
const clearDays = new WeakMap<Daylight, ClearDay>();
const NO_SUN: ClearDay = { noonPpfd: 0, clearDli: 0 };

/** Daylight when it is usually strongest, over all of the tray. */
export const usualPeakOf = (daylight: Daylight): Ppfd => (daylight.course ? Math.max(...daylight.course.mean) : peakOf(daylight));

/**
 * The strongest daylight while lamps burn as it usually is at that hour, over all of the tray: of noon where they burn then, else of the
 * minute of their hours that is nearest to it.
 *
 * Limits on lamps go by it, not by a clear sky: a clear day lasts a few hours and comes now and then, and what leaves bear all day long is
 * known to ±40 % only (`ppfdMax` of the crop table), while lamps taken back for it would leave plants short on all other days.
 */
export const usualBesideLamps = (day: LightDay): Ppfd => ofDay(day).usual;

/** What a day comes to whatever the lamps give: worked out once for each, since judging a tray asks for the same day a thousand times. */
interface OfDay {
  readonly photoperiod: Hours;
  readonly sunHours: Hours;
  /** Daylight while lamps burn, where and when it is strongest: under a clear sky, and as usual. */
  readonly clear: Ppfd;
  readonly usual: Ppfd;
}
const known = new WeakMap<LightDay, OfDay>();

function ofDay(day: LightDay): OfDay {
  let of = known.get(day);
  if (!of) {
    const { daylight } = day;
    const beside = (sky: 'clear' | 'mean') =>
      comesIn(daylight) ? Math.max(...blocksOf(day).map((block) => daylightBeside(block, daylight, sky))) : 0;
    const sunHours = comesIn(daylight) ? (daylight.to_min - daylight.from_min) / 60 : 0;
    known.set(day, (of = { photoperiod: workOutPhotoperiod(day), sunHours, clear: beside('clear'), usual: beside('mean') }));
  }
  return of;
}

function daylightBeside({ on_min, lit_min }: LitBlock, daylight: Daylight, sky: 'clear' | 'mean'): Ppfd {
  if (lit_min <= 0) return 0;
  const { from_min, to_min, course } = daylight;
  if (course) return strongestWithin(course[sky], on_min, lit_min);
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

/** Whether daylight differs over a tray, spot by spot. */
export const isFromOneSide = ({ daylight }: Pick<LightDay, 'daylight'>): boolean =>
  comesIn(daylight) && daylight.course?.nine !== undefined;

/** Doses at the nine spots of a tray, where daylight comes from one side and the lamps are known spot by spot; null: daylight counts alike everywhere. */
export function dliAtNine(nine: readonly Ppfd[] | undefined, day: LightDay): Dli[] | null {
  const { daylight } = day;
  const sky = comesIn(daylight) ? daylight.course?.nine : undefined;
  if (!sky || !nine) return null;
  const k = (day.lit_min / 60) * MOL_SECONDS;
  const doses = new Array<Dli>(nine.length);
  for (let i = 0; i < nine.length; i++) doses[i] = nine[i]! * k + daylight!.dli * sky[i]!;
  return doses;
}

/**
 * The day at one place of a tray: by straight lines between the nine spots where daylight differs, else as everywhere.
 *
 * @param u  from the left of the tray to its right, 0 … 1
 * @param v  from its front to its back
 */
export function dayAtPlace(day: LightDay, u: Share, v: Share): LightDay {
  const { daylight } = day;
  const nine = daylight?.course?.nine;
  if (!nine) return day;
  const times = betweenNine(nine, u, v);
  // The sun's patch may fall anywhere: what leaves must bear stays as it is.
  const { mean, clear, peak, off } = daylight.course!;
  return { ...day, daylight: { ...daylight, dli: daylight.dli * times, course: { mean: mean.map((v) => v * times), clear, peak, off } } };
}

/** The day of a tray that is turned half round again and again: daylight falls on it from two sides. */
export function turnedDay(day: LightDay): LightDay {
  const { daylight } = day;
  const { nine, nineClear } = daylight?.course ?? {};
  if (!nine || !nineClear) return day;
  const evened = nine.map((v, i) => (v + nine[8 - i]!) / 2);
  const either = nineClear.map((v, i) => Math.max(v, nineClear[8 - i]!));
  return { ...day, daylight: { ...daylight!, course: { ...daylight!.course!, nine: evened, nineClear: either } } };
}

/** The lamps' light by which a tray is judged: at its spots, and where it is known at nine that keep their places. */
export type LampSpots = Spots<Ppfd> & { readonly nine?: readonly Ppfd[] };

/**
 * What daylight adds at the weakest and the strongest spot of both together, and in the mean.
 *
 * @param doses  at the nine spots, where they are known
 */
export function daylightAtSpots({ nine }: LampSpots, day: LightDay, doses = dliAtNine(nine, day)): Spots<Dli> {
  const more = daylightDli(day);
  if (!doses || !nine) return { weakest: more, mean: more, strongest: more };
  const k = (day.lit_min / 60) * MOL_SECONDS;
  let least = Infinity, most = -Infinity, dimmest = Infinity, brightest = -Infinity; // prettier-ignore
  for (let i = 0; i < nine.length; i++) {
    least = Math.min(least, doses[i]!);
    most = Math.max(most, doses[i]!);
    dimmest = Math.min(dimmest, nine[i]!);
    brightest = Math.max(brightest, nine[i]!);
  }
  return { weakest: least - dimmest * k, mean: more, strongest: most - brightest * k };
}

/**
 * The strongest spot of lamps and of daylight together.
 *
 * @param beside  the daylight, where `shares` are 1
 * @param shares  of it at the nine spots; left out: alike everywhere
 */
export function strongestBeside({ strongest, nine }: LampSpots, beside: Ppfd, shares: readonly Share[] | undefined): Ppfd {
  if (!shares || !nine) return strongest + beside;
  let most = -Infinity, brightest = -Infinity; // prettier-ignore
  for (let i = 0; i < nine.length; i++) {
    most = Math.max(most, nine[i]! + shares[i]! * beside);
    brightest = Math.max(brightest, nine[i]!);
  }
  return most + strongest - brightest;
}

/**
 * What lamps of these strengths and the daylight of a day come to.
 *
 * @param more  of daylight at each spot
 */
export function receivedOf(lamps: LampSpots, day: LightDay, more: Spots<Dli> = daylightAtSpots(lamps, day)): Received {
  const k = (day.lit_min / 60) * MOL_SECONDS;
  const doses = {
    weakest: lamps.weakest * k + more.weakest,
    mean: lamps.mean * k + more.mean,
    strongest: lamps.strongest * k + more.strongest,
  };
  return receivedIn(doses, lamps, day);
}

/** The same where the doses at the spots are known. */
export function receivedIn({ weakest, mean, strongest }: Spots<Dli>, lamps: LampSpots, day: LightDay): Received {
  const { daylight } = day;
  const { clear, usual } = ofDay(day);
  const { noonPpfd, clearDli } = clearDayOf(day);
  const isLit = day.lit_min > 0;
  const strongestPpfd = Math.max(isLit ? strongestBeside(lamps, clear, daylight?.course?.nineClear) : 0, noonPpfd);
  return {
    weakest,
    mean,
    strongest,
    strongestPpfd,
    litPpfd: isLit ? Math.min(strongestPpfd, strongestBeside(lamps, usual, daylight?.course?.nine)) : 0,
    noonPpfd,
    clearDli,
    photoperiod: photoperiodOf(day),
    sunHours: litHoursOf(day).sunHours,
  };
}
