import { cropOf } from '../../site/crop/cropOf';
import type { PlannedBatch, SeasonPlan } from '../../site/season/SeasonPlan';
import type { Site } from '../../site/stand/Site';
import type { Tables } from '../../things/tables/Tables';
import { weekdayOf, type Day } from '../../units/day';
import { OFF, suits, type PlacedNeed, type PlacingAsked, type CountWeights } from '../placing/Placing';
import { isWell } from '../placing/placeQuickly';
import { placeWell, type PlacedWell } from '../placing/placeWell';
import { batchCourse, stageOn, topOn, type BatchCourse, type BatchPhase } from './batchCourse';
import { placingTierOf, type TierCarry } from './carryOf';
import { daylightOn, type Shelves } from './shelvesOf';

const WEEK = 7;
/** Longer than this no season is planned, weeks. */
export const MOST_WEEKS = 80;

/** A tray in too much light is worse than one that has to stay out; one in too little still gets some. */
const WORTH: CountWeights = { inBand: 100, below: 10, above: -100 };

/** What a week of the season looks like. */
export interface SeasonWeek {
  /** A Monday. */
  readonly from: Day;
  /** Standard flats on the shelves, by what is done with them. */
  readonly trays: Readonly<Record<BatchPhase, number>>;
  /** Flats that there is light for: those in their band where some are not, else all room on tiers that can bring something of this week into it. */
  readonly room: number;
  /** Flats that find no light of their band, whatever is put where; 0 for weeks that have gone by. */
  readonly over: number;
  /** Of these, flats that find no place at all. */
  readonly homeless: number;
}

/** Where the batches stand in a week, and how the tiers burn. */
export interface SeasonPlacing {
  /** By planned batch, by week of the look: a tier, `off` (no place), or null (not on the shelves, or a week that has gone by). */
  readonly tierOf: Readonly<Record<string, readonly (string | null)[]>>;
  /** By planned batch, by week: whether it is in its band. */
  readonly well: Readonly<Record<string, readonly boolean[]>>;
  /** By tier, by week: hours of its lamps and their distance from the leaf tops; null: off. */
  readonly setting: Readonly<Record<string, readonly ({ readonly hours: number; readonly distance: number } | null)[]>>;
  readonly moves: number;
  readonly energy_wh: number;
  /** Nothing better exists. */
  readonly proven: boolean;
}

/** A season looked at as a whole. */
export interface SeasonLook {
  readonly courses: readonly BatchCourse[];
  readonly weeks: readonly SeasonWeek[];
  readonly placing: SeasonPlacing;
  /** Tray-weeks out of their band from this week on. */
  readonly over: number;
}

export const mondayOf = (day: Day): Day => day - ((weekdayOf(day) + 6) % 7);

/** The courses of all planned batches whose crops are known. */
export const coursesOf = (site: Site, season: SeasonPlan, tables: Pick<Tables, 'crop' | 'container'>): BatchCourse[] =>
  season.batches.flatMap((batch) => {
    const crop = cropOf(site, batch.cropId, tables);
    const grown = batch.batchId === null ? undefined : site.batches.find((b) => b.id === batch.batchId);
    return crop ? [batchCourse(batch, crop, grown, tables.container, season)] : [];
  });

const NOT_THERE: PlacedNeed = { trays: 0, dliMin: 0, dliMax: 0, height_cm: 0 };

