import { BARE_STAND, BARE_TIMER, UNDATED } from '../../core/site/stand/bare';
import type { Crop, StageName } from '../../core/things/crop/Crop';
import { AS_NEW, type Ageing } from '../../core/things/lamp/ageing';
import { clearanceOf } from '../../core/things/lamp/clearanceOf';
import type { Lamp } from '../../core/things/lamp/Lamp';
import type { Metres, Share } from '../../core/units/quantities';
import { turnDimmers } from '../../core/site/ownLamps/turnDimmers';
import { layOut, lampRowOf, trayBlockOf, type TrayBlock } from '../../core/site/stand/layOut';
import { IN_THE_OPEN, isRoofed, LAMP_HEADROOM, type Enclosure } from '../../core/site/stand/Enclosure';
import type { LampRow } from '../../core/site/stand/LampRow';
import type { Batch, Timer, Site, Stand, Tier, Tray } from '../../core/site/stand/Site';
import type { Container } from '../../core/things/container/Container';
import { ON_THE_FLOOR, SHELF, sizesOf } from '../../core/site/stand/plain';
import { setTimes } from '../../core/site/stand/change';
import { freeName } from '../names/freeName';
import { newId } from '../names/newId';
import { tables } from '../../core/things/tables/libraryTables';
import { setUpOf } from '../../core/answer/stand/setUp';

/** The lamp may hang from almost touching the leaves to two metres above them. */
export const NEAREST_FACE: Metres = 0.005;
export const FARTHEST: Metres = 2;

/** Under a shelf or lid the lamp cannot hang above it. */
export const farthestOf = (enclosure: Enclosure, canopy: Metres): Metres =>
  isRoofed(enclosure) ? Math.max(2 * NEAREST_FACE, Math.min(FARTHEST, enclosure.height - LAMP_HEADROOM - canopy)) : FARTHEST;

/** What one set-up is made of; everything else follows. */
interface Parts {
  readonly lamp: Lamp;
  readonly row: LampRow;
  readonly tray: Tray;
  readonly block: TrayBlock;
  readonly batch: Batch;
  readonly distance: Metres;
  readonly enclosure: Enclosure;
}

/** Lays a set-up out anew with some of its parts changed; the lamps keep their distance from the leaves. */
function withParts(site: Site, standId: string, change: (now: Parts) => Partial<Parts>): Site {
  const stand = site.stands.find((s) => s.id === standId);
  if (!stand) return site;
  const now = setUpOf(site, stand, tables);
  const parts: Parts = {
    lamp: now.lamp,
    row: lampRowOf(now.tier, now.lamp),
    tray: now.tier.trays[0]!,
    block: trayBlockOf(now.tier),
    batch: now.batch,
    distance: now.distance,
    enclosure: now.tier.enclosure,
  };
  const next = { ...parts, ...change(parts) };
  const batches = site.batches.map((b) => (b.id === next.batch.id ? next.batch : b));
  const laid = layOut({ ...now.tier, enclosure: next.enclosure }, next.lamp, next.row, next.tray, next.block, 0, newId);
  const half: Stand = { ...stand, tiers: [laid] };
  const { canopy } = setUpOf({ ...site, batches }, half, tables);
  const distance = Math.min(farthestOf(next.enclosure, canopy), Math.max(NEAREST_FACE, next.distance));
  const tier = { ...laid, fittings: laid.fittings.map((f) => ({ ...f, face: canopy + distance })) };
  return { ...site, batches, stands: site.stands.map((s) => (s.id === standId ? { ...s, tiers: [tier] } : s)) };
}

export const setDistance = (id: string, distance: Metres) => (site: Site) => withParts(site, id, () => ({ distance }));

export const chooseLamp = (id: string, lamp: Lamp) => (site: Site) =>
  withParts(site, id, ({ distance }) => ({ lamp, distance: Math.max(distance, clearanceOf(lamp)) }));

/** Keeps a lamp of the person's own and hangs it. */
export const keepLamp = (id: string, lamp: Lamp) => (site: Site) =>
  chooseLamp(id, lamp)({ ...site, lamps: [...site.lamps.filter((l) => l.id !== lamp.id), lamp] });

// What is left out stays as it is by then: two changes in one breath both stand.
export const setLampRow = (id: string, change: Partial<LampRow>) => (site: Site) =>
  withParts(site, id, ({ row }) => ({ row: { ...row, ...change } }));
