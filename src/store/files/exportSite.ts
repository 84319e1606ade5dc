import type { Site } from '../../core/site/stand/Site';
import { writeSite } from '../form/writeSite';

/** Set-ups as the text of a file: the given ones with all that they use, or the whole site. */
export function exportSite(site: Site, standIds?: readonly string[]): string {
  return `${JSON.stringify(writeSite(standIds ? only(site, standIds) : site), null, 2)}\n`;
}

function only(site: Site, standIds: readonly string[]): Site {
  const stands = site.stands.filter((s) => standIds.includes(s.id));
  const tiers = stands.flatMap((s) => s.tiers);
  const uses = {
    batches: new Set(tiers.flatMap((t) => t.trays.map((y) => y.batchId))),
    timers: new Set(tiers.map((t) => t.timerId)),
    lamps: new Set(
      tiers.flatMap((t) => [
        ...t.fittings.map((f) => f.lampId),
        ...t.readings.flatMap((r) => r.lit.map((l) => l.lampId)),
        ...t.fits.flatMap((f) => f.lit.map((l) => l.lampId)),
      ]),
    ),
  };
  const hung = new Set(tiers.flatMap((t) => t.fittings.map((f) => f.id)));
  const ownLamps = site.ownLamps.filter((own) => hung.has(own.fittingId ?? ''));
  const batches = site.batches.filter((b) => uses.batches.has(b.id));
  const grown = new Set(batches.map((b) => b.cropId));
  return {
    ...site,
    stands: stands.map((s) => ({
      ...s,
      plugged: s.plugged.map((p) => (p.timerId === null || uses.timers.has(p.timerId) ? p : { ...p, timerId: null })),
    })),
    batches,
    crops: site.crops.filter((c) => grown.has(c.id)),
    cropNotes: site.cropNotes.filter((n) => grown.has(n.cropId)),
    timers: site.timers.filter((p) => uses.timers.has(p.id)),
    lamps: site.lamps.filter((l) => uses.lamps.has(l.id) || ownLamps.some((own) => own.lampId === l.id || own.channels.includes(l.id))),
    ownLamps,
  };
}
