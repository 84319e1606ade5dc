/** A day outdoors as forecast or felt. */
export interface OutdoorWeather {
  readonly least_C: number;
  readonly most_C: number;
  readonly wind_kmh: number;
}

/** How fast plants may be taken outdoors. */
export interface HardeningRules {
  readonly start_h: number;
  readonly mostFactor: number;
  readonly mostMore_h: number;
  readonly full_h: number;
  readonly step_h: number;
  readonly leastDays: number;
  readonly shadeDays: number;
  readonly frostBelow_C: number;
  readonly windAbove_kmh: number;
  readonly heatAbove_C: number;
  /** After so many days indoors in a row it goes on a step further back. */
  readonly stepBackAfter: number;
}

/** Growers' consensus, put into exact rules: conventions, no science. */
export const USUAL_HARDENING: HardeningRules = {
  start_h: 1,
  mostFactor: 2,
  mostMore_h: 2,
  full_h: 8,
  step_h: 0.5,
  leastDays: 7,
  shadeDays: 3,
  frostBelow_C: 5,
  windAbove_kmh: 35,
  heatAbove_C: 30,
  stepBackAfter: 3,
};

export type Pause = 'frost' | 'wind' | 'heat';
export type OutdoorPlace = 'shade' | 'sun' | 'in';

export const pauseOf = ({ least_C, most_C, wind_kmh }: OutdoorWeather, rules: HardeningRules): Pause | null =>
  least_C < rules.frostBelow_C ? 'frost' : wind_kmh > rules.windAbove_kmh ? 'wind' : most_C > rules.heatAbove_C ? 'heat' : null;

const down = (hours: number, step: number) => Math.floor(hours / step + 1e-9) * step;

/** The most hours that may follow. */
const nextHours = (before: number, rules: HardeningRules): number =>
  Math.max(before, down(Math.min(rules.full_h, before * rules.mostFactor, before + rules.mostMore_h), rules.step_h));

/** As many hours as are allowed after the outdoor days that have been and the days indoors since. */
function allowedAfter(outdoor: readonly number[], paused: number, rules: HardeningRules): number {
  const last = outdoor.at(-1);
  if (last === undefined) return rules.start_h;
  if (paused === 0) return nextHours(last, rules);
  return paused >= rules.stepBackAfter ? (outdoor.at(-2) ?? rules.start_h) : last;
}

export interface Ramp {
  readonly days: readonly { readonly hours: number; readonly place: OutdoorPlace; readonly pause: Pause | null }[];
  readonly outdoorDays: number;
  /** Days from its first one until planting out; null: the days that were given are not enough. */
  readonly plantOutAfter: number | null;
}

/** The fastest way outdoors that the rules allow. Days for which no weather is known count as fine. */
export function rampOf(weather: readonly (OutdoorWeather | null)[], rules: HardeningRules): Ramp {
  const days: { hours: number; place: OutdoorPlace; pause: Pause | null }[] = [];
  const outdoor: number[] = [];
  let paused = 0;
  for (const day of weather) {
    const pause = day && pauseOf(day, rules);
    if (pause) {
      days.push({ hours: 0, place: 'in', pause });
      paused++;
      continue;
    }
    const hours = allowedAfter(outdoor, paused, rules);
    outdoor.push(hours);
    paused = 0;
    days.push({ hours, place: outdoor.length <= rules.shadeDays ? 'shade' : 'sun', pause: null });
    if (outdoor.length >= rules.leastDays && hours >= rules.full_h)
      return { days, outdoorDays: outdoor.length, plantOutAfter: days.length };
  }
  return { days, outdoorDays: outdoor.length, plantOutAfter: null };
}

/** What a day outdoors may be. */
export interface OutdoorDay {
  /** How many days outdoors it makes with those before. */
  readonly nth: number;
  /** At most. */
  readonly hours: number;
  readonly place: OutdoorPlace;
}

/**
 * The next day outdoors, after days of which it is known whether the plants were out, each for as long as was allowed. After a second long
 * pause the day before the last was the longer one: a pause never makes it more.
 */
export function nextOutdoors(wereOut: readonly boolean[], rules: HardeningRules): OutdoorDay {
  const outdoor: number[] = [];
  let paused = 0;
  const next = () => Math.min(allowedAfter(outdoor, paused, rules), paused > 0 ? (outdoor.at(-1) ?? Infinity) : Infinity);
  for (const wasOut of wereOut) {
    if (wasOut) outdoor.push(next());
    paused = wasOut ? 0 : paused + 1;
  }
  const nth = outdoor.length + 1;
  return { nth, hours: next(), place: nth <= rules.shadeDays ? 'shade' : 'sun' };
}

export type RampFault =
  | 'gap'
  | 'jump'
  | 'step-after-pause'
  | 'no-step-back'
  | 'start-too-long'
  | 'drop'
  | 'sun-too-early'
  | 'out-in-frost'
  | 'out-in-wind'
  | 'out-in-heat'
  | 'day-stated-twice'
  | 'too-short'
  | 'no-full-day-at-end';

/** A day of a ramp that somebody typed, counted from 1. */
export interface RampEntry {
  readonly day: number;
  readonly hours: number;
  readonly place: OutdoorPlace;
}

/**
 * What is wrong with a ramp, by day; day 0 is the whole of it. The days between the first and the last that are stated count; one that is
 * not stated is a day indoors.
 */
export function faultsOfRamp(
  entries: readonly RampEntry[],
  weather: readonly OutdoorWeather[],
  rules: HardeningRules,
): { readonly fault: RampFault; readonly day: number }[] {
  const faults: { fault: RampFault; day: number }[] = [];
  const byDay = new Map<number, RampEntry>();
  for (const entry of entries) {
    if (byDay.has(entry.day)) faults.push({ fault: 'day-stated-twice', day: entry.day });
    else byDay.set(entry.day, entry);
  }
  const outdoor: number[] = [];
  let paused = 0;
  const last = Math.max(0, ...entries.map((e) => e.day));
  for (let day = 1; day <= last; day++) {
    const { hours, place } = byDay.get(day) ?? { hours: 0, place: 'in' };
    const today = weather[day - 1];
    const pause = today ? pauseOf(today, rules) : null;
    if (hours <= 0 || place === 'in') {
      if (pause) paused++;
      else faults.push({ fault: 'gap', day });
      continue;
    }
    if (pause) faults.push({ fault: `out-in-${pause}`, day });
    const allowed = allowedAfter(outdoor, paused, rules);
    const before = outdoor.at(-1);
    if (hours > allowed + 1e-9)
      faults.push({
        fault:
          before === undefined
            ? 'start-too-long'
            : paused === 0
              ? 'jump'
              : paused >= rules.stepBackAfter
                ? 'no-step-back'
                : 'step-after-pause',
        day,
      });
    else if (before !== undefined && hours < (paused === 0 ? before : allowed) - 1e-9) faults.push({ fault: 'drop', day });
    outdoor.push(hours);
    paused = 0;
    if (place === 'sun' && outdoor.length <= rules.shadeDays) faults.push({ fault: 'sun-too-early', day });
  }
  if (outdoor.length < rules.leastDays) faults.push({ fault: 'too-short', day: 0 });
  if ((outdoor.at(-1) ?? 0) < rules.full_h - 1e-9) faults.push({ fault: 'no-full-day-at-end', day: 0 });
  return faults;
}
