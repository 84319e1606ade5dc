import type { Share } from '../../units/quantities';
import type { Site } from '../stand/Site';
import { dimmedFitting } from './dimmings';

/** Turns the dimmers of all lamps of some tiers, each tier to a setting. */
export const turnDimmers =
  (settings: ReadonlyMap<string, Share>) =>
  (site: Site): Site => ({
    ...site,
    stands: site.stands.map((s) =>
      s.tiers.some((t) => settings.has(t.id))
        ? { ...s, tiers: s.tiers.map((t) => ({ ...t, fittings: t.fittings.map((f) => dimmedFitting(f, settings.get(t.id))) })) }
        : s,
    ),
  });
