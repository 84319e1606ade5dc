import { cropOf } from '../../site/crop/cropOf';
import { growthOf } from '../../site/growth/growthOf';
import type { GrownIn, Site } from '../../site/stand/Site';
import { createCache, type Cache } from '../../light/scene/Cache';
import type { Tables } from '../../things/tables/Tables';
import type { Day } from '../../units/day';
import { dosesOnDays, sumOverDays, type DosesOnDay } from './dosesOnDays';

/** What all trays of a batch together were given since it came up, or came here. */
export interface BatchGiven extends GrownIn {
  readonly days: number;
  /** All the light that fell on their plants. */
  readonly mol: number;
}

/**
 * What a batch was given until today, or until it left, day by day: its mean dose and all of its light.
 *
 * @param site   as of today
 * @param cache  of whoever asks again and again
 * @returns null where nobody knows since when it grows, it is not up yet, or its light is not known
 */
export function givenToBatch(site: Site, batchId: string, today: Day, tables: Tables, cache: Cache = createCache()): BatchGiven | null {
  const batch = site.batches.find((b) => b.id === batchId);
  const crop = batch && cropOf(site, batch.cropId, tables);
  const growth = crop && growthOf(batch, crop, today);
  if (!growth) return null;
  const until = Math.min(today, batch.leaves ?? today);
  const days = until - growth.emergence;
  const worked = dosesOnDays(site, growth.emergence, until, (y) => y.batchId === batchId, [], tables, cache);
  const total = sumOverDays(worked, (on) => dayOf(on, batchId));
  const mean = sumOverDays(worked, (on) => {
    const day = dayOf(on, batchId);
    return day && { ...day, mol: day.mol / day.area_m2 };
  });
  const last = worked.at(-1);
  const area_m2 = last && dayOf(last, batchId)?.area_m2;
  return total && mean && area_m2 ? { days, dli: mean.mol / days, area_m2, mol: total.mol } : null;
}

/** A day of all trays of a batch together: `mol` on their whole area. */
function dayOf({ given }: DosesOnDay, batchId: string) {
  const own = [...given.values()].filter((g) => g.batchId === batchId);
  const add = (of: (g: (typeof own)[number]) => number) => own.reduce((sum, g) => sum + of(g), 0);
  return own.length > 0 ? { area_m2: add((g) => g.area_m2), mol: add((g) => g.mol * g.area_m2), kWh: add((g) => g.kWh) } : null;
}