export const setEnclosure =
  (id: string, { faces, ...change }: Partial<Omit<Enclosure, 'faces'>> & { readonly faces?: Partial<Enclosure['faces']> }) =>
  (site: Site) =>
    withParts(site, id, ({ enclosure }) => ({ enclosure: { ...enclosure, ...change, faces: { ...enclosure.faces, ...faces } } }));
export const setTrayBlock = (id: string, change: Partial<TrayBlock>) => (site: Site) =>
  withParts(site, id, ({ block }) => ({ block: { ...block, ...change } }));

export const chooseContainer = (id: string, container: Container) => (site: Site) =>
  withParts(site, id, ({ tray }) => ({ tray: { ...tray, ...sizesOf(container) } }));

/** A tray of the person's own size; its plants stand to its edge. */
export const setTraySize = (id: string, length: Metres, width: Metres, height: Metres) => (site: Site) =>
  withParts(site, id, ({ tray }) => ({
    tray: { ...tray, containerId: null, length, width, height, insideLength: length, insideWidth: width },
  }));

/** The stage stays when the new crop has it too. A measured height belongs to the old plants. */
export const chooseCrop = (id: string, crop: Crop) => (site: Site) =>
  withParts(site, id, ({ batch }) => ({
    batch: { ...batch, cropId: crop.id, stage: (crop.stages.find((s) => s.stage === batch.stage) ?? crop.stages[0]!).stage, height: null },
  }));

export const chooseStage = (id: string, stage: StageName) => (site: Site) =>
  withParts(site, id, ({ batch }) => ({ batch: { ...batch, stage, height: null } }));

export const setPlantHeight = (id: string, height: Metres | null) => (site: Site) =>
  withParts(site, id, ({ batch }) => ({ batch: { ...batch, height } }));

/** On and off times in whole minutes; the lamp may burn past midnight. */
export const setHours = (id: string, on_min: number, lit_min: number) => (site: Site) => {
  const timerId = site.stands.find((s) => s.id === id)?.tiers[0]?.timerId;
  return timerId === undefined ? site : setTimes(timerId, on_min, lit_min)(site);
};

export const setTariff = (currency: string, price_per_kWh: number) => (site: Site) => ({ ...site, currency, price_per_kWh });

export const renameStand = (id: string, name: string) => (site: Site) => ({
  ...site,
  stands: site.stands.map((s) => (s.id === id ? { ...s, name } : s)),
});

/** Takes a stand away together with the batches and hours that only it used; what was written down of a batch stays in the journal. */
export const deleteStand = (id: string) => (site: Site) => {
  const stands = site.stands.filter((s) => s.id !== id);
  const tiers = stands.flatMap((s) => s.tiers);
  const batchIds = new Set(tiers.flatMap((t) => t.trays.map((tray) => tray.batchId)));
  const timerIds = new Set(tiers.map((t) => t.timerId));
  return {
    ...site,
    stands,
    batches: site.batches.filter((b) => batchIds.has(b.id) || b.log.length > 0),
    timers: site.timers.filter((p) => timerIds.has(p.id)),
  };
};

/** How old the lamps are, and which day of their life is shown. */
export const setAgeing = (id: string, change: Partial<Ageing>) => (site: Site) => ({
  ...site,
  stands: site.stands.map((s) =>
    s.id === id ? { ...s, tiers: s.tiers.map((t, i) => (i === 0 ? { ...t, ageing: { ...t.ageing, ...change } } : t)) } : s,
  ),
});

/** Sets distance, hours and, where they are to be turned, the dimmers together: what an answer is applied with. */
export const applyAnswer = (id: string, distance: Metres, hours: number, dim: Share | null) => (site: Site) => {
  const stand = site.stands.find((s) => s.id === id);
  const timer = site.timers.find((p) => p.id === stand?.tiers[0]?.timerId);
  if (!timer) return site;
  // A longer or shorter day keeps its middle, so that nobody is woken by the change.
  const lit = Math.round(hours * 60);
  const on = timer.on_min + Math.round((timer.lit_min - lit) / 2 / 15) * 15;
  return setHours(
    id,
    lit === timer.lit_min ? timer.on_min : on,
    lit,
  )(setDistance(id, distance)(dim === null ? site : turnDimmers(new Map([[stand!.tiers[0]!.id, dim]]))(site)));
};

