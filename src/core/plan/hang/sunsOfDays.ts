import { createSunCache } from '../../answer/daylight/litByWindow';
import { asOf } from '../../answer/stand/asOf';
import type { BenchTier, BenchTray } from '../../answer/stand/benchStand';
import { peakOf } from '../../judge/dli/LightDay';
import type { Daylight } from '../../site/stand/Daylight';
import { daylightOfTray, type Site } from '../../site/stand/Site';
import type { Tables } from '../../things/tables/Tables';
import type { Day } from '../../units/day';
import type { Share } from '../../units/quantities';

/** The daylight of the trays of a stand over the days of a chart. */
export interface SunsOfDays {
  on(tray: BenchTray, day: Day): Daylight | null;
  /** Days with one number have one daylight. */
  stretch(day: Day): number;
}

/** Daylight stays as it is on the first day. */
export const AS_TODAY: SunsOfDays = { on: (tray) => tray.day.daylight, stretch: () => 0 };

/** Daylight is worked out for every third day. */
const STEP_days = 3;
/** Days are lit alike while no tray’s daylight changes by more than this share of its least dose and of its strongest light: half of it to each side of the middle, as near as a chart goes (`NEAR`). */
const ALIKE: Share = 0.1;

/** What a window gives to the trays of a stand on a day, by tray. */
type Suns = ReadonlyMap<string, Daylight | null>;

/**
 * The daylight of every tray of a stand over the days of a chart, anew as soon as it matters: by spring a window gives twice of what it
 * gave when the chart was begun. Within a stretch of days that are lit alike it is as in the middle, and lasts as long as on the longest
 * of them. Daylight that is stated, or of stands at no window, stays.
 */
export function sunsOfDays(
  site: Site,
  standId: string,
  tiers: readonly BenchTier[],
  from: Day,
  until: Day,
  tables: Pick<Tables, 'crop'>,
): SunsOfDays {
  const stand = site.stands.find((s) => s.id === standId);
  if (!stand?.window || stand.tiers.every((t) => t.daylight !== null || t.sun === undefined)) return AS_TODAY;
  const alone: Site = { ...site, stands: [stand] };
  const cache = createSunCache();
  const steps = Array.from({ length: Math.floor((until - from) / STEP_days) + 1 }, (_, n): Suns => {
    const middle = Math.min(until, from + n * STEP_days + Math.floor(STEP_days / 2));
    const then = asOf(alone, middle, tables, cache).stands[0]!.tiers;
    return new Map(then.flatMap((t) => t.trays.map((y) => [y.id, daylightOfTray(t, y)] as const)));
  });
  const trays = tiers.flatMap((t) => t.trays);
  const stretches: Suns[] = [];
  const stretchOf: number[] = [];
  for (let first = 0; first < steps.length;) {
    let end = first + 1;
    while (end < steps.length && trays.every((y) => isAlike(y, steps[first]!, steps[end]!))) end++;
    for (let n = first; n < end; n++) stretchOf.push(stretches.length);
    stretches.push(joined(steps.slice(first, end)));
    first = end;
  }
  const stretch = (day: Day) => stretchOf[Math.min(stretchOf.length - 1, Math.max(0, Math.floor((day - from) / STEP_days)))]!;
  return { on: (tray, day) => stretches[stretch(day)]!.get(tray.tray.id) ?? null, stretch };
}

function isAlike({ tray, stage }: BenchTray, before: Suns, after: Suns): boolean {
  const [a, b] = [before.get(tray.id) ?? null, after.get(tray.id) ?? null];
  if (!a || !b) return a === b;
  return Math.abs(a.dli - b.dli) <= ALIKE * stage.dliMin && Math.abs(peakOf(a) - peakOf(b)) <= ALIKE * stage.ppfdMax;
}

/** As on the middle one of some days, and as long as any of them. */
function joined(steps: readonly Suns[]): Suns {
  const middle = steps[Math.floor(steps.length / 2)]!;
  return new Map(
    [...middle].map(([id, daylight]) => {
      const all = steps.flatMap((s) => s.get(id) ?? []);
      const span = { from_min: Math.min(...all.map((d) => d.from_min)), to_min: Math.max(...all.map((d) => d.to_min)) };
      return [id, daylight && { ...daylight, ...span }];
    }),
  );
}
