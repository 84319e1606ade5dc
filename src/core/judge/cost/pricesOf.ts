import type { PricePeriod } from '../../units/PricePeriod';
import type { Watts } from '../../units/quantities';
import { costOfWeek } from './tariff';
import { blocksOf, litWithin, type LitTimes } from '../../units/LitTimes';
import type { Span } from '../../units/Span';

/** Days in a mean month. */
export const DAYS_PER_MONTH = 365.2425 / 12; // Gregorian mean year; exact

/** What a household pays for power, as it states it. */
export interface Tariff {
  readonly price_per_kWh: number;
  readonly cheap: (Span & { readonly price_per_kWh: number }) | null;
  /** Of some hours or days; the first that fits counts before everything else. */
  readonly bands?: readonly PricePeriod[];
}

/** Prices as periods of the day and week: those of some hours and days first, then the cheap hours, then the rest. */
export function pricesOf({ cheap, price_per_kWh, bands = [] }: Tariff): PricePeriod[] {
  const all: PricePeriod = { from_min: 0, to_min: 0, price_per_kWh, days: 'all' };
  return cheap
    ? [...bands, { from_min: cheap.from_min, to_min: cheap.to_min, price_per_kWh: cheap.price_per_kWh, days: 'all' }, all]
    : [...bands, all];
}

/**
 * What a run every day costs a day, in the currency of the tariff: the mean over a week, since weekends may have prices of their own.
 */
export function costADay(tariff: Tariff, power: Watts, times: LitTimes): number {
  const { cheap, price_per_kWh, bands = [] } = tariff;
  if (bands.length > 0) return blocksOf(times).reduce((sum, b) => sum + costOfWeek(pricesOf(tariff), power, b.on_min, b.lit_min), 0) / 7;
  // Every day is the same: no need to go through its minutes.
  const less_min = cheap ? litWithin(times, cheap) : 0;
  return ((times.lit_min - less_min) * price_per_kWh + less_min * (cheap?.price_per_kWh ?? 0)) * (power / 60_000);
}