/** What a batch needs in a week: the room it takes at its most, its stage in the middle, its height at the end. */
export function needIn(course: BatchCourse, monday: Day, tables: Pick<Tables, 'container'>): PlacedNeed {
  const there = course.parts.filter((p) => p.from < monday + WEEK && p.until > monday);
  const last = there.at(-1);
  if (!last) return NOT_THERE;
  const trays = Math.max(...there.map((p) => p.trays));
  const middle = Math.min(Math.max(monday + 3, there[0]!.from), last.until - 1);
  const end = Math.min(monday + WEEK - 1, last.until - 1);
  const height_cm = topOn(course, end, tables.container) * 100;
  const hardens = middle >= course.hardening;
  const stage = stageOn(course, middle) ?? (course.crop.germination?.light === 'needs' ? (course.crop.stages[0] ?? null) : null);
  // Plants that stand outside by day need no shelf: a cool floor does for the night. Seed in the dark needs room and no light.
  if (hardens) return NOT_THERE;
  if (!stage) return { trays, dliMin: 0, dliMax: Infinity, height_cm };
  return {
    trays,
    dliMin: stage.dliMin,
    dliMax: stage.dliMax,
    height_cm,
    hours: { least: 0, most: stage.hoursMax },
    spotMost_umol: stage.ppfdMax,
  };
}

/** A season put as a question of placing, and what is needed to read its answer. */
export interface SeasonAsked {
  readonly asked: PlacingAsked;
  readonly courses: readonly BatchCourse[];
  readonly shelves: Shelves;
  readonly mondays: readonly Day[];
  readonly needs: readonly (readonly PlacedNeed[])[];
  /** The first week that has not gone by. */
  readonly now: number;
}

/** Puts a season as a question of placing: from this week on, with what lives on the tiers anyway. */
export function askSeason(
  site: Site,
  season: SeasonPlan,
  shelves: Shelves,
  today: Day,
  tables: Pick<Tables, 'crop' | 'container'>,
): SeasonAsked {
  const { carries, residents } = shelves;
  const courses = coursesOf(site, season, tables);
  const alive = courses.filter((c) => c.parts.length > 0);
  const first = mondayOf(Math.min(...alive.map((c) => c.parts[0]!.from), Infinity));
  const last = Math.max(...alive.map((c) => c.parts.at(-1)!.until), -Infinity);
  const count = alive.length > 0 ? Math.min(MOST_WEEKS, Math.max(1, Math.ceil((last - first) / WEEK))) : 0;
  const mondays = Array.from({ length: count }, (_, t) => first + t * WEEK);
  const needs = courses.map((c) => mondays.map((m) => needIn(c, m, tables)));
  const current = mondays.findIndex((m) => m + WEEK > today);
  const now = current < 0 ? count : current;
  const ahead = mondays.slice(now);
  const indexOf = indexOfTiers(carries);
  const asked: PlacingAsked = {
    counts: WORTH,
    tiers: carries.map((c) => placingTierOf(c, ahead.map((m) => daylightOn(shelves, c.tierId, m + 3)))), // prettier-ignore
    // What lives there anyway comes last, and stays.
    needs: [...needs.map((row) => row.slice(now)), ...residents.map((r) => ahead.map(() => r.need))],
    pinned: [
      ...courses.map((c) => (c.batch.tierId === null ? null : (indexOf.get(c.batch.tierId) ?? null))),
      ...residents.map((r) => indexOf.get(r.tierId) ?? null),
    ],
    settled: [...courses.map(() => false), ...residents.map(() => true)],
    before: [...courses.map((c) => tierNow(site, c.batch, indexOf)), ...residents.map((r) => indexOf.get(r.tierId) ?? null)],
  };
  return { asked, courses, shelves, mondays, needs, now };
}

const indexOfTiers = (carries: readonly TierCarry[]) => new Map(carries.map((c, k) => [c.tierId, k]));

/** Looks at a season: how much room it takes week by week, where everything could stand, and what finds no light. */
export function lookAtSeason(
  site: Site,
  season: SeasonPlan,
  shelves: Shelves,
  today: Day,
  tables: Pick<Tables, 'crop' | 'container'>,
  rounds = 40,
): SeasonLook {
  const question = askSeason(site, season, shelves, today, tables);
  return lookOf(question, placeWell(question.asked, { rounds }));
}

