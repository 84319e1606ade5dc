import { tables } from '../../core/library/tables';
import { benchStandOf, type BenchStand } from '../../core/stand/benchStand';
import { rememberTiers } from '../../core/stand/rememberTiers';
import type { Site, Stand } from '../../core/stand/Site';

const look = rememberTiers();
const stands = new WeakMap<Stand, BenchStand>();

/** A stand of a site with everything looked up; the same object for as long as nothing about it changes. */
export function benchStandIn(site: Site, stand: Stand): BenchStand {
  const found = benchStandOf(site, stand, tables, look);
  const last = stands.get(stand);
  if (last && last.tiers.every((t, i) => t === found.tiers[i])) return last;
  stands.set(stand, found);
  return found;
}
