import { dimmedFitting } from '../../site/ownLamps/dimmings';
import { knowOwnLamps } from '../../site/ownLamps/hangingOf';
import { asOf } from '../../answer/stand/asOf';
import { growthOf } from '../../site/growth/growthOf';
import { cropOf } from '../../site/crop/cropOf';
import type { Tables } from '../../things/tables/Tables';
import type { Site, Tier } from '../../site/stand/Site';
import type { Day } from '../../units/day';
import type { VisitJobs } from '../../site/hang/KeptChart';

/** Does what is to be done on a visit: lamps to their heights, dimmers turned, risers out, timers set. What is gone meanwhile is left out. */
export function doVisit(site: Site, { lamps, dims, risers, hours }: VisitJobs): Site {
  const faceOf = new Map(lamps.map((j) => [j.fittingId, j.face]));
  const dimOf = new Map(dims.map((j) => [j.fittingId, j.to]));
  const risersOf = new Map(risers.map((j) => [j.trayId, j.to]));
  const touched = new Set([...lamps, ...dims, ...risers].map((j) => j.tierId));
  return {
    ...site,
    stands: site.stands.map((s) =>
      s.tiers.some((t) => touched.has(t.id))
        ? {
            ...s,
            autoArranged: false,
            tiers: s.tiers.map((t) =>
              touched.has(t.id)
                ? {
                    ...t,
                    fittings: t.fittings.map((f) => dimmedFitting({ ...f, face: faceOf.get(f.id) ?? f.face }, dimOf.get(f.id))),
                    trays: t.trays.map((y) => ({ ...y, risers: risersOf.get(y.id) ?? y.risers })),
                  }
                : t,
            ),
          }
        : s,
    ),
    timers: site.timers.map((p) => {
      const job = hours.find((h) => h.timerId === p.id);
      return job ? { ...p, on_min: job.on_min, lit_min: job.lit_min } : p;
    }),
  };
}

/** Lamps after so many days more of the hours that their timers have now. */
function aged(site: Site, days: number): Site {
  if (days === 0) return site;
  const hoursOf = new Map(site.timers.map((p) => [p.id, p.lit_min / 60]));
  const older = (t: Tier): Tier => ({ ...t, ageing: { ...t.ageing, later_h: days * (hoursOf.get(t.timerId) ?? 0) } });
  return { ...site, stands: site.stands.map((s) => ({ ...s, tiers: s.tiers.map(older) })) };
}

/**
 * A site as it will be on a later day: all visits up to then done, the plants grown, what has left gone, and the lamps older by
 * the hours that they burn until then.
 *
 * @param from  the day from which it is looked ahead; left out: that of the first visit
 */
export function siteOn(site: Site, visits: readonly VisitJobs[], day: Day, tables: Pick<Tables, 'crop'>, from?: Day): Site {
  const start = from ?? visits[0]?.day ?? day;
  const later = aged(site, Math.max(0, day - start));
  // Lamps are as old as at the start: what they burn until then is in their tier's later hours.
  const grown = knowOwnLamps(asOf(visits.filter((v) => v.day <= day).reduce(doVisit, later), day, tables), start);
  const left = new Set(
    grown.batches
      .filter((b) => {
        const crop = cropOf(grown, b.cropId, tables);
        return crop && growthOf(b, crop, day)?.phase === 'left';
      })
      .map((b) => b.id),
  );
  if (left.size === 0) return grown;
  return {
    ...grown,
    stands: grown.stands.map((s) =>
      s.tiers.some((t) => t.trays.some((y) => left.has(y.batchId)))
        ? { ...s, tiers: s.tiers.map((t) => ({ ...t, trays: t.trays.filter((y) => !left.has(y.batchId)) })) }
        : s,
    ),
  };
}
