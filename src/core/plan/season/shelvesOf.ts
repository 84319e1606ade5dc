import { shelfStands } from '../../site/stand/shelfStands';
import { asOf } from '../../answer/stand/asOf';
import { benchStandOf, type BenchTier } from '../../answer/stand/benchStand';
import { isCovered } from '../../answer/stand/roofOf';
import { createSunCache, type SunCache } from '../../answer/daylight/litByWindow';
import { daylightDli } from '../../judge/dli/LightDay';
import { createCache, type Cache } from '../../light/scene/Cache';
import type { Site } from '../../site/stand/Site';
import { outlineOf } from '../../site/stand/footprint';
import type { Tables } from '../../things/tables/Tables';
import { dayFrom, isoOf, type Day } from '../../units/day';
import type { Dli } from '../../units/quantities';
import type { PlacedNeed } from '../placing/Placing';
import { carryOf, type TierCarry } from './carryOf';
import { FLAT, flatsOn } from './flats';

/** What grows on a tier and is not of the season: it keeps its room, and what it bears limits the light. */
export interface Resident {
  readonly tierId: string;
  readonly need: PlacedNeed;
}

/** What is known of the shelves for a season. */
export interface Shelves {
  readonly carries: readonly TierCarry[];
  readonly residents: readonly Resident[];
  /** Daylight of a tier, by month (`2027-03`), for those at a window. */
  readonly daylight: Readonly<Record<string, Readonly<Record<string, Dli>>>>;
}

/** What was worked out before. */
export interface ShelvesCache {
  readonly carries: Map<string, TierCarry>;
  readonly light: Cache;
  readonly sun: Map<number, SunCache>;
}
export const shelvesCache = (): ShelvesCache => ({ carries: new Map(), light: createCache(256), sun: new Map() });

const monthOf = (day: Day): string => isoOf(day).slice(0, 7);

export const daylightOn = ({ daylight }: Pick<Shelves, 'daylight'>, tierId: string, day: Day): Dli => daylight[tierId]?.[monthOf(day)] ?? 0;

/** Looks up what every tier carries, what lives there anyway, and the daylight of the months from one day to another. */
export function shelvesOf(site: Site, today: Day, until: Day, tables: Tables, cache: ShelvesCache = shelvesCache()): Shelves {
  const now = asOf(site, today, tables);
  const planned = new Set(site.season?.batches.flatMap((b) => b.batchId ?? []) ?? []);
  const tiers = shelfStands(now).flatMap((s) => benchStandOf(now, s, tables).tiers);
  return {
    carries: tiers.map((t) => {
      // Trays don't change what a tier carries.
      const bare: BenchTier = { ...t, trays: [] };
      const key = JSON.stringify([
        { ...t.tier, trays: [], sun: null, fits: [], readings: [] },
        bare.lamps.map((l) => l.real),
        bare.known.fit?.sides?.reflectances,
        t.day.daylight?.dli,
        isCovered(t),
      ]);
      const known = cache.carries.get(key);
      if (known) return known;
      const carry = carryOf(bare, cache.light);
      if (cache.carries.size > 400) cache.carries.clear();
      cache.carries.set(key, carry);
      return carry;
    }),
    residents: tiers.flatMap((t) => residentOf(t, planned)),
    daylight: daylightByMonth(site, today, until, tables, cache),
  };
}

function residentOf({ tier, trays }: BenchTier, planned: ReadonlySet<string>): Resident[] {
  const others = trays.filter((t) => !planned.has(t.batch.id));
  const places = flatsOn(tier.width, tier.depth).length;
  if (others.length === 0 || places === 0) return [];
  const area = others.reduce((sum, { tray }) => {
    const o = outlineOf(tray);
    return sum + (o.x1 - o.x0) * (o.y1 - o.y0);
  }, 0);
  return [
    {
      tierId: tier.id,
      need: {
        trays: Math.min(places, Math.max(1, Math.ceil(area / (FLAT.length * FLAT.width) - 0.05))),
        dliMin: 0,
        dliMax: Math.min(...others.map((t) => t.stage.dliMax)),
        height_cm: 0,
        hours: { least: 0, most: Math.min(...others.map((t) => t.limits.longestDay)) },
        spotMost_umol: Math.min(...others.map((t) => t.limits.strongest)),
      },
    },
  ];
}

function daylightByMonth(site: Site, today: Day, until: Day, tables: Tables, cache: ShelvesCache): Shelves['daylight'] {
  const daylight: Record<string, Record<string, Dli>> = {};
  const [year, month] = monthOf(today).split('-').map(Number) as [number, number];
  for (let m = 0; m < 24; m++) {
    const middle = dayFrom(year, month + m, 15);
    if (dayFrom(year, month + m, 1) > until) break;
    const sun = cache.sun.get(m) ?? createSunCache(cache.sun.values().next().value?.sills);
    cache.sun.set(m, sun);
    for (const stand of shelfStands(asOf(site, middle, tables, sun)))
      for (const tier of stand.tiers) {
        const dli = daylightDli({ daylight: tier.daylight ?? tier.sun ?? null });
        if (dli > 0) (daylight[tier.id] ??= {})[monthOf(middle)] = dli;
      }
  }
  return daylight;
}
