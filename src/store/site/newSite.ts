import { BARE_SITE } from '../../core/site/stand/bare';
import type { Site } from '../../core/site/stand/Site';

/** Currency and a price of power to begin with, by the browser's language; the person's own bill replaces them. */
export function startingTariff(language: string): { currency: string; price_per_kWh: number } {
  // Household prices of 2024, rounded: growers' consensus, shown as an assumption and editable.
  if (language === 'en-US') return { currency: 'USD', price_per_kWh: 0.17 };
  if (language === 'en-GB') return { currency: 'GBP', price_per_kWh: 0.25 };
  if (language === 'en-CA' || language === 'fr-CA') return { currency: 'CAD', price_per_kWh: 0.16 };
  if (language === 'en-AU') return { currency: 'AUD', price_per_kWh: 0.33 };
  return { currency: 'EUR', price_per_kWh: 0.3 };
}

export const emptySite = (language: string): Site => ({
  ...startingTariff(language),
  ...BARE_SITE,
});
