import { asOf } from '../../answer/stand/asOf';
import type { BenchTray } from '../../answer/stand/benchStand';
import type { Daylight } from '../../site/stand/Daylight';
import { daylightOfTray, type Site } from '../../site/stand/Site';
import type { Tables } from '../../things/tables/Tables';
import type { Day } from '../../units/day';

/** The daylight of the trays of a stand over the days of a chart. */
export interface SunsOfDays {
  on(tray: BenchTray, day: Day): Daylight | null;
  /** Days with one number have one daylight. */
  stretch(day: Day): number;
}

/** Daylight stays as it is on the first day. */
export const AS_TODAY: SunsOfDays = { on: (tray) => tray.day.daylight, stretch: () => 0 };

/** Days that are lit alike, as on the middle one: a day makes 3 % at most at temperate windows (sunsOfDays.test.ts). */
const STRETCH_days = 3;

/**
 * The daylight of every tray of a stand every few days anew: by spring a window gives twice of what it gave when
 * the chart was begun. One that is stated, or that comes from nowhere, stays.
 */
export function sunsOfDays(site: Site, standId: string, from: Day, until: Day, tables: Pick<Tables, 'crop'>): SunsOfDays {
  const stand = site.stands.find((s) => s.id === standId);
  if (!stand?.window || stand.tiers.every((t) => t.daylight !== null || t.sun === undefined)) return AS_TODAY;
  const alone: Site = { ...site, stands: [stand] };
  const stretch = (day: Day) => Math.floor((day - from) / STRETCH_days);
  const stretches = Array.from({ length: stretch(until) + 1 }, (_, n) => {
    const middle = Math.min(until, from + n * STRETCH_days + Math.floor(STRETCH_days / 2));
    const tiers = asOf(alone, middle, tables).stands[0]!.tiers;
    return new Map(tiers.flatMap((t) => t.trays.map((y) => [y.id, daylightOfTray(t, y)] as const)));
  });
  return { on: (tray, day) => stretches[stretch(day)]?.get(tray.tray.id) ?? null, stretch };
}
