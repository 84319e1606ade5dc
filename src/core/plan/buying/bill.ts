import { lampOf } from '../../answer/stand/benchStand';
import { costOfRun, type PricePeriod } from '../../judge/cost/tariff';
import type { Site } from '../../site/stand/Site';
import type { Tables } from '../../things/tables/Tables';
import type { Hours, Watts } from '../../units/quantities';

/** What one thing draws in a day, and what that costs. */
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

/** The household's prices as periods of the day: the cheap hours first, then the rest. */
export function pricesOf({ cheap, price_per_kWh }: Pick<Site, 'cheap' | 'price_per_kWh'>): PricePeriod[] {
  const all: PricePeriod = { from_min: 0, to_min: 0, price_per_kWh, days: 'all' };
  return cheap ? [{ from_min: cheap.from_min, to_min: cheap.to_min, price_per_kWh: cheap.price_per_kWh, days: 'all' }, all] : [all];
}

/**
 * The bill of a day as everything is set: lamps by tier and kind, and what is plugged in beside them. Things that are always live count for
 * the whole day, mats too, though a thermostat switches them off and on: an upper bound.
 */
export function billOf(site: Site, tables: Pick<Tables, 'lamp'>): BillLine[] {
  const prices = pricesOf(site);
  const runs = (power: Watts, programmeId: string | null) => {
    const programme = programmeId === null ? null : site.programmes.find((p) => p.id === programmeId);
    const [on_min, lit_min] = programme ? [programme.on_min, programme.lit_min] : [0, 1440];
    return { hours: lit_min / 60, kWh: (power * lit_min) / 60_000, cost: costOfRun(prices, power, on_min, lit_min) };
  };
  return site.stands.flatMap((stand): BillLine[] => [
    ...stand.tiers.flatMap((tier) => {
      const kinds = [...new Set(tier.fittings.map((f) => f.lampId))];
      return kinds.map((id): BillLine => {
        const lamp = lampOf(site, id, tables);
        const count = tier.fittings.filter((f) => f.lampId === id).length;
        const power = lamp.power * count;
        return {
          standId: stand.id,
          tierId: tier.id,
          kind: 'lamps',
          name: lamp.name,
          count,
          power,
          trays: tier.trays.length,
          ...runs(power, tier.programmeId),
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
      ...runs(p.power, p.programmeId),
    })),
  ]);
}

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
