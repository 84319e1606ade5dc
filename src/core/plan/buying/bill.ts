import type { LitTimes } from '../../units/LitTimes';
import { drawOf } from '../../answer/power/drawOf';
import { lampOf, tierAlone, type BenchTier } from '../../answer/stand/benchStand';
import { costADay, DAYS_PER_MONTH, type Tariff } from '../../judge/cost/pricesOf';
import { shelfStands } from '../../site/stand/shelfStands';
import type { Site, Stand } from '../../site/stand/Site';
import type { Tables } from '../../things/tables/Tables';
import type { Hours, Watts } from '../../units/quantities';

/** What one thing draws in a day, and what that costs: the mean over a week, since weekends may have prices of their own. */
export interface BillLine {
  readonly standId: string;
  /** Null: of the stand as a whole. */
  readonly tierId: string | null;
  readonly kind: 'lamps' | 'fan' | 'mat' | 'pump' | 'other';
  readonly name: string;
  readonly count: number;
  readonly power: Watts;
  readonly hours: Hours;
  readonly kWh: number;
  readonly cost: number;
  /** How many trays stand under it; 0: none, or it is no lamp. */
  readonly trays: number;
}

/** What a run every day draws and costs a day. */
export function runOf(tariff: Tariff, power: Watts, timer: LitTimes | null) {
  const times = timer ?? { on_min: 0, lit_min: 1440, pause: null };
  return { hours: times.lit_min / 60, kWh: (power * times.lit_min) / 60_000, cost: costADay(tariff, power, times) };
}

/**
 * The bill of a day as everything is set on the stands that are there: lamps by tier and kind, and what is plugged in beside them. Things that are always live count for
 * the whole day, mats too, though a thermostat switches them off and on: an upper bound.
 */
export function billOf(site: Site, tables: Tables): BillLine[] {
  return shelfStands(site).flatMap((stand) => billOfStand(site, stand, tables));
}

/** The part of the bill that one stand makes. */
export function billOfStand(site: Site, stand: Stand, tables: Tables): BillLine[] {
  const runs = (power: Watts, timerId: string | null) => runOf(site, power, site.timers.find((p) => p.id === timerId) ?? null);
  return [
    ...stand.tiers.flatMap((tier) => {
      const { lamps } = tierAlone(site, { ...tier, trays: [] }, tables);
      return [...new Set(tier.fittings.map((f) => f.lampId))].map((id): BillLine => {
        const mine = lamps.filter((l) => l.fitting.lampId === id);
        const power = drawOf({ lamps: mine });
        return {
          standId: stand.id,
          tierId: tier.id,
          kind: 'lamps',
          name: lampOf(site, id, tables).name,
          count: mine.length,
          power,
          trays: tier.trays.length,
          ...runs(power, tier.timerId),
        };
      });
    }),
    ...stand.plugged.map((p): BillLine => ({
      standId: stand.id,
      tierId: null,
      kind: p.kind,
      name: p.name,
      count: 1,
      power: p.power,
      trays: 0,
      ...runs(p.power, p.timerId),
    })),
  ];
}

/** What the lamps of some tiers cost a month at the household's prices, as their timers stand. */
export const lampsAMonth = (tariff: Tariff, tiers: readonly Pick<BenchTier, 'lamps' | 'timer'>[]): number =>
  DAYS_PER_MONTH * tiers.reduce((sum, t) => sum + costADay(tariff, drawOf(t), t.timer), 0);

export const totalOf = (lines: readonly BillLine[]) =>
  lines.reduce((sum, l) => ({ power: sum.power + l.power, kWh: sum.kWh + l.kWh, cost: sum.cost + l.cost }), { power: 0, kWh: 0, cost: 0 });

/** A label's yearly cost at its own hours and price, as it is at others: both count in proportion. */
export function rebased(
  stated: number,
  from: { readonly hours: Hours; readonly price: number },
  to: { readonly hours: Hours; readonly price: number },
): number | null {
  return from.hours > 0 && from.price > 0 ? (stated * to.hours * to.price) / (from.hours * from.price) : null;
}
