import { benchStandOf } from '../../answer/stand/benchStand';
import { roofOf } from '../../answer/stand/roofOf';
import { addTray, carry, changeFittings, placeOn, setTimes, withTier } from '../../site/stand/change';
import { changePlanned } from '../../site/stand/changeSeason';
import { snapFace } from '../../site/stand/Hanger';
import type { Site, Tier, Timer, Tray } from '../../site/stand/Site';
import type { Tables } from '../../things/tables/Tables';
import { litWithin } from '../../units/LitTimes';
import { freeOf, onAround } from '../timer/aroundQuiet';
import { dateBatch } from '../../site/growth/changeGrowth';
import type { Day } from '../../units/day';
import type { BatchCourse } from './batchCourse';
import { FLAT, standsIn, traysOfFlats } from './flats';
import { shelfStands } from '../../site/stand/shelfStands';
import type { SeasonLook } from './seasonLook';

/** A site with the placing of a week taken to its stands, and what that changes. */
export interface TakenToStands {
  readonly site: Site;
  /** Which planned batches go from where to where, a tier each. */
  readonly moves: readonly { readonly id: string; readonly from: string; readonly to: string }[];
  readonly trays: number;
  readonly lamps: number;
  readonly timers: number;
  /** Trays that found no free place on the tier where they should stand. */
  readonly stuck: number;
}

const tiersOf = (site: Site): readonly Tier[] => site.stands.flatMap((s) => s.tiers);

/**
 * Takes a week of a placing to the stands: trays of batches that are sown go to their tier, its lamps to the distance, its timer to the
 * hours. A timer of several tiers gets the shortest of their hours: no plant more than it bears. Lamps that can't be hung far enough from
 * the plants as they really are stay as they are, with their timer.
 *
 * @param site  as it is in that week
 * @param week  index into the weeks of the look
 */
export function takeToStands(site: Site, look: SeasonLook, week: number, tables: Tables): TakenToStands {
  let now = site;
  const moves: { id: string; from: string; to: string }[] = [];
  let [trays, lamps, timers, stuck] = [0, 0, 0, 0];
  for (const { batch } of look.courses) {
    const to = look.placing.tierOf[batch.id]?.[week];
    if (batch.batchId === null || !to || to === 'off') continue;
    for (const from of tiersOf(now).filter((t) => t.id !== to)) {
      const before = trays;
      for (const tray of from.trays.filter((y) => y.batchId === batch.batchId)) {
        const target = tiersOf(now).find((t) => t.id === to);
        const place = target && placeFor(target, tray);
        if (!place) {
          stuck++;
          continue;
        }
        now = carry([tray.id], to, place.x - tray.x, place.y - tray.y)(now);
        trays++;
      }
      if (trays > before) moves.push({ id: batch.id, from: from.id, to });
    }
  }
  const hours = new Map<string, number>();
  const left = new Set<string>();
  for (const tier of shelfStands(now).flatMap((s) => s.tiers)) {
    const set = look.placing.setting[tier.id]?.[week];
    if (set === undefined || tier.fittings.length === 0) continue;
    // A timer that also lights what should stay dark, or what its lamps can't be hung over, is left alone.
    if (!set) {
      if (tier.trays.length > 0) left.add(tier.timerId);
      continue;
    }
    const stand = now.stands.find((s) => s.tiers.some((t) => t.id === tier.id))!;
    const bench = benchStandOf(now, stand, tables).tiers.find((t) => t.tier.id === tier.id)!;
    if (bench.trays.length === 0) continue;
    const face = Math.max(...bench.trays.map((t) => t.canopy)) + set.distance;
    const lowest = Math.min(...tier.fittings.map((f) => f.face));
    const isFixed = tier.fittings.some((f) => f.hanger.kind === 'fixed');
    const coarsest = Math.max(0, ...tier.fittings.map((f) => f.hanger.step));
    const top = face + coarsest + Math.max(...tier.fittings.map((f) => f.face)) - lowest;
    if (isFixed ? face > lowest + 1e-9 : top > roofOf(bench)) {
      left.add(tier.timerId);
      continue;
    }
    hours.set(tier.timerId, Math.min(hours.get(tier.timerId) ?? Infinity, set.hours * 60));
    for (const f of tier.fittings) {
      if (f.hanger.kind === 'fixed') continue;
      // Lamps of a tier move together; between two steps the higher one, which no leaf comes too near to.
      const step = f.hanger.step;
      const snapped = snapFace(f.hanger, f.face, f.face + face - lowest + step / 2 - 1e-9).face;
      if (Math.abs(snapped - f.face) < 1e-6) continue;
      now = changeFittings(tier.id, [f.id], () => ({ face: snapped }))(now);
      lamps++;
    }
  }
  for (const [id, lit] of hours) {
    const timer = now.timers.find((p) => p.id === id);
    if (!timer || left.has(id) || timer.lit_min === lit) continue;
    now = setTimes(id, ...timesOutOfQuiet(timer, lit, site.quiet))(now);
    timers++;
  }
  return { site: now, moves, trays, lamps, timers, stuck };
}

