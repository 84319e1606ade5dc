import type { Crop } from './Crop';

/** Weakly, and not more often than this, days: growers' consensus (10 to 14), whatever a label or a table says. */
const LEAST_DAYS = 12;

/** The words of the crop table for how often a crop is fed, in days. */
const RHYTHMS: Readonly<Record<string, number>> = { weekly: 7, fortnightly: 14 };

/** When feeding begins, how strong a feed is, and how many days lie between two; null where its table counts waterings, months or seasons. */
export type Feeding = NonNullable<Crop['feed']> & { readonly everyDays: number | null };

/** How a crop is fed; null: it is not. */
export function feedingOf({ feed }: Pick<Crop, 'feed'>): Feeding | null {
  if (!feed) return null;
  const [, strength, rhythm] = /^(.*), (\w+)$/.exec(feed.strength) ?? [];
  const days = RHYTHMS[rhythm ?? ''];
  return days === undefined ? { ...feed, everyDays: null } : { ...feed, strength: strength!, everyDays: Math.max(days, LEAST_DAYS) };
}
