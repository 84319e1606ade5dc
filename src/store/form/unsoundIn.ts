import { getMetadataStorage } from 'class-validator';
import type { Problem } from '../../core/units/result';
import type { Site } from '../../core/site/stand/Site';
import { readSite } from './readSite';
import { SiteFile } from './SiteFile';
import { writeSite } from './writeSite';

/** How many things of each kind a site file may hold: read off the class that its reader goes by, so that there is one definition. */
const MOST = new Map(
  getMetadataStorage()
    .getTargetValidationMetadatas(SiteFile, '', false, false)
    .filter((m) => m.name === 'arrayMaxSize')
    .map((m) => [m.propertyName, m.constraints[0] as number]),
);

/**
 * Why a change would make a site that could not be read back; nothing where it could. What was sound and has not changed is not looked at
 * again, so that a change in one stand of hundreds is checked in a few milliseconds.
 *
 * @param before  a sound site
 * @param after   the same site, changed; parts that are the same are the same objects
 */
export function unsoundIn(before: Site, after: Site): Problem[] {
  const counts = [...MOST].flatMap(([at, most]): Problem[] => {
    const found = (after[at === 'programmes' ? 'timers' : (at as keyof Site)] as readonly unknown[]).length;
    return found > most ? [{ code: 'site/arrayMaxSize', at, found, expected: String(most) }] : [];
  });
  if (counts.length > 0) return counts;
  const old = new Set<unknown>([...before.stands, ...before.batches, ...before.timers, ...before.lamps, ...before.earlier]);
  const stands = after.stands.filter((s) => !old.has(s));
  const tiers = stands.flatMap((s) => s.tiers);
  const batchIds = new Set(tiers.flatMap((t) => t.trays.map((y) => y.batchId)));
  const timerIds = new Set([...tiers.map((t) => t.timerId), ...stands.flatMap((s) => s.plugged.map((p) => p.timerId))]);
  const lampIds = new Set([
    ...tiers.flatMap((t) => t.fittings.map((f) => f.lampId)),
    ...after.spares.map((s) => s.lampId),
    ...after.ownLamps.flatMap((o) => [o.lampId, ...o.channels]),
  ]);
  const part: Site = {
    ...after,
    stands,
    // A crop that changed may leave a batch without its stage.
    batches: after.batches.filter((b) => batchIds.has(b.id) || !old.has(b) || after.crops !== before.crops),
    timers: after.timers.filter((p) => timerIds.has(p.id) || !old.has(p)),
    lamps: after.lamps.filter((l) => lampIds.has(l.id) || !old.has(l)),
    earlier: after.earlier.filter((e) => !old.has(e)),
  };
  const read = readSite(writeSite(part));
  return read.ok ? [] : [...read.problems];
}
