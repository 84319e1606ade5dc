import type { Site, Timer } from '../../site/stand/Site';
import type { Tables } from '../../things/tables/Tables';
import type { Day } from '../../units/day';
import { settingOn } from './tierThen';

/**
 * A site with its tiers as they were set on a day before today, as far as that was written down; everything else as it is. What was written
 * down of a lamp or a batch that is not there any more counts as not written.
 */
export function siteThen(site: Site, day: Day, tables: Pick<Tables, 'lamp'>): Site {
  if (site.earlier.every((e) => e.until <= day)) return site;
  const then = new Map(site.stands.flatMap((s) => s.tiers.map((t) => [t.id, settingOn(t, day, site, tables)])));
  const moved = new Set([...then.values()].flatMap((was) => was?.trays.map((y) => y.id) ?? []));
  const timers: Timer[] = [];
  const stands = site.stands.map((stand) => ({
    ...stand,
    tiers: stand.tiers.map((tier) => {
      const was = then.get(tier.id);
      // A tray stands in one place.
      if (!was) return tier.trays.some((y) => moved.has(y.id)) ? { ...tier, trays: tier.trays.filter((y) => !moved.has(y.id)) } : tier;
      const timer = site.timers.find((p) => p.id === tier.timerId)!;
      // The other tiers of its timer go by what was written down of them.
      const own = { ...timer, id: `${timer.id} of ${tier.id}`, lit_min: was.lit_min };
      timers.push(own);
      return { ...tier, fittings: was.fittings, trays: was.trays, timerId: own.id };
    }),
  }));
  return { ...site, stands, timers: [...site.timers, ...timers] };
}
