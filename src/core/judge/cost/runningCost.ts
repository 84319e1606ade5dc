import type { Hours, Watts } from '../../units/quantities';

/** Days in a mean month. */
const DAYS_PER_MONTH = 365.2425 / 12; // Gregorian mean year; exact

export interface RunningCost {
  readonly kWhPerDay: number;
  readonly perDay: number;
  readonly perMonth: number;
}

/**
 * What lamps cost to run, from the watts that they really draw.
 *
 * @param power          all lamps together, ≥ 0
 * @param hours          a day, 0 … 24
 * @param price_per_kWh  ≥ 0, in the person's currency
 */
export function runningCost(power: Watts, hours: Hours, price_per_kWh: number): RunningCost {
  if (!(power >= 0 && hours >= 0 && hours <= 24 && price_per_kWh >= 0))
    throw new RangeError(`power, hours and price must be ≥ 0, got ${power}, ${hours}, ${price_per_kWh}`);
  const kWhPerDay = (power * hours) / 1000;
  return { kWhPerDay, perDay: kWhPerDay * price_per_kWh, perMonth: kWhPerDay * price_per_kWh * DAYS_PER_MONTH };
}
