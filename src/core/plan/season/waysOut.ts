import { changePlanned } from '../../site/stand/changeSeason';
import type { PlannedBatch, SeasonPlan } from '../../site/season/SeasonPlan';
import type { Site } from '../../site/stand/Site';
import { containerLibrary } from '../../things/container/containerLibrary';
import type { Tables } from '../../things/tables/Tables';
import type { Day } from '../../units/day';
import { batchCourse, type BatchCourse } from './batchCourse';
import type { TierCarry } from './carryOf';
import { plantsPerFlat } from './flats';
import { frostAhead } from './firstFrost';
import { mayGoOutOn } from './offPlan';
import { lookAtSeason, type SeasonLook } from './seasonLook';
import type { Shelves } from './shelvesOf';

/** A change of the plan that leaves fewer trays without light. */
export interface WayOut {
  readonly what:
    | { readonly kind: 'sow-later'; readonly id: string; readonly days: number }
    | { readonly kind: 'smaller-pots'; readonly id: string; readonly from: string; readonly to: string }
    | { readonly kind: 'stay-longer'; readonly id: string; readonly container: string; readonly days: number }
    | { readonly kind: 'fewer'; readonly id: string; readonly cells: number; readonly plantsLost: number }
    | { readonly kind: 'out-earlier'; readonly id: string; readonly days: number }
    | { readonly kind: 'lamp'; readonly tierId: string; readonly lampId: string; readonly isSpare: boolean };
  /** What of the batch changes; null: nothing of a batch. */
  readonly change: Partial<Pick<PlannedBatch, 'sown' | 'out' | 'cells' | 'containers'>> | null;
  /** Tray-weeks without light of their band, and the most trays in one week. */
  readonly over: number;
  readonly worst: number;
  /** By how many days it is ready later than planned; below zero: earlier. */
  readonly readyLater: number;
}

/** A lamp more on a tier, with what the tier then carries. */
export interface LampTried {
  readonly tierId: string;
  readonly lampId: string;
  readonly isSpare: boolean;
  readonly carry: TierCarry;
}

const WEEK = 7;
/** As many weeks later as are tried. */
const WEEKS_LATER = [1, 2, 3, 4] as const;
/** A pot is kept at most so long beyond its time: growers' consensus, roots circle after that. */
const STAY_DAYS = [7, 14] as const;
const ROUNDS = 12;

const worstOf = (look: SeasonLook): number => Math.max(0, ...look.weeks.map((w) => w.over));

/** The batches that stand on the shelves in the weeks in which there is too little light. */
function inTheWay({ courses, weeks, placing }: SeasonLook): BatchCourse[] {
  const over = new Set(weeks.flatMap((w, t) => (w.over > 0 ? [t] : [])));
  return courses.filter((c) => (placing.tierOf[c.batch.id] ?? []).some((k, t) => k !== null && over.has(t)));
}

/** The next smaller pot of the same kind; null where there is none. */
function smallerThan(containerId: string): string | null {
  const now = containerLibrary.find((c) => c.id === containerId);
  if (!now || (now.kind !== 'pot' && now.kind !== 'soil-block')) return null;
  const room = plantsPerFlat(now);
  const smaller = containerLibrary.filter((c) => c.kind === now.kind && plantsPerFlat(c) > room);
  return smaller.sort((a, b) => plantsPerFlat(a) - plantsPerFlat(b) || b.length - a.length)[0]?.id ?? null;
}

type Tried = Pick<WayOut, 'what' | 'change' | 'readyLater'> & { readonly lamp?: LampTried };

