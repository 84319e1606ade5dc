import type { Lamp } from '../../core/things/lamp/Lamp';
import type { Crop } from '../../core/things/crop/Crop';
import type { Window } from '../../core/site/window/Window';
import type { OwnMeter } from '../../core/site/reading/OwnMeter';
import type { Site } from '../../core/site/stand/Site';
import { freeName } from '../names/freeName';
import { newId } from '../names/newId';

/**
 * Adds the set-ups of another site to this one. Everything that comes in gets a name of its own, so nothing here is
 * overwritten and the same file can be opened twice; a lamp, window or meter that is here already, the same to the last figure, is shared.
 * Of two seasons that are planned, the batches of the other are planned here too. The household's own stays as it is here: its prices,
 * quiet hours, visits, what was said of jobs; and that a caution was seen to is asked anew, since another may have done it.
 */
export function mergeSite(site: Site, other: Site): Site {
  const renamed = new Map<string, string>();
  const rename = (id: string) => renamed.get(id) ?? renamed.set(id, newId()).get(id)!;
  const lamps: Lamp[] = [...site.lamps];
  const lampIds = new Map<string, string>();
  for (const lamp of other.lamps) {
    const same = site.lamps.find((l) => JSON.stringify({ ...l, id: '' }) === JSON.stringify({ ...lamp, id: '' }));
    const id = same?.id ?? `own-${newId()}`;
    lampIds.set(lamp.id, id);
    if (!same) lamps.push({ ...lamp, id });
  }
  const lampId = (id: string) => lampIds.get(id) ?? id;
  const crops: Crop[] = [...site.crops];
  const cropIds = new Map<string, string>();
  for (const crop of other.crops) {
    const same = site.crops.find((c) => JSON.stringify({ ...c, id: '' }) === JSON.stringify({ ...crop, id: '' }));
    const id = same?.id ?? `own-${newId()}`;
    cropIds.set(crop.id, id);
    if (!same) crops.push({ ...crop, id });
  }
  const windows: Window[] = [...site.windows];
  const windowIds = new Map<string, string>();
  const bare = (w: Window) => JSON.stringify({ ...w, id: '', readings: w.readings.map((r) => ({ ...r, id: '' })) });
  for (const window of other.windows) {
    const same = site.windows.find((w) => bare(w) === bare(window));
    const id = same?.id ?? rename(window.id);
    windowIds.set(window.id, id);
    if (!same) windows.push({ ...window, id, readings: window.readings.map((r) => ({ ...r, id: rename(r.id) })) });
  }
  const meters: OwnMeter[] = [...site.meters];
  for (const meter of other.meters) {
    const same = site.meters.find((m) => JSON.stringify({ ...m, id: '' }) === JSON.stringify({ ...meter, id: '' }));
    if (same) renamed.set(meter.id, same.id);
    else meters.push({ ...meter, id: rename(meter.id) });
  }
  const cropId = (id: string) => cropIds.get(id) ?? id;
  let stands = site.stands;
  for (const stand of other.stands) {
    const added = {
      ...stand,
      id: rename(stand.id),
      name: freeName(stands, stand.name),
      window: stand.window && { ...stand.window, windowId: windowIds.get(stand.window.windowId) ?? stand.window.windowId },
      plugged: stand.plugged.map((p) => ({ ...p, id: rename(p.id), timerId: p.timerId && rename(p.timerId) })),
      chart: stand.chart && {
        ...stand.chart,
        visits: stand.chart.visits.map((v) => ({
          day: v.day,
          lamps: v.lamps.map((j) => ({ ...j, tierId: rename(j.tierId), fittingId: rename(j.fittingId) })),
          dims: v.dims.map((j) => ({ ...j, tierId: rename(j.tierId), fittingId: rename(j.fittingId) })),
          risers: v.risers.map((j) => ({ ...j, tierId: rename(j.tierId), trayId: rename(j.trayId) })),
          hours: v.hours.map((j) => ({ ...j, timerId: rename(j.timerId) })),
        })),
      },
      tiers: stand.tiers.map((t) => ({
        ...t,
        id: rename(t.id),
        timerId: rename(t.timerId),
        fittings: t.fittings.map((f) => ({ ...f, id: rename(f.id), lampId: lampId(f.lampId) })),
        trays: t.trays.map((y) => ({ ...y, id: rename(y.id), batchId: rename(y.batchId) })),
        readings: t.readings.map((r) => ({
          ...r,
          id: rename(r.id),
          meterId: r.meterId === null ? null : rename(r.meterId),
          lit: r.lit.map((l) => ({ ...l, lampId: lampId(l.lampId) })),
        })),
        fits: t.fits.map((f) => ({
          ...f,
          id: rename(f.id),
          readingIds: f.readingIds.map(rename),
          lamps: f.lamps.map((l) => ({ ...l, lampId: lampId(l.lampId) })),
          lit: f.lit.map((l) => ({ ...l, lampId: lampId(l.lampId) })),
        })),
      })),
    };
    stands = [...stands, added];
  }
  const planned = other.season?.batches.map((b) => ({
    ...b,
    id: rename(b.id),
    cropId: cropId(b.cropId),
    tierId: b.tierId && rename(b.tierId),
    batchId: b.batchId && rename(b.batchId),
  }));
  return {
    ...site,
    season:
      site.season && planned
        ? { ...site.season, batches: [...site.season.batches, ...planned] }
        : (site.season ?? (other.season && { ...other.season, batches: planned ?? [] })),
    stands,
    lamps,
    ownLamps: [
      ...site.ownLamps,
      ...other.ownLamps.map((own) => ({
        ...own,
        id: rename(own.id),
        lampId: lampId(own.lampId),
        channels: own.channels.map(lampId),
        fittingId: own.fittingId && rename(own.fittingId),
      })),
    ],
    place: site.place ?? other.place,
    climate: site.place ? site.climate : other.climate,
    windows,
    meters,
    crops,
    cropNotes: [...site.cropNotes, ...other.cropNotes.map((n) => ({ ...n, id: rename(n.id), cropId: cropId(n.cropId) }))],
    clinic: [
      ...site.clinic,
      ...other.clinic.map((c) => ({ ...c, id: rename(c.id), batchId: rename(c.batchId), trayId: rename(c.trayId) })),
    ],
    trials: [
      ...site.trials,
      ...other.trials.map((t) => ({
        ...t,
        id: rename(t.id),
        trays: t.trays.map((y) => ({ ...y, trayId: y.trayId && rename(y.trayId), ...(y.had && { had: { ...y.had, batchId: rename(y.had.batchId), tierId: rename(y.had.tierId), cropId: cropId(y.had.cropId) } }) })), // prettier-ignore
        deviations: t.deviations.map((d) => ({ ...d, id: rename(d.id) })),
      })),
    ],
    earlier: [
      ...site.earlier,
      ...other.earlier.map((e) => ({
        ...e,
        tierId: rename(e.tierId),
        ...(e.fittings && { fittings: e.fittings.map((f) => ({ ...f, id: rename(f.id), lampId: lampId(f.lampId) })) }),
        ...(e.trays && { trays: e.trays.map((y) => ({ ...y, id: rename(y.id), batchId: rename(y.batchId) })) }),
      })),
    ],
    lampPrices: [
      ...site.lampPrices,
      ...other.lampPrices
        .map((p) => ({ ...p, lampId: lampId(p.lampId) }))
        .filter((p) => !site.lampPrices.some((mine) => mine.lampId === p.lampId)),
    ],
    spares: [
      ...site.spares,
      ...other.spares.map((s) => ({ ...s, lampId: lampId(s.lampId) })).filter((s) => !site.spares.some((mine) => mine.lampId === s.lampId)),
    ],
    batches: [...site.batches, ...other.batches.map((b) => ({ ...b, id: rename(b.id), cropId: cropId(b.cropId) }))],
    timers: [...site.timers, ...other.timers.map((p) => ({ ...p, id: rename(p.id) }))],
  };
}

/**
 * The set-ups of another day of the same household, beside those of today. What there is only once stays as it is today: windows and
 * meters that are still there, the lamps that it owns, spares and prices, the season, cases, trials and notes on crops.
 */
export function mergeStands(site: Site, then: Site): Site {
  const grown = new Set(then.stands.flatMap((s) => s.tiers.flatMap((t) => t.trays.map((y) => y.batchId))));
  const at = new Set(then.stands.map((s) => s.window?.windowId));
  const ofToday = <T extends { readonly id: string }>(now: readonly T[], old: T): T => now.find((n) => n.id === old.id) ?? old;
  return mergeSite(site, {
    ...then,
    batches: then.batches.filter((b) => grown.has(b.id)),
    windows: then.windows.filter((w) => at.has(w.id)).map((w) => ofToday(site.windows, w)),
    meters: then.meters.map((m) => ofToday(site.meters, m)),
    season: null,
    ownLamps: [],
    spares: [],
    lampPrices: [],
    clinic: [],
    trials: [],
    earlier: [],
    cropNotes: [],
  });
}
