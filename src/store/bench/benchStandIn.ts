import { tables } from '../../core/things/tables/libraryTables';
import { benchStandOf, type BenchStand } from '../../core/answer/stand/benchStand';
import { rememberTiers } from '../../core/answer/stand/rememberTiers';
import type { Site, Stand } from '../../core/site/stand/Site';

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
