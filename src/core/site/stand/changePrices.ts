import type { LampPrice } from './Site';
import type { Change } from './change';

export const MOST_PRICES = 500;
/** Prices of power by hours and days. */
export const MOST_BANDS = 12;

/** What a lamp of a kind costs; the older word goes. */
export const setLampPrice =
  (price: LampPrice): Change =>
  (site) => ({ ...site, lampPrices: [...site.lampPrices.filter((p) => p.lampId !== price.lampId), price].slice(-MOST_PRICES) });
