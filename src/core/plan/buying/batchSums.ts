import { lookUpTier } from '../../answer/stand/benchStand';
import { cropOf } from '../../site/crop/cropOf';
import { growthOf } from '../../site/growth/growthOf';
import { plantedAreaOf } from '../../site/stand/footprint';
import { shelfStands } from '../../site/stand/shelfStands';
import type { Batch, Site, Tier, Tray } from '../../site/stand/Site';
import type { Tables } from '../../things/tables/Tables';
import type { Day } from '../../units/day';
import type { Dli } from '../../units/quantities';
import { drawOf, runOf } from './bill';

/** What a batch has had up to a day, with the lamps and timers as they are set now. */
export interface BatchSums {
  /** Under light: since it came up, or came here. */
  readonly days: number;
  readonly trays: number;
  readonly kWhADay: number;
  readonly costADay: number;
  readonly kWh: number;
  readonly cost: number;
  /** Of plants, all trays together. */
  readonly area_m2: number;
  /** All the light that fell on that area, mol; null: its light is not known yet. */
  readonly mol: number | null;
  /** Fresh, all harvests together; null: nothing was weighed. */
  readonly grams: number | null;
}

/** The part of a tier's power that is over a tray: as its plant area is of that of all trays there. */
const shareOfTier = (tier: Tier, tray: Tray): number => plantedAreaOf(tray) / tier.trays.reduce((sum, y) => sum + plantedAreaOf(y), 0);

/**
 * Sums up a batch: days under light, light received, power and its cost, and what was weighed. Lamps and timers count as they are now
 * for all of these days: nobody wrote down how they were.
 *
 * @param dliOf  mean dose of a tray now, by lamps and daylight; null: not known
 * @returns null where nobody knows since when it grows, or where it stands nowhere
 */
export function sumsOf(site: Site, batch: Batch, today: Day, tables: Tables, dliOf: (trayId: string) => Dli | null): BatchSums | null {
  const crop = cropOf(site, batch.cropId, tables);
  const growth = crop && growthOf(batch, crop, today);
  if (!growth) return null;
  const places = shelfStands(site).flatMap((stand) =>
    stand.tiers.flatMap((tier) => tier.trays.filter((y) => y.batchId === batch.id).map((tray) => ({ tier, tray }))),
  );
  if (places.length === 0) return null;
  let kWhADay = 0, costADay = 0, area_m2 = 0; // prettier-ignore
  let molADay: number | null = 0;
  for (const { tier, tray } of places) {
    const { lamps, timer } = lookUpTier(site, { ...tier, trays: [] }, tables, { number: 1, x: 0, z: 0 });
    const run = runOf(site, drawOf({ lamps }), timer);
    const share = shareOfTier(tier, tray);
    kWhADay += share * run.kWh;
    costADay += share * run.cost;
    area_m2 += plantedAreaOf(tray);
    const dli = dliOf(tray.id);
    molADay = dli === null || molADay === null ? null : molADay + dli * plantedAreaOf(tray);
  }
  const days = Math.max(0, Math.min(today, batch.leaves ?? today) - growth.emergence);
  const weighed = batch.log.filter((l) => l.what === 'harvest' && l.weight_g !== undefined);
  return {
    days,
    trays: places.length,
    kWhADay,
    costADay,
    kWh: days * kWhADay,
    cost: days * costADay,
    area_m2,
    mol: molADay === null ? null : days * molADay,
    grams: weighed.length > 0 ? weighed.reduce((sum, l) => sum + l.weight_g!, 0) : null,
  };
}