/** Readings under names of their own, and the fits that rest on them. */
function copyReadings({ readings, fits }: Tier): Pick<Tier, 'readings' | 'fits'> {
  const ids = new Map(readings.map((r) => [r.id, newId()]));
  return {
    readings: readings.map((r) => ({ ...r, id: ids.get(r.id)! })),
    fits: fits.map((f) => ({ ...f, id: newId(), readingIds: f.readingIds.flatMap((id) => ids.get(id) ?? []) })),
  };
}

/** A second one like it, with batches and hours of its own. */
export const copyStand = (id: string, newStandId: string) => (site: Site) => {
  const stand = site.stands.find((s) => s.id === id);
  if (!stand) return site;
  const batchIds = new Map<string, string>();
  const timerIds = new Map<string, string>();
  const renamed = (ids: Map<string, string>, old: string) => ids.get(old) ?? ids.set(old, newId()).get(old)!;
  const copy: Stand = {
    ...stand,
    id: newStandId,
    name: freeName(site.stands, stand.name),
    // A chart names lamps and trays; the copy gets one of its own.
    chart: null,
    plugged: stand.plugged.map((p) => ({ ...p, id: newId(), timerId: p.timerId && renamed(timerIds, p.timerId) })),
    tiers: stand.tiers.map((tier) => ({
      ...tier,
      id: newId(),
      timerId: renamed(timerIds, tier.timerId),
      fittings: tier.fittings.map((f) => ({ ...f, id: newId() })),
      trays: tier.trays.map((t) => ({ ...t, id: newId(), batchId: renamed(batchIds, t.batchId) })),
      ...copyReadings(tier),
    })),
  };
  return {
    ...site,
    stands: [...site.stands, copy],
    batches: [...site.batches, ...site.batches.filter((b) => batchIds.has(b.id)).map((b) => ({ ...b, id: batchIds.get(b.id)! }))],
    timers: [...site.timers, ...site.timers.filter((p) => timerIds.has(p.id)).map((p) => ({ ...p, id: timerIds.get(p.id)! }))],
  };
};

/** What a new set-up is to hold; a seedling tray under a shop light where nothing is said. */
export interface Recipe {
  readonly name: string;
  readonly cropId: string;
  readonly stage: StageName;
  readonly containerId: string;
  readonly block?: TrayBlock;
  readonly lampId: string;
  readonly row?: LampRow;
  readonly enclosure?: Enclosure;
  readonly ageing?: Ageing;
  readonly distance: Metres;
  readonly on_min: number;
  readonly lit_min: number;
}

export const PLAIN_RECIPE: Recipe = {
  name: 'First set-up',
  cropId: 'tomato',
  stage: 'seedling',
  containerId: 'cell-72',
  block: { across: 2, deep: 1, turned: false },
  lampId: 'led-shop-12-twin-42',
  distance: 0.15,
  on_min: 6 * 60,
  lit_min: 16 * 60,
};

export const addSetUp = (recipe: Recipe, standId: string) => (site: Site) => {
  const container = tables.container(recipe.containerId)!;
  const batch: Batch = { id: newId(), cropId: recipe.cropId, stage: recipe.stage, height: null, ...UNDATED };
  const timer: Timer = { id: newId(), on_min: recipe.on_min, lit_min: recipe.lit_min, ...BARE_TIMER };
  const tray: Tray = { id: newId(), x: 0, y: 0, turned: false, ...ON_THE_FLOOR, batchId: batch.id, ...sizesOf(container) };
  const bare = {
    id: newId(),
    width: 1,
    depth: 1,
    enclosure: recipe.enclosure ?? IN_THE_OPEN,
    notch: null,
    load: null,
    ageing: recipe.ageing ?? AS_NEW,
    fittings: [],
    trays: [tray],
    timerId: timer.id,
    daylight: null,
    rotation: null,
    readings: [],
    fits: [],
  };
  const lamp = tables.lamp(recipe.lampId)!;
  const tier = layOut(
    bare,
    lamp,
    recipe.row ?? { count: 1, gap: 0.08 },
    tray,
    recipe.block ?? { across: 1, deep: 1, turned: false },
    0.3,
    newId,
  );
  const grown: Site = {
    ...site,
    stands: [
      ...site.stands,
      {
        id: standId,
        name: freeName(site.stands, recipe.name),
        kind: 'shelf',
        autoArranged: true,
        tiers: [tier],
        shelf: SHELF,
        ...BARE_STAND,
      },
    ],
    batches: [...site.batches, batch],
    timers: [...site.timers, timer],
  };
  return setDistance(standId, recipe.distance)(grown);
};
