import { tierAlone } from '../../answer/stand/benchStand';
import { cropOf } from '../../site/crop/cropOf';
import { growthOf } from '../../site/growth/growthOf';
import { plantedAreaOf } from '../../site/stand/footprint';
import { shelfStands } from '../../site/stand/shelfStands';
import type { Batch, Site, Tier, Tray } from '../../site/stand/Site';
import type { Tables } from '../../things/tables/Tables';
import type { Day } from '../../units/day';
import { siteThen } from '../past/siteThen';
import { stretchesBetween } from '../past/stretchesBetween';
import { drawOf } from '../../answer/power/drawOf';
import { runOf } from './bill';

/** What a batch draws, and has drawn up to a day. */
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
  /** Fresh, all harvests together; null: nothing was weighed. */
  readonly grams: number | null;
}

/** The part of a tier's power that is over a tray: as its plant area is of that of all trays there. */
const shareOfTier = (tier: Tier, tray: Tray): number => plantedAreaOf(tray) / tier.trays.reduce((sum, y) => sum + plantedAreaOf(y), 0);

/** What all trays of a batch draw in a day as a site is set; null where it stands nowhere. */
function drawnADay(site: Site, batchId: string, tables: Tables) {
  const places = shelfStands(site).flatMap((stand) =>
    stand.tiers.flatMap((tier) => tier.trays.filter((y) => y.batchId === batchId).map((tray) => ({ tier, tray }))),
  );
  if (places.length === 0) return null;
  const sum = { trays: places.length, kWh: 0, cost: 0, area_m2: 0 };
  for (const { tier, tray } of places) {
    const { lamps, timer } = tierAlone(site, { ...tier, trays: [] }, tables);
    const run = runOf(site, drawOf({ lamps }), timer);
    const share = shareOfTier(tier, tray);
    sum.kWh += share * run.kWh;
    sum.cost += share * run.cost;
    sum.area_m2 += plantedAreaOf(tray);
  }
  return sum;
}

/**
 * Sums up a batch: days under light, power and its cost, and what was weighed. Lamps and timers count as they were set on each day, as far as
 * that was written down; prices as they are now.
 *
 * @returns null where nobody knows since when it grows, or where it stands nowhere
 */
export function sumsOf(site: Site, batch: Batch, today: Day, tables: Tables): BatchSums | null {
  const crop = cropOf(site, batch.cropId, tables);
  const growth = crop && growthOf(batch, crop, today);
  const now = growth && drawnADay(site, batch.id, tables);
  if (!growth || !now) return null;
  const from = growth.emergence;
  const until = Math.max(from, Math.min(today, batch.leaves ?? today));
  let [kWh, cost, day] = [0, 0, now];
  // From now back; of days before it stood anywhere, as on the first when it did.
  for (const [start, end] of [...stretchesBetween(changesOf(site, batch.id), from, until)].reverse()) {
    const then = siteThen(site, start, tables);
    day = (then === site ? now : drawnADay(then, batch.id, tables)) ?? day;
    kWh += (end - start) * day.kWh;
    cost += (end - start) * day.cost;
  }
  const weighed = batch.log.filter((l) => l.what === 'harvest' && l.weight_g !== undefined);
  return {
    days: until - from,
    trays: now.trays,
    kWhADay: now.kWh,
    costADay: now.cost,
    kWh,
    cost,
    area_m2: now.area_m2,
    grams: weighed.length > 0 ? weighed.reduce((sum, l) => sum + l.weight_g!, 0) : null,
  };
}

/** Days on which tiers were set otherwise where a batch stands or stood. */
function changesOf(site: Site, batchId: string): readonly Day[] {
  const isMine = (y: Tray) => y.batchId === batchId;
  const tiers = new Set([
    ...site.stands.flatMap((s) => s.tiers.flatMap((t) => (t.trays.some(isMine) ? [t.id] : []))),
    ...site.earlier.flatMap((e) => (e.trays?.some(isMine) ? [e.tierId] : [])),
  ]);
  return site.earlier.flatMap((e) => (tiers.has(e.tierId) ? [e.until] : []));
}
