import type { PlannedBatch, SeasonPlan } from '../../site/season/SeasonPlan';
import type { VisitRhythm } from '../../site/hang/VisitRhythm';
import type { LeggyRemedy } from '../../things/crop/Crop';
import type { Day } from '../../units/day';
import type { BatchCourse } from './batchCourse';
import { awayWatch, type WatchVerdict } from './emergenceWatch';
import { frostAhead } from './firstFrost';
import { datesFor, rulesFor } from './plannedFor';

/** How a batch goes otherwise than planned, and the least change of the plan that puts it right. */
export interface OffPlan {
  readonly id: string;
  readonly kind:
    | { readonly kind: 'not-sown'; readonly days: number }
    /** No seedling yet, past the day by which all should be up. */
    | { readonly kind: 'overdue'; readonly days: number }
    | { readonly kind: 'came-up-late'; readonly days: number }
    | { readonly kind: 'too-young'; readonly days: number; readonly youngest: number }
    | { readonly kind: 'too-old'; readonly days: number; readonly oldest: number }
    /** It may come up while nobody is there to put the lamp on, or to take mat and cover off. */
    | {
        readonly kind: 'up-while-away';
        readonly from: Day;
        readonly to: Day;
        readonly verdict: WatchVerdict;
        readonly darkDays: number;
        readonly mat: boolean;
      }
    | { readonly kind: 'before-weather'; readonly days: number; readonly binding: 'frost' | 'night' }
    /** It goes out, or would with what is offered, on the first frost of autumn or so many days after it, which ends it. */
    | { readonly kind: 'after-frost'; readonly days: number; readonly frost: Day };
  /** What of the plan changes, and by how many days it is ready later; null: nothing has to. */
  readonly change: Partial<Pick<PlannedBatch, 'sown' | 'out'>> | null;
  readonly later: number;
}

/** Fewer days than this make no difference to a season: our convention. */
const NOTICEABLE = 3;
/** For so many days it is news that a batch has come up, our choice. */
const NEWS = 14;
/** So much older than its oldest, a plant outgrows its pot, days. */
const OVERGROWN = 7;

/**
 * What a trip means for seed that may come up in it; nothing where the lamp is on in time, or where all is up before anybody leaves.
 * Seed that is late may come up on any of the next days.
 */
function upWhileAway(
  { batch, crop, emergence }: BatchCourse,
  isLit: boolean,
  trips: VisitRhythm['away'],
  sown: Day,
  today: Day,
): OffPlan[] {
  if (!crop.germination || emergence.seen) return [];
  const { temperature, days, light } = crop.germination;
  return trips
    .filter((t) => t.to >= today && sown <= t.to)
    .flatMap((trip): OffPlan[] => {
      const asked = { temperature, days, needsLight: light === 'needs', compost_C: temperature.best, sown };
      const watch = awayWatch(asked, {
        lampFrom: isLit ? sown : null,
        leave: trip.from,
        back: trip.to + 1,
        mat: crop.heatMat,
        cover: false,
      });
      const lastUp = Math.max(watch.window?.last ?? sown, today + NOTICEABLE);
      if (!watch.mayEmerge || lastUp < trip.from || (watch.verdict === 'lamp-on-in-time' && !crop.heatMat)) return [];
      // What is up before somebody leaves is seen, and gets its lamp then.
      const darkDays = Math.min(watch.worstDarkDays, trip.to + 1 - trip.from);
      const kind = { kind: 'up-while-away', ...trip, verdict: watch.verdict, darkDays, mat: crop.heatMat } as const;
      const later = Math.max(0, trip.to + 1 - (sown + days.first));
      // Sown so that the first comes up when somebody is back.
      return [
        {
          id: batch.id,
          kind,
          change: batch.batchId === null ? { sown: sown + later, out: batch.out + later } : null,
          later: batch.batchId === null ? later : 0,
        },
      ];
    });
}

/**
 * What goes otherwise with a season, batch by batch; what is lost, or has left, is no matter any more.
 *
 * @param trips   when nobody is there
 * @param litIds  batches on the stands over which a lamp burns daily
 */