/** A placing of a season as a look at it. */
export function lookOf({ asked, courses, shelves, mondays, needs, now }: SeasonAsked, placed: PlacedWell): SeasonLook {
  const { carries, residents } = shelves;
  const { tiers } = asked;
  const indexOf = indexOfTiers(carries);
  const none = new Array<null>(now).fill(null);
  const byBatch = <T>(value: (b: number) => T): Record<string, T> => Object.fromEntries(courses.map((c, b) => [c.batch.id, value(b)]));

  const weeks = mondays.map((from, t): SeasonWeek => {
    const trays: Record<BatchPhase, number> = { sown: 0, raised: 0, potted: 0, hardening: 0 };
    courses.forEach((c, b) => {
      const there = c.parts.filter((p) => p.from < from + WEEK && p.until > from);
      const part = there.at(-1);
      // Hardening trays take no shelf; they are shown all the same.
      const isHardening = part && needs[b]![t]!.trays === 0;
      if (part)
        trays[isHardening ? 'hardening' : part.phase === 'hardening' ? there[0]!.phase : part.phase] += isHardening
          ? part.trays
          : needs[b]![t]!.trays;
    });
    const u = t - now;
    const wanting = u < 0 ? [] : courses.map((_, b) => asked.needs[b]![u]!).filter((n) => n.trays > 0);
    const carrying = tiers.filter((tier) => wanting.length === 0 || wanting.some((n) => tier.levels.some((l) => suits(n, l, tier.daylight?.[u] ?? 0) === 'in'))); // prettier-ignore
    const lived = residents.filter((r) => carrying.includes(tiers[indexOf.get(r.tierId)!]!));
    const over = (b: number) => u >= 0 && asked.needs[b]![u]!.trays > 0 && !isWell(asked, placed, b, u, asked.needs[b]![u]!);
    const sum = (which: (b: number) => boolean) => courses.reduce((s, _, b) => s + (which(b) ? needs[b]![t]!.trays : 0), 0);
    const without = sum(over);
    const places = carrying.reduce((s, tier) => s + tier.places, 0) - lived.reduce((s, r) => s + r.need.trays, 0);
    const there = sum((b) => needs[b]![t]!.trays > 0);
    return {
      from,
      trays,
      room: without > 0 ? there - without : Math.max(there, places),
      over: without,
      homeless: sum((b) => over(b) && placed.place[b]![u] === OFF),
    };
  });
  return {
    courses,
    weeks,
    over: weeks.reduce((s, w) => s + w.over, 0),
    placing: {
      tierOf: byBatch((b) => [...none, ...placed.place[b]!.map((k) => (k === null ? null : k === OFF ? 'off' : carries[k]!.tierId))]),
      well: byBatch((b) => [...none.map(() => true), ...asked.needs[b]!.map((n, u) => n.trays === 0 || isWell(asked, placed, b, u, n))]),
      setting: Object.fromEntries(carries.map((c, k) => [c.tierId, [...none, ...settingsOf(c, placed, k)]])),
      moves: placed.moves,
      energy_wh: placed.energy_wh,
      proven: placed.proven,
    },
  };
}

/** Hours and distance of a tier's level by week. */
function settingsOf(carry: TierCarry, placed: PlacedWell, k: number) {
  const tier = placingTierOf(carry, []);
  return placed.level[k]!.map((l) => {
    const hours = tier.levels[l]!.hours;
    return hours === undefined ? null : { hours, distance: carry.at[(l - 1) % carry.at.length]!.distance };
  });
}

/** The tier on which most of a batch's trays stand today; null: on none that is known. */
function tierNow(site: Site, { batchId }: PlannedBatch, indexOf: ReadonlyMap<string, number>): number | null {
  if (batchId === null) return null;
  const tiers = site.stands.flatMap((s) => s.tiers).map((t) => ({ id: t.id, n: t.trays.filter((y) => y.batchId === batchId).length }));
  const most = tiers.reduce((a, b) => (b.n > a.n ? b : a), { id: '', n: 0 });
  return most.n > 0 ? (indexOf.get(most.id) ?? null) : null;
}
