import type { Fit } from '../reading/Fit';
import type { OwnMeter } from '../reading/OwnMeter';
import { MOST_READINGS, type Reading } from '../reading/Reading';
import type { Site, Tier } from './Site';

type Change = (site: Site) => Site;

/** Changes what is known of a tier; where its lamps and trays are stays as it was laid out. */
const withTier =
  (tierId: string, change: (tier: Tier) => Tier): Change =>
  (site) => ({
    ...site,
    stands: site.stands.map((s) =>
      s.tiers.some((t) => t.id === tierId) ? { ...s, tiers: s.tiers.map((t) => (t.id === tierId ? change(t) : t)) } : s,
    ),
  });

/** Keeps a reading, or puts one right that is there already. */
export const keepReading = (tierId: string, reading: Reading): Change => keepReadings(tierId, [reading]);

/** Keeps several as one; the oldest go where there are more than a tier keeps. */
export const keepReadings = (tierId: string, readings: readonly Reading[]): Change =>
  withTier(tierId, (t) => {
    const news = new Map(readings.map((r) => [r.id, r]));
    const kept = t.readings.map((r) => news.get(r.id) ?? r);
    const there = new Set(t.readings.map((r) => r.id));
    return { ...t, readings: [...kept, ...readings.filter((r) => !there.has(r.id))].slice(-MOST_READINGS) };
  });

export const dropReadings = (tierId: string, ids: readonly string[]): Change =>
  withTier(tierId, (t) => ({ ...t, readings: t.readings.filter((r) => !ids.includes(r.id)) }));

/** A fit from now on decides what lamps and sides of a tier are; readings that it found bad are left out. */
export const keepFit = (tierId: string, fit: Fit, bad: readonly string[]): Change =>
  withTier(tierId, (t) => ({
    ...t,
    fits: [...t.fits, fit].slice(-MOST_FITS),
    readings: t.readings.map((r) => (bad.includes(r.id) ? { ...r, leftOut: true } : r)),
  }));

/** As many fits as a file holds. */
const MOST_FITS = 100;

/** Sets the fit in force aside: what was known before counts again. */
export const dropFit = (tierId: string, fitId: string): Change =>
  withTier(tierId, (t) => ({ ...t, fits: t.fits.filter((f) => f.id !== fitId) }));

/** Adds a meter, or changes one. */
export const keepMeter =
  (meter: OwnMeter): Change =>
  (site) => ({
    ...site,
    meters: site.meters.some((m) => m.id === meter.id) ? site.meters.map((m) => (m.id === meter.id ? meter : m)) : [...site.meters, meter],
  });

/** Takes a meter away; its readings keep the factor that it had. */
export const dropMeter =
  (id: string): Change =>
  (site) => ({ ...site, meters: site.meters.filter((m) => m.id !== id) });
