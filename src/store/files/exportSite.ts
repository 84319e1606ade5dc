import type { Site } from '../../core/site/stand/Site';
import { writeSite } from '../form/writeSite';

/** Set-ups as the text of a file: the given ones with all that they use and nothing of the others, or the whole site. */
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
        ...t.fits.flatMap((f) => [...f.lit, ...f.lamps].map((l) => l.lampId)),
      ]),
    ),
  };
  const hung = new Set(tiers.flatMap((t) => t.fittings.map((f) => f.id)));
  const ownLamps = site.ownLamps.filter((own) => hung.has(own.fittingId ?? ''));
  const batches = site.batches.filter((b) => uses.batches.has(b.id));
  const trays = new Set(tiers.flatMap((t) => t.trays.map((y) => y.id)));
  const planned = site.season?.batches.filter((b) => uses.batches.has(b.batchId ?? '')) ?? [];
  const grown = new Set([...batches, ...planned].map((b) => b.cropId));
  const lamps = site.lamps.filter(
    (l) => uses.lamps.has(l.id) || ownLamps.some((own) => own.lampId === l.id || own.channels.includes(l.id)),
  );
  const windows = site.windows.filter((w) => stands.some((s) => s.window?.windowId === w.id));
  const meters = new Set(tiers.flatMap((t) => t.readings.map((r) => r.meterId)));
  return {
    ...site,
    season:
      site.season && planned.length > 0
        ? { ...site.season, batches: planned.map((b) => ({ ...b, tierId: tiers.some((t) => t.id === b.tierId) ? b.tierId : null })) }
        : null,
    clinic: site.clinic.filter((c) => uses.batches.has(c.batchId) && trays.has(c.trayId)),
    trials: site.trials
      .filter((t) => t.trays.some((y) => y.trayId !== null && trays.has(y.trayId)))
      .map((t) => ({ ...t, trays: t.trays.map((y) => (y.trayId !== null && trays.has(y.trayId) ? y : { ...y, trayId: null })) })),
    earlier: site.earlier.filter((e) => tiers.some((t) => t.id === e.tierId)),
    safety: site.safety.filter((s) => standIds.includes(s.standId)),
    jobMarks: [],
    spares: [],
    lampPrices: site.lampPrices.filter((p) => uses.lamps.has(p.lampId)),
    windows,
    place: windows.length > 0 ? site.place : null,
    meters: site.meters.filter((m) => meters.has(m.id)),
    stands: stands.map((s) => ({
      ...s,
      plugged: s.plugged.map((p) => (p.timerId === null || uses.timers.has(p.timerId) ? p : { ...p, timerId: null })),
    })),
    batches,
    crops: site.crops.filter((c) => grown.has(c.id)),
    cropNotes: site.cropNotes.filter((n) => grown.has(n.cropId)),
    timers: site.timers.filter((p) => uses.timers.has(p.id)),
    lamps,
    ownLamps,
  };
}
