import { answerBench } from '../../answer/bench/answerBench';
import { questionOfStand } from '../../answer/bench/questionOfStand';
import { createSunCache } from '../../answer/daylight/litByWindow';
import { asOf } from '../../answer/stand/asOf';
import { benchStandOf } from '../../answer/stand/benchStand';
import type { Cache } from '../../light/scene/Cache';
import { plantedAreaOf } from '../../site/stand/footprint';
import type { Site, Tray } from '../../site/stand/Site';
import type { Tables } from '../../things/tables/Tables';
import type { Day } from '../../units/day';
import { drawOf } from '../../answer/power/drawOf';
import { dliInPlace, traysInPlace, type TrayInPlace } from '../../answer/bench/traysInPlace';
import { siteThen } from './siteThen';
import { stretchesBetween } from './stretchesBetween';

/** The light of two days as far apart is worked out, and that of the days between goes evenly from one to the other. */
const APART_days = 4; // our choice: within 1 % of every day by itself, also around emergence
/** Of plants that have been here for long, every so many parts of their time: the sun changes slowly. */
const MOST_PARTS = 40; // our choice

/** What a tray is given in a day: light over its plants, and its part of its tier's power, as its area is of that of all trays there. */
export interface Daily {
  /** mol/m² */
  readonly mol: number;
  readonly kWh: number;
  /** Of its plants. */
  readonly area_m2: number;
  readonly batchId: string;
}

/** What trays were given on one day, by their ids. */
export interface DosesOnDay {
  readonly day: Day;
  readonly given: ReadonlyMap<string, Daily>;
}

/**
 * What trays were given on some days of a stretch of time: with lamps and hours as they were set then (as far as that was written down),
 * plants as tall as then, the daylight of then. Lamps, sides, and readings count as they are known today.
 *
 * @param site     as of today
 * @param isMeant  which trays
 * @param changes  days besides those that were written down on which something changed for them
 * @param cache    of whoever asks again and again
 * @returns the first and last day of each part between two changes, and some on the way; empty where nothing meant ever stood anywhere
 */
export function dosesOnDays(
  site: Site,
  from: Day,
  until: Day,
  isMeant: (tray: Tray) => boolean,
  changes: readonly Day[],
  tables: Tables,
  cache: Cache,
): readonly DosesOnDay[] {
  const stoodOn = new Set(site.earlier.flatMap((e) => (e.trays?.some(isMeant) ? [e.tierId] : [])));
  const stands = site.stands.filter((s) => s.tiers.some((t) => stoodOn.has(t.id) || t.trays.some(isMeant)));
  if (stands.length === 0 || from >= until) return [];
  const alone = { ...site, stands };
  const tiers = new Set(stands.flatMap((s) => s.tiers.map((t) => t.id)));
  const written = site.earlier.flatMap((e) => (tiers.has(e.tierId) ? [e.until] : []));
  const suns = createSunCache();
  return daysToWorkOut(from, until, [...written, ...changes]).map((day) => {
    const then = asOf(siteThen(alone, day, tables), day, tables, suns);
    const lit = then.stands.map((s) => benchStandOf(then, s, tables));
    const places = traysInPlace(lit.map((stand) => ({ stand, answer: answerBench(questionOfStand(stand, null), cache) })));
    return { day, given: new Map([...places].flatMap(([id, place]) => dailyOf(id, place))) };
  });
}

function dailyOf(id: string, place: TrayInPlace): [string, Daily][] {
  const mol = dliInPlace(place);
  if (mol === null) return [];
  const { tier, tray } = place;
  const area_m2 = plantedAreaOf(tray.tray);
  const share = area_m2 / tier.trays.reduce((sum, y) => sum + plantedAreaOf(y.tray), 0);
  return [[id, { mol, kWh: (drawOf(tier) / 1000) * tier.hours * share, area_m2, batchId: tray.batch.id }]];
}

function daysToWorkOut(from: Day, until: Day, changes: readonly Day[]): readonly Day[] {
  const apart = Math.max(APART_days, Math.ceil((until - from) / MOST_PARTS));
  const days = new Set<Day>();
  for (const [start, end] of stretchesBetween(changes, from, until)) {
    for (let day = start; day < end; day += apart) days.add(day);
    days.add(end - 1);
  }
  return [...days].sort((a, b) => a - b);
}

type Amounts = Pick<Daily, 'mol' | 'kWh'>;

/**
 * The sum over all days from the first to the last; of days before something is known to have stood somewhere, as on the first when it is.
 *
 * @param of  what was given on a day; null: not known
 * @returns null where nothing is known of the last of them
 */
export function sumOverDays(worked: readonly DosesOnDay[], of: (on: DosesOnDay) => Amounts | null): Amounts | null {
  const sum = { mol: 0, kWh: 0 };
  let next: { readonly day: Day; readonly daily: Amounts } | undefined;
  for (const on of [...worked].reverse()) {
    const daily = of(on) ?? next?.daily;
    if (!daily) return null;
    // The day itself and those up to the next that was worked out.
    const gap = next ? next.day - on.day : 1;
    for (const key of ['mol', 'kWh'] as const) sum[key] += gap * daily[key] + (((next?.daily ?? daily)[key] - daily[key]) * (gap - 1)) / 2;
    next = { day: on.day, daily };
  }
  return next ? sum : null;
}
