import { calledOf } from '../../site/stand/called';
import { lookUpTier, type BenchTier, type Look } from './benchStand';
import type { Site, Tier } from '../../site/stand/Site';

/**
 * Looks tiers up, and gives the same object again for as long as nothing about a tier has changed: what has been drawn or
 * worked out for it then still holds.
 */
export function rememberTiers(): Look {
  const known = new WeakMap<Tier, { lamps: Site['lamps']; crops: Site['crops']; found: BenchTier }>();
  return (site, tier, tables, place) => {
    const last = known.get(tier);
    if (last) {
      const { found } = last;
      const sameBatches = found.trays.every((y) => site.batches.find((b) => b.id === y.batch.id) === y.batch);
      const sameNames = found.trays.every((y) => calledOf(site, y.tray, y.crop) === y.called);
      const sameHours = site.timers.find((p) => p.id === found.timer.id) === found.timer;
      const samePlace = found.number === place.number && found.x === place.x && found.z === place.z;
      if (sameBatches && sameNames && sameHours && samePlace && last.lamps === site.lamps && last.crops === site.crops) return found;
    }
    const found = lookUpTier(site, tier, tables, place);
    known.set(tier, { lamps: site.lamps, crops: site.crops, found });
    return found;
  };
}
