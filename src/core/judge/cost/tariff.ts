import { MINUTES_PER_DAY } from '../../units/clock';
import { lengthOf, type Span } from '../../units/Span';
import type { PricePeriod } from '../../units/PricePeriod';
import type { Watts } from '../../units/quantities';

const MON = 1;
const SAT = 6;

/** The price of a minute. @param weekday 0 is Sunday. @throws RangeError where no period covers it */
export function priceAt(periods: readonly PricePeriod[], weekday: number, minute: number): number {
  const isWeekend = weekday === 0 || weekday === SAT;
  const found = periods.find(
    (p) =>
      (p.days === 'all' || (p.days === 'weekend') === isWeekend) && (minute - p.from_min + MINUTES_PER_DAY) % MINUTES_PER_DAY < lengthOf(p),
  );
  if (!found) throw new RangeError(`no price for minute ${minute} of weekday ${weekday}`);
  return found.price_per_kWh;
}

/**
 * What a run costs, minute by minute.
 *
 * @param lit_min  0 … 1440; what runs past midnight is the next calendar day's
 */
export function costOfRun(periods: readonly PricePeriod[], power: Watts, on_min: number, lit_min: number, weekday = MON): number {
  let sum = 0;
  for (let i = 0; i < Math.ceil(lit_min); i++) {
    const part = Math.min(1, lit_min - i);
    const at = on_min + i;
    const day = (weekday + Math.floor(at / MINUTES_PER_DAY)) % 7;
    sum += part * priceAt(periods, day, at % MINUTES_PER_DAY);
  }
  return (sum * power) / 1000 / 60;
}

/** What a run each day costs in a week. */
export const costOfWeek = (periods: readonly PricePeriod[], power: Watts, on_min: number, lit_min: number): number =>
  [0, 1, 2, 3, 4, 5, 6].reduce((sum, weekday) => sum + costOfRun(periods, power, on_min, lit_min, weekday), 0);

/**
 * The start of a day's run that costs least, in one piece and outside of the quiet hours.
 *
 * @returns the earliest of the cheapest; null where the quiet hours leave too little
 */
export function cheapestStart(
  periods: readonly PricePeriod[],
  power: Watts,
  lit_min: number,
  quiet: Span | null,
  step_min: number,
): { readonly on_min: number; readonly cost: number } | null {
  let best: { on_min: number; cost: number } | null = null;
  for (let on_min = 0; on_min < MINUTES_PER_DAY; on_min += step_min) {
    if (quiet && touches(on_min, lit_min, quiet)) continue;
    const cost = costOfRun(periods, power, on_min, lit_min);
    if (best === null || cost < best.cost - 1e-12) best = { on_min, cost };
  }
  return best;
}

/** Whether a run has a minute within a stretch of the day. */
function touches(on_min: number, lit_min: number, span: Span): boolean {
  const wait = (span.from_min - on_min + MINUTES_PER_DAY) % MINUTES_PER_DAY;
  const into = (on_min - span.from_min + MINUTES_PER_DAY) % MINUTES_PER_DAY;
  return lit_min > 0 && (wait < lit_min || into < lengthOf(span));
}