/** Minutes on and lit: on as before, unless that would burn into a quiet that the timer kept until now. */
function timesOutOfQuiet(timer: Timer, lit: number, quiet: Site['quiet']): readonly [number, number] {
  const isIn = (lit_min: number) => quiet !== null && litWithin({ ...timer, lit_min }, quiet) > 0;
  if (isIn(timer.lit_min) || !isIn(lit)) return [timer.on_min, lit];
  const most = Math.min(lit, freeOf(timer, quiet));
  return [onAround(timer, most, quiet), most];
}

/** A free place for a tray, as it is turned. */
function placeFor(tier: Tier, tray: Pick<Tray, 'length' | 'width' | 'turned'>): { x: number; y: number } | null {
  const [l, w] = tray.turned ? [tray.width, tray.length] : [tray.length, tray.width];
  return placeOn(tier, l, w);
}

/**
 * A planned batch has been sown: it gets its trays on a tier, with a date, and the plan knows of them. Pots stand in flats.
 *
 * @returns the site, and how many of its trays found no place
 */
export function sowOnStand(
  site: Site,
  course: BatchCourse,
  tierId: string,
  day: Day,
  ids: () => string,
  tables: Tables,
): { readonly site: Site; readonly stuck: number } {
  const { batch, crop, parts } = course;
  const container = standsIn(tables.container(batch.containers[0]!.containerId) ?? FLAT);
  const wanted = traysOfFlats(container, parts[0]?.trays ?? 1);
  let now = site;
  let batchId: string | null = null;
  let placed = 0;
  for (let i = 0; i < wanted; i++) {
    const tier = tiersOf(now).find((t) => t.id === tierId);
    const place = tier && placeOn(tier, container.length, container.width);
    if (!place) break;
    now = addTray(tierId, container, { cropId: crop.id, stage: crop.stages[0]!.stage }, place, ids)(now);
    const tray = tiersOf(now)
      .find((t) => t.id === tierId)!
      .trays.at(-1)!;
    if (batchId === null) {
      batchId = tray.batchId;
      now = dateBatch(batchId, day)(now);
    } else {
      // One sowing, one batch.
      const extra = tray.batchId;
      const shared = batchId;
      now = { ...now, batches: now.batches.filter((b) => b.id !== extra) };
      now = withTier(tierId, (t) => ({ ...t, trays: t.trays.map((y) => (y.id === tray.id ? { ...y, batchId: shared } : y)) }))(now);
    }
    placed++;
  }
  if (batchId === null) return { site, stuck: wanted };
  const id = batchId;
  now = withTier(tierId, (t) => ({
    ...t,
    trays: t.trays.map((y) => (y.batchId === id && batch.label ? { ...y, label: batch.label } : y)),
  }))(now);
  return { site: changePlanned(batch.id, () => ({ batchId: id, sown: day }))(now), stuck: wanted - placed };
}

/** As `sowOnStand`, on the tier that is preferred or, where that is full, on the next one with room. */
export function sowWhereThereIsRoom(
  site: Site,
  course: BatchCourse,
  preferred: string | null,
  day: Day,
  ids: () => string,
  tables: Tables,
): { readonly site: Site; readonly tierId: string; readonly stuck: number } | null {
  const tiers = shelfStands(site).flatMap((s) => s.tiers.map((t) => t.id));
  const order = preferred !== null && tiers.includes(preferred) ? [preferred, ...tiers.filter((id) => id !== preferred)] : tiers;
  for (const tierId of order) {
    const done = sowOnStand(site, course, tierId, day, ids, tables);
    if (done.site !== site) return { ...done, tierId };
  }
  return null;
}
