import { makesWorse, faultsOf } from '../../answer/faults/faults';
import { benchStandOf } from '../../answer/stand/benchStand';
import { createCache, type Cache } from '../../light/scene/Cache';
import { changeTrays, placeOn, removeThings, withTier } from '../../site/stand/change';
import { outlineOf } from '../../site/stand/footprint';
import { ON_THE_FLOOR, sizesOf } from '../../site/stand/plain';
import type { Site, Tier, Tray } from '../../site/stand/Site';
import type { PlannedContainer } from '../../site/season/SeasonPlan';
import type { Tables } from '../../things/tables/Tables';
import { engineAnswer, resultsOf } from '../advice/Effect';
import type { BatchCourse } from '../season/batchCourse';
import { standsIn, traysOfFlats } from '../season/flats';
import { coursesOf } from '../season/seasonLook';

/** Where the trays of a batch stand once it is potted on. */
export interface PottedOn {
  readonly site: Site;
  /** Trays beyond those that it had, tier by tier. */
  readonly added: readonly { readonly tierId: string; readonly trays: number }[];
  /** Trays that found no place where they may stand. */
  readonly stuck: number;
}

/**
 * A batch is potted on: its trays become those of its next container, and more of them where it needs more: on its own tier first, then
 * on other tiers of the stand where nothing becomes wrong and no plant gets more than it bears. Trays of a size of the person's own stay as
 * they are, and so do those that are in that container by now.
 */
export function potOnStand(
  site: Site,
  { batch, parts }: Pick<BatchCourse, 'batch' | 'parts'>,
  containerId: string,
  ids: () => string,
  tables: Tables,
): PottedOn {
  const unchanged: PottedOn = { site, added: [], stuck: 0 };
  const container = tables.container(containerId);
  const had = traysOf(site, batch.batchId);
  const step = batch.containers.findIndex((c) => c.containerId === containerId);
  const kindsOf = (steps: readonly PlannedContainer[]) =>
    steps.flatMap((c) => tables.container(c.containerId) ?? []).map((c) => standsIn(c).id);
  const [before, from] = [kindsOf(batch.containers.slice(Math.max(0, step - 1), step)), kindsOf(batch.containers.slice(step))];
  const isDone = had.some(({ tray: { containerId: id } }) => id === null || (from.includes(id) && !before.includes(id)));
  if (!container || step < 0 || had.length === 0 || isDone) return unchanged;
  const kind = standsIn(container);
  const wanted = traysOfFlats(kind, Math.max(...parts.map((p) => (p.containerId === containerId ? p.trays : 0))));
  const exchanged = exchange(site, had, wanted, sizesOf(kind));
  const more = { ...ON_THE_FLOOR, ...sizesOf(kind), label: had[0]!.tray.label, batchId: batch.batchId! };
  return addTrays(exchanged, more, wanted - had.length, ids, tables);
}

/** The same into the container that comes next, for a batch that is planned; null for any other, and where none comes. */
export function potOnNext(
  site: Site,
  batchId: string,
  ids: () => string,
  tables: Tables,
): (PottedOn & { readonly containerId: string }) | null {
  const course = site.season && coursesOf(site, site.season, tables).find((c) => c.batch.batchId === batchId);
  if (!course) return null;
  const { containers } = course.batch;
  const now = new Set(traysOf(site, batchId).map((h) => h.tray.containerId));
  const at = containers.findLastIndex(({ containerId }) => {
    const container = tables.container(containerId);
    return container !== undefined && now.has(standsIn(container).id);
  });
  const next = containers[Math.max(0, at) + 1];
  return next ? { ...potOnStand(site, course, next.containerId, ids, tables), containerId: next.containerId } : null;
}

interface Standing {
  readonly tierId: string;
  readonly tray: Tray;
}

const traysOf = (site: Site, batchId: string | null): Standing[] =>
  site.stands.flatMap((s) => s.tiers.flatMap((t) => t.trays.filter((y) => y.batchId === batchId).map((tray) => ({ tierId: t.id, tray }))));

/** Each tray becomes one of other sizes where it stands, or elsewhere on its tier; those too many are taken away, but for what a trial counts. */
function exchange(site: Site, had: readonly Standing[], wanted: number, into: Sizes): PottedOn {
  const isCounted = (id: string) => site.trials.some((t) => t.trays.some((y) => y.trayId === id));
  const surplus = had.slice(wanted).map((h) => h.tray.id);
  let now = removeThings(surplus.filter((id) => !isCounted(id)))(site);
  let stuck = 0;
  for (const { tierId, tray } of had.slice(0, wanted)) {
    const place = placeOfExchanged(tierIn(now, tierId), tray, into);
    if (place) now = changeTrays(tierId, [tray.id], () => ({ ...into, ...place, coverId: null }))(now);
    else stuck++;
  }
  return { site: now, added: [], stuck };
}