export function offPlanOf(
  courses: readonly BatchCourse[],
  season: SeasonPlan,
  today: Day,
  trips: VisitRhythm['away'] = [],
  litIds: ReadonlySet<string> = new Set(),
): OffPlan[] {
  return courses.flatMap((course) => {
    const { batch, crop, emergence } = course;
    if (batch.lost !== null || batch.out < today) return [];
    const all: OffPlan[] = [];
    const { rules, sown, late, weather, frost } = goingOut(course, season, today);
    const add = (kind: OffPlan['kind'], change: OffPlan['change'], later: number) => all.push({ id: batch.id, kind, change, later });
    const addAfterFrost = () => {
      const out = Math.max(batch.out, ...all.map(({ change }) => change?.out ?? -Infinity));
      if (frost !== null && out >= frost) add({ kind: 'after-frost', days: out - frost, frost }, null, 0);
    };
    if (batch.batchId === null && batch.sown < today) {
      const late = today - batch.sown;
      add(
        { kind: 'not-sown', days: late },
        { sown: today, out: Math.max(batch.out, today + rules.age.youngest) },
        Math.max(0, today + rules.age.youngest - batch.out),
      );
      addAfterFrost();
      return all;
    }
    all.push(...upWhileAway(course, batch.batchId !== null && litIds.has(batch.batchId), trips, sown, today));
    const lastUp = sown + rules.emerges.last;
    if (batch.batchId !== null && !emergence.seen && crop.germination && today > lastUp)
      add({ kind: 'overdue', days: today - lastUp }, null, 0);
    const isLate = batch.batchId !== null && late > NOTICEABLE;
    // Between sowing and going out, with what came up late taken off.
    const age = batch.out - sown - late;
    const short = rules.age.youngest - age;
    // The date moves only if it must, and only so far; that it holds is told while it is news.
    if (isLate && short > 0) add({ kind: 'came-up-late', days: late }, { out: batch.out + short }, short);
    else if (isLate && emergence.seen && today < emergence.expected + NEWS) add({ kind: 'came-up-late', days: late }, null, 0);
    if (crop.sowing && batch.goal === 'outdoors' && !isLate) {
      if (short >= NOTICEABLE) add({ kind: 'too-young', days: short, youngest: rules.age.youngest }, { out: batch.out + short }, short);
      const long = age - rules.age.oldest;
      if (long > OVERGROWN) {
        const kind = { kind: 'too-old', days: long, oldest: rules.age.oldest } as const;
        // What grows already can go out earlier, though not before the weather lets it.
        const earlier = Math.max(today + 1, batch.out - long, weather?.from ?? -Infinity);
        if (batch.batchId === null) add(kind, { sown: batch.sown + long }, 0);
        else if (earlier < batch.out) add(kind, { out: earlier }, earlier - batch.out);
        else add(kind, null, 0);
      }
    }
    if (weather && batch.out <= weather.from - NOTICEABLE) {
      const days = weather.from - batch.out;
      add({ kind: 'before-weather', days, binding: weather.binding }, { out: batch.out + days }, days);
    }
    addAfterFrost();
    return all;
  });
}

/** What decides when a batch may go out: its crop's ages, by how many days it came up late, and from when the weather lets it and which frost ends it (null: it stays in, or nothing is known). */
function goingOut(course: BatchCourse, season: SeasonPlan, today: Day) {
  const { batch, crop, parts, emergence } = course;
  const rules = rulesFor(crop, season);
  const sown = parts[0]?.from ?? batch.sown;
  const middle = sown + Math.floor((rules.emerges.first + rules.emerges.last) / 2 + 0.5);
  const dates = batch.goal === 'outdoors' ? datesFor(crop, season, null, today) : null;
  const weather = dates && dates.binding !== 'day' ? { from: dates.window.plantOut, binding: dates.binding } : null;
  return { rules, sown, late: Math.max(0, emergence.expected - middle), weather, frost: frostAhead(course, season) };
}

/** Whether a batch is old enough on a day to go out, and the weather lets it, as far as that is known. */
export function mayGoOutOn(course: BatchCourse, season: SeasonPlan, day: Day, today: Day): boolean {
  const { rules, sown, late, weather, frost } = goingOut(course, season, today);
  return day - sown - late >= rules.age.youngest && (weather === null || day >= weather.from) && (frost === null || day < frost);
}

/** What can be done about seedlings that have grown leggy, or are lost: what each costs in days, and whether the date still holds. */
export interface Restart {
  readonly canBury: boolean;
  readonly remedy: LeggyRemedy;
  /** Sown again today, it is old enough on this day. */
  readonly readyOn: Day;
  readonly daysLate: number;
  readonly holds: boolean;
}

/** Stems with roots along them lose about a week to being buried: growers' consensus. */
export const BURIED_DAYS = 7;

export function restartOf({ crop, batch }: Pick<BatchCourse, 'crop' | 'batch'>, season: SeasonPlan, today: Day): Restart {
  const readyOn = today + rulesFor(crop, season).age.youngest;
  return {
    canBury: crop.leggyRemedy === 'bury-stem' || crop.leggyRemedy === 'bury-to-cotyledons',
    remedy: crop.leggyRemedy,
    readyOn,
    daysLate: Math.max(0, readyOn - batch.out),
    holds: readyOn <= batch.out,
  };
}
