import type { Span } from './Span';

export const PRICE_DAYS = ['all', 'working', 'weekend'] as const;

/** A price of power at a time of day. From a minute to a minute, past midnight if need be; from = to is the whole day. */
export interface PricePeriod extends Span {
  readonly price_per_kWh: number;
  /** On working days, on Saturdays and Sundays, or on all: by the calendar day of each minute. */
  readonly days: (typeof PRICE_DAYS)[number];
}