/** So many more trays of a batch: on the tiers where it stands, then on others of those stands. */
function addTrays(
  { site, stuck }: PottedOn,
  more: Omit<Tray, 'id' | keyof Place>,
  count: number,
  ids: () => string,
  tables: Tables,
): PottedOn {
  const own = new Set(traysOf(site, more.batchId).map((s) => s.tierId));
  const stands = site.stands.filter((s) => s.tiers.some((t) => own.has(t.id)));
  const tiers = stands.flatMap((s) => s.tiers.map((t) => t.id)).sort((a, b) => Number(own.has(b)) - Number(own.has(a)));
  const added = new Map<string, number>();
  const cache = createCache();
  let now = site;
  for (let left = count; left > 0; left--) {
    const next = firstFound(tiers, (tierId) => {
      const place = freePlace(tierIn(now, tierId), more);
      if (!place) return null;
      const tray: Tray = { ...more, ...place, id: ids() };
      const then = withTier(tierId, (t) => ({ ...t, trays: [...t.trays, tray] }))(now);
      return own.has(tierId) || mayStand(now, then, tray.id, tables, cache) ? { tierId, site: then } : null;
    });
    if (!next) return { site: now, added: counted(added), stuck: stuck + left };
    now = next.site;
    added.set(next.tierId, (added.get(next.tierId) ?? 0) + 1);
  }
  return { site: now, added: counted(added), stuck };
}

const counted = (added: ReadonlyMap<string, number>) => [...added].map(([tierId, trays]) => ({ tierId, trays }));

function firstFound<T>(list: readonly string[], look: (id: string) => T | null): T | null {
  for (const id of list) {
    const found = look(id);
    if (found) return found;
  }
  return null;
}

const tierIn = (site: Site, tierId: string): Tier => site.stands.flatMap((s) => s.tiers).find((t) => t.id === tierId)!;

type Sizes = ReturnType<typeof sizesOf>;
type Place = Pick<Tray, 'x' | 'y' | 'turned'>;

/** A free place for a tray, along the tier or across it. */
function freePlace(tier: Tier, { length, width }: Pick<Tray, 'length' | 'width'>): Place | null {
  const along = placeOn(tier, length, width);
  if (along) return { ...along, turned: false };
  const across = placeOn(tier, width, length);
  return across && { ...across, turned: true };
}

/** Where a tray stands that takes the place of another: there, if it fits, else wherever its tier has room. */
function placeOfExchanged(tier: Tier, tray: Tray, into: Sizes): Place | null {
  const others = { ...tier, trays: tier.trays.filter((y) => y.id !== tray.id) };
  const here = outlineOf({ ...tray, ...into });
  const isInside = here.x0 >= -FITS && here.x1 <= tier.width + FITS && here.y0 >= -FITS && here.y1 <= tier.depth + FITS;
  const isFree = others.trays.every((y) => {
    const there = outlineOf(y);
    return here.x1 <= there.x0 + FITS || there.x1 <= here.x0 + FITS || here.y1 <= there.y0 + FITS || there.y1 <= here.y0 + FITS;
  });
  return isInside && isFree ? { x: tray.x, y: tray.y, turned: tray.turned } : freePlace(others, into);
}
const FITS = 1e-6;

/** Whether a tray may stand where it was put: nothing is wrong that was not, and it gets no more than its plants bear. */
function mayStand(before: Site, after: Site, trayId: string, tables: Tables, cache: Cache): boolean {
  const i = after.stands.findIndex((s) => s.tiers.some((t) => t.trays.some((y) => y.id === trayId)));
  const bench = (site: Site) => benchStandOf(site, site.stands[i]!, tables);
  const [was, is] = [bench(before), bench(after)];
  if (makesWorse(faultsOf(was), faultsOf(is))) return false;
  // Of other tiers the lamps shine in; what stands there is not asked for.
  const alone = { ...is, tiers: is.tiers.map((t) => (t.trays.some((y) => y.tray.id === trayId) ? t : { ...t, trays: [] })) };
  return resultsOf(alone, engineAnswer(alone, cache)).find((r) => r.trayId === trayId)?.breaches.length === 0;
}