function triesFor(course: BatchCourse, season: SeasonPlan, today: Day, site: Site, tables: Pick<Tables, 'crop' | 'container'>): Tried[] {
  const { batch, parts, hardening } = course;
  const { id } = batch;
  const tries: Tried[] = [];
  const frost = frostAhead(course, season);
  // What has been sown can't be sown later; nothing goes out into the frost of autumn.
  if (batch.batchId === null && batch.sown >= today)
    for (const weeks of WEEKS_LATER) {
      const days = weeks * WEEK;
      if (frost !== null && batch.out + days >= frost) break;
      tries.push({ what: { kind: 'sow-later', id, days }, change: { sown: batch.sown + days, out: batch.out + days }, readyLater: days });
    }
  batch.containers.forEach((c, i) => {
    if (i === 0) return;
    const into = parts.find((p) => p.containerId === c.containerId)?.from ?? -Infinity;
    if (into < today) return;
    const to = smallerThan(c.containerId);
    const before = batch.containers[i - 1]!.containerId;
    if (to && to !== before && !batch.containers.some((x) => x.containerId === to))
      tries.push({
        what: { kind: 'smaller-pots', id, from: c.containerId, to },
        change: { containers: batch.containers.map((x, j) => (j === i ? { ...x, containerId: to } : x)) },
        readyLater: 0,
      });
    for (const days of STAY_DAYS) {
      const next = batch.containers[i + 1];
      if (next && c.fromDay + days >= next.fromDay) continue;
      tries.push({
        what: { kind: 'stay-longer', id, container: before, days },
        change: { containers: batch.containers.map((x, j) => (j === i ? { ...x, fromDay: x.fromDay + days } : x)) },
        readyLater: 0,
      });
    }
  });
  if (batch.batchId === null && batch.sown >= today)
    for (const share of [0.75, 0.5]) {
      const cells = Math.max(1, Math.round(batch.cells * share));
      if (cells === batch.cells) continue;
      const crop = tables.crop(batch.cropId) ?? site.crops.find((c) => c.id === batch.cropId);
      if (!crop) continue;
      const [full, less] = [batch, { ...batch, cells }].map((b) => batchCourse(b, crop, undefined, tables.container, season).plantsOut);
      tries.push({ what: { kind: 'fewer', id, cells, plantsLost: full! - less! }, change: { cells }, readyLater: 0 });
    }
  // Never into frost or cold, and not too young: a crowded shelf is no reason.
  if (batch.goal === 'outdoors' && hardening - WEEK > today && mayGoOutOn(course, season, batch.out - WEEK, today))
    tries.push({ what: { kind: 'out-earlier', id, days: WEEK }, change: { out: batch.out - WEEK }, readyLater: -WEEK });
  return tries;
}

/** What a way costs, for the order of equally good ones: nothing bought, nothing lost and nothing late comes first. */
const pain = ({ what, readyLater }: Pick<WayOut, 'what' | 'readyLater'>): number => {
  switch (what.kind) {
    case 'smaller-pots':
      return 1;
    case 'stay-longer':
      return 1 + what.days / WEEK;
    case 'lamp':
      return what.isSpare ? 0.5 : 6;
    case 'sow-later':
      return 1 + readyLater / WEEK;
    case 'out-earlier':
      return 5;
    case 'fewer':
      return 7;
  }
};

/**
 * Ways out of weeks in which some trays find no light: each is tried on the whole season, with everything placed anew; those that help
 * come first by what they leave over, then by what they cost.
 *
 * @param progress  share that is done; false stops, with what has been found
 */
export function waysOut(
  site: Site,
  season: SeasonPlan,
  shelves: Shelves,
  look: SeasonLook,
  today: Day,
  tables: Pick<Tables, 'crop' | 'container'>,
  lamps: readonly LampTried[],
  progress: (done: number) => boolean = () => true,
): WayOut[] {
  if (look.over === 0) return [];
  const crowded = inTheWay(look);
  const tries: Tried[] = [
    ...crowded.flatMap((c) => triesFor(c, season, today, site, tables)),
    ...lamps.map((lamp): Tried => ({ what: { kind: 'lamp', tierId: lamp.tierId, lampId: lamp.lampId, isSpare: lamp.isSpare }, change: null, readyLater: 0, lamp })), // prettier-ignore
  ];
  // The plan itself, looked at as quickly as its changes are, so that like is held against like.
  const base = lookAtSeason(site, season, shelves, today, tables, ROUNDS);
  const found: WayOut[] = [];
  for (const [i, { what, change, readyLater, lamp }] of tries.entries()) {
    if (!progress(i / tries.length)) break;
    const changed = change && 'id' in what ? changePlanned(what.id, () => change)({ ...site, season }).season! : season;
    const shelf = lamp ? { ...shelves, carries: shelves.carries.map((c) => (c.tierId === lamp.tierId ? lamp.carry : c)) } : shelves;
    const then = lookAtSeason(site, changed, shelf, today, tables, ROUNDS);
    if (then.over < Math.min(base.over, look.over)) found.push({ what, change, readyLater, over: then.over, worst: worstOf(then) });
  }
  const sorted = found.sort((a, b) => a.over - b.over || a.worst - b.worst || pain(a) - pain(b));
  return distinct(sorted);
}

/** Of ways of one kind for one batch only the mildest that reaches as far. */
function distinct(ways: readonly WayOut[]): WayOut[] {
  const key = ({ what }: WayOut) => ('id' in what ? `${what.kind} ${what.id}` : `${what.kind} ${what.tierId}`);
  const best = new Map<string, WayOut>();
  for (const way of ways) {
    const before = best.get(key(way));
    if (!before || (way.over === before.over && pain(way) < pain(before))) best.set(key(way), way);
  }
  return [...best.values()].sort((a, b) => a.over - b.over || a.worst - b.worst || pain(a) - pain(b));
}
