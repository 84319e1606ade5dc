import type { EarlierTier, Site, Timer } from '../../site/stand/Site';
import type { Tables } from '../../things/tables/Tables';
import type { Day } from '../../units/day';

/**
 * A site with its tiers as they were set on a day before today, as far as that was written down; everything else as it is. What was written
 * down of a lamp or a batch that is not there any more counts as not written.
 */
export function siteThen(site: Site, day: Day, tables: Pick<Tables, 'lamp'>): Site {
  const lamps = new Set(site.lamps.map((l) => l.id));
  const batches = new Set(site.batches.map((b) => b.id));
  const isKnown = (e: EarlierTier) =>
    e.fittings.every((f) => lamps.has(f.lampId) || tables.lamp(f.lampId)) && e.trays.every((y) => batches.has(y.batchId));
  const then = new Map<string, EarlierTier>();
  for (const e of site.earlier) {
    if (e.until <= day || !isKnown(e)) continue;
    const next = then.get(e.tierId);
    if (!next || e.until < next.until) then.set(e.tierId, e);
  }
  if (then.size === 0) return site;
  const elsewhere = new Set([...then.values()].flatMap((e) => e.trays.map((y) => y.id)));
  const timers: Timer[] = [];
  const stands = site.stands.map((stand) => ({
    ...stand,
    tiers: stand.tiers.map((tier) => {
      const was = then.get(tier.id);
      // A tray stands in one place.
      if (!was)
        return tier.trays.some((y) => elsewhere.has(y.id)) ? { ...tier, trays: tier.trays.filter((y) => !elsewhere.has(y.id)) } : tier;
      const timer = site.timers.find((p) => p.id === tier.timerId)!;
      // The other tiers of its timer go by what was written down of them.
      const own = { ...timer, id: `${timer.id} of ${tier.id}`, lit_min: was.lit_min };
      timers.push(own);
      return { ...tier, fittings: was.fittings, trays: was.trays, timerId: own.id };
    }),
  }));
  return { ...site, stands, timers: [...site.timers, ...timers] };
}
