import { tables } from '../library/tables';
import { lastDayOf } from '../growth/growthOf';
import { wishedHours } from '../programme/wishedHours';
import type { Hours } from '../quantities';
import { benchStandOf, type BenchStand } from '../stand/benchStand';
import { plantAreaOf } from '../stand/footprint';
import { powerOf, timersOf, type StandTimer } from '../timer/servedBy';
import { solveTimer, type Served } from '../timer/solveTimer';
import type { Day } from '../units/day';
import type { ChartLimit, HangChart, HangQuestion, HangVisit, TrayDay, Trip } from './HangChart';
import type { HoursJob, LampJob, RiserJob } from './KeptChart';
import { NEAR, TierCourse, type TierSetting } from './TierCourse';
import { visitDays } from './VisitRhythm';

/** As far ahead as a chart looks, days; for plants that stay, less. */
const LONGEST = 150;
const OF_THOSE_THAT_STAY = 90;
/** A timer is left alone until its best hours are off by more than this. */
const WORTH_SETTING_MIN = 60; // our choice: an hour is a twelfth of a usual dose

/** Days within a band that do not end a stretch of days outside it. */
const BREAK = 5;

interface TimerSetting {
  readonly on_min: number;
  readonly lit_min: number;
}

/** A timer with the tiers of the chart that hang on it. */
interface TimerCourse {
  readonly timer: StandTimer;
  readonly tiers: readonly TierCourse[];
}

/** How everything is set between two visits. */
interface Stretch {
  readonly from: Day;
  readonly tiers: ReadonlyMap<TierCourse, TierSetting>;
  readonly timers: ReadonlyMap<string, TimerSetting>;
}

/**
 * Makes the dated list of a stand: on which visit which lamps go up or down, which risers come out and which hours are set, so
 * that every tray stays within its band and clear of heat until the next one.
 *
 * On each visit on which something would go wrong before the next, every tier that has to change gets the setting that stays
 * right for longest; those that would have to change soon after are done along with it. That makes the fewest visits: a setting
 * that is right for some days is right for any of them, so going as far as possible each time is never worse.
 * Where no setting is right, the one that misses least is taken and the reason told.
 *
 * @param progress  told how far it is, 0 … 1
 * @throws RangeError when there is no such stand
 */
export function hangChartOf(question: HangQuestion, progress: (done: number) => void = () => {}): HangChart {
  const { site, from, answer } = question;
  const kept = site.stands.find((s) => s.id === question.standId);
  if (!kept) throw new RangeError(`there is no stand ${question.standId}`);
  const stand = benchStandOf(site, kept, tables);
  const until = lastDay(stand, from);
  const lit = stand.tiers.filter((t) => t.lamps.length > 0 && t.trays.length > 0);
  const courses = lit.map((t, i) => {
    const course = new TierCourse(t, answer, from, until - from + 1);
    progress((0.9 * (i + 1)) / lit.length);
    return course;
  });
  const timers = timersOf(stand).map((timer): TimerCourse => ({ timer, tiers: courses.filter((c) => c.tier.programme.id === timer.id) }));
  const days = visitDays(site.visits, from, until);
  const stretches: Stretch[] = [
    {
      from,
      tiers: new Map(courses.map((c) => [c, c.now])),
      timers: new Map(timers.map(({ timer }) => [timer.id, { on_min: timer.on_min, lit_min: timer.lit_min }])),
    },
  ];
  const visits: { day: Day; lamps: LampJob[]; risers: RiserJob[]; hours: HoursJob[] }[] = [];
  for (const [i, day] of days.entries()) {
    const before = stretches.at(-1)!;
    // Hours follow from the light, and the light's best height from the hours: twice round settles both.
    const first = nextStretch(question, courses, timers, before, before, day, days.slice(i + 1), until);
    const after = nextStretch(question, courses, timers, before, first, day, days.slice(i + 1), until);
    const jobs = jobsBetween(before, after);
    if (jobs.lamps.length + jobs.risers.length + jobs.hours.length === 0) continue;
    visits.push({ day, ...jobs });
    if (before.from === day) stretches.pop();
    stretches.push(after);
  }
  const at = (day: Day) => stretches.findLast((s) => s.from <= day) ?? stretches[0]!;
  const told = visits.map((v, i): HangVisit => {
    const last = (visits[i + 1]?.day ?? until + 1) - 1;
    return { ...v, last, after: allDays(courses, at(v.day), v.day), before: allDays(courses, at(v.day), Math.max(v.day, last)) };
  });
  progress(1);
  return {
    standId: kept.id,
    from,
    until,
    visits: told,
    limits: limitsOf(courses, at, from, until),
    trips: tripsOf(question, courses, told, at, until),
    rounds: days.length,
  };
}

function lastDay(stand: BenchStand, from: Day): Day {
  const ends = stand.tiers.flatMap((t) => t.trays.map(({ batch, crop }) => lastDayOf(batch, crop)));
  const known = ends.filter((d) => d !== null);
  // Plants that stay, or of which nobody said since when, are looked after for a season.
  const open = ends.length === 0 || ends.some((d) => d === null) ? from + OF_THOSE_THAT_STAY - 1 : from;
  return Math.min(from + LONGEST - 1, Math.max(open, from, ...known));
}

const hoursOf = (stretch: Stretch, course: TierCourse): Hours => stretch.timers.get(course.tier.programme.id)!.lit_min / 60;

/** How everything is to be set on a visit, with the visits that come after it; hours by the light of `lit`. */
function nextStretch(
  question: HangQuestion,
  courses: readonly TierCourse[],
  timers: readonly TimerCourse[],
  now: Stretch,
  lit: Stretch,
  day: Day,
  later: readonly Day[],
  until: Day,
): Stretch {
  const next = later[0] ?? until + 1;
  /** How many of the coming visits may be left out when the first bad day is this one. */
  const skips = (bad: Day) => later.filter((v) => v <= bad).length + (bad > until ? 1 : 0);

  const hours = new Map(now.timers);
  const timerReach = new Map<string, number>();
  for (const t of timers) {
    const set = hours.get(t.timer.id)!;
    const bad = timerBad(question, t, lit, set, day, until);
    let reach = skips(bad);
    if (bad < next) {
      const middle = Math.min(until, day + Math.floor((next - 1 - day) / 2));
      const best = timerBest(question, t, lit, set, middle) ?? set;
      hours.set(t.timer.id, best);
      reach = skips(timerBad(question, t, lit, best, day, until));
    }
    timerReach.set(t.timer.id, reach);
  }

  const soFar: Stretch = { from: day, tiers: now.tiers, timers: hours };
  const options = courses.map((course) => {
    const h = hoursOf(soFar, course);
    const current = now.tiers.get(course)!;
    const reach = skips(course.firstBad(current, day, until, h));
    const horizon = Math.min(until, Math.max(next - 1, day + 13));
    const all = course.settings(current, day, horizon, h).map((setting) => {
      const bad = course.firstBad(setting, day, until, h);
      const to = Math.min(until, Math.max(next - 1, bad - 1));
      return { setting, reach: skips(bad), score: course.score(setting, day, to, h) + 0.01 * Math.abs(setting.lift - current.lift) };
    });
    // Where nothing lasts to the next visit, what misses least until then.
    const lasting = Math.max(...all.map((o) => o.reach));
    const best = all.filter((o) => o.reach === lasting).reduce((a, b) => (b.score < a.score ? b : a));
    const currentScore = course.score(current, day, Math.min(until, next - 1), h);
    return { course, current, reach, best, currentScore, h };
  });
  // The visit to which everything can be made to last; what cannot be made to last at all holds nothing up.
  const reachable = [...options.map((o) => Math.max(o.reach, o.best.reach)), ...timerReach.values()].filter((r) => r > 0);
  const goal = reachable.length > 0 ? Math.min(...reachable) : 0;
  const due = options.some((o) => o.reach === 0) || [...timers].some((t) => hours.get(t.timer.id) !== now.timers.get(t.timer.id));
  const tiers = new Map(
    options.map((o) => {
      if (!due) return [o.course, o.current] as const;
      const lastsLonger = o.reach < goal && o.best.reach > o.reach;
      const better =
        o.reach === 0 && o.best.reach === 0 && o.course.score(o.best.setting, day, Math.min(until, next - 1), o.h) < o.currentScore - 0.02;
      return [o.course, lastsLonger || better ? o.best.setting : o.current] as const;
    }),
  );
  return { from: day, tiers, timers: hours };
}

/** The hours that suit the plans of a timer's trays best on a day; null when nobody has a plan or needs light. */
function timerBest(question: HangQuestion, t: TimerCourse, stretch: Stretch, now: TimerSetting, day: Day): TimerSetting | null {
  const { site, timerStep_min } = question;
  const served = t.tiers.flatMap((course) =>
    course.tier.trays.flatMap(({ tray, batch, crop }, i): Served[] => {
      const state = course.state(i, day);
      if (!state.needed) return [];
      const setting = stretch.tiers.get(course)!;
      const light = course.strength(i, setting.lift, setting.risers[tray.id]!, day);
      const wish = wishedHours(batch.plan, crop, state.stage, state.age, light);
      if (!wish) return [];
      const { x0, x1, y0, y1 } = plantAreaOf(tray);
      // What goes by the dose is weighed by its dose, so that trays of one timer meet where all are served.
      const byDose = batch.plan.kind === 'dose' || (batch.plan.kind === 'day-and-night' && wish.hours < 24);
      return [{ trayId: tray.id, stage: state.stage, area: (x1 - x0) * (y1 - y0), ...light, wish: byDose ? null : wish.hours }];
    }),
  );
  if (served.length === 0) return null;
  const { on_min, lit_min } = solveTimer(
    served,
    { step_min: timerStep_min, quiet: site.quiet, cheap: site.cheap, price_per_kWh: site.price_per_kWh, power: powerOf(t.timer) },
    now,
  );
  return { on_min, lit_min };
}

/** From a day on, the first on which a timer's hours are off by more than is worth setting. */
function timerBad(question: HangQuestion, t: TimerCourse, stretch: Stretch, set: TimerSetting, from: Day, until: Day): Day {
  for (let day = from; day <= until; day++) {
    const best = timerBest(question, t, stretch, set, day);
    if (best && Math.abs(best.lit_min - set.lit_min) > WORTH_SETTING_MIN) return day;
  }
  return until + 1;
}

/** What a hand has to do to come from one stretch to the next. */
function jobsBetween(before: Stretch, after: Stretch): { lamps: LampJob[]; risers: RiserJob[]; hours: HoursJob[] } {
  const lamps: LampJob[] = [];
  const risers: RiserJob[] = [];
  for (const [course, to] of after.tiers) {
    const was = before.tiers.get(course)!;
    if (was === to) continue;
    const tierId = course.tier.tier.id;
    for (const { fitting } of course.tier.lamps) {
      const { kind, step } = fitting.hanger;
      if (kind === 'fixed') continue;
      const steps = Math.round(to.lift / step) - Math.round(was.lift / step);
      if (steps !== 0) lamps.push({ tierId, fittingId: fitting.id, steps, face: fitting.face + Math.round(to.lift / step) * step });
    }
    for (const { tray } of course.tier.trays) {
      const [a, b] = [was.risers[tray.id]!, to.risers[tray.id]!];
      if (a !== b) risers.push({ tierId, trayId: tray.id, from: a, to: b });
    }
  }
  const hours = [...after.timers].flatMap(([programmeId, to]): HoursJob[] => {
    const was = before.timers.get(programmeId)!;
    return was.on_min === to.on_min && was.lit_min === to.lit_min ? [] : [{ programmeId, ...to }];
  });
  return { lamps, risers, hours };
}

const allDays = (courses: readonly TierCourse[], stretch: Stretch, day: Day): TrayDay[] =>
  courses.flatMap((c) => c.daysOf(stretch.tiers.get(c)!, day, hoursOf(stretch, c)));

/** Stretches of days on which a tray is not within its band, and why nothing was done about it. Breaks of a few days are not told. */
function limitsOf(courses: readonly TierCourse[], at: (day: Day) => Stretch, from: Day, until: Day): ChartLimit[] {
  const open = new Map<string, { limit: Omit<ChartLimit, 'bound'>; bounds: Map<ChartLimit['bound'], number> }>();
  const told: ChartLimit[] = [];
  const close = (key: string) => {
    const { limit, bounds } = open.get(key)!;
    // What stood in the way on most of the days.
    told.push({ ...limit, bound: [...bounds].reduce((a, b) => (b[1] > a[1] ? b : a))[0] });
    open.delete(key);
  };
  for (let day = from; day <= until; day++)
    for (const course of courses) {
      const stretch = at(day);
      const hours = hoursOf(stretch, course);
      for (const [i, { says, tierId, trayId }] of course.daysOf(stretch.tiers.get(course)!, day, hours).entries()) {
        if (says === 'suits' || says === 'rest') continue;
        // Off by less than is worth a visit.
        if (course.leastMiss(day, hours) <= NEAR && course.ok(stretch.tiers.get(course)!, day, hours)) continue;
        const bound = boundOf(course, i, day, hours, says);
        const key = `${trayId} ${says}`;
        const last = open.get(key);
        if (last && day - last.limit.to > BREAK) close(key);
        const known = open.get(key);
        if (known) {
          known.limit = { ...known.limit, to: day };
          known.bounds.set(bound, (known.bounds.get(bound) ?? 0) + 1);
        } else open.set(key, { limit: { tierId, trayId, says, from: day, to: day }, bounds: new Map([[bound, 1]]) });
      }
    }
  for (const key of [...open.keys()]) close(key);
  return told.sort((a, b) => a.from - b.from);
}

function boundOf(course: TierCourse, tray: number, day: Day, hours: Hours, says: ChartLimit['says']): ChartLimit['bound'] {
  if (course.leastMiss(day, hours) <= NEAR) return 'rhythm';
  const risers = course.tier.trays[tray]!.tray.risers;
  const alone = course.lifts.map((lift) => course.trayMiss(tray, lift, risers, day, hours));
  const least = Math.min(...alone);
  if (least <= NEAR) return 'shared';
  if (course.lifts.length === 1) return 'fixed';
  const best = alone.indexOf(least);
  if (best === alone.length - 1 && says !== 'short') return 'ceiling';
  // One step nearer would be the better for its light, but for the heat.
  return says === 'short' && (best === 0 || alone[best - 1]! > least + 1) ? 'heat' : null;
}

function tripsOf(
  question: HangQuestion,
  courses: readonly TierCourse[],
  visits: readonly HangVisit[],
  at: (day: Day) => Stretch,
  until: Day,
): Trip[] {
  return question.site.visits.away
    .filter((a) => a.to >= question.from && a.from <= until)
    .map(({ from, to }): Trip => {
      const leaving = Math.max(question.from, from - 1);
      const back = Math.min(until, to + 1);
      const stretch = at(leaving);
      const leave = allDays(courses, stretch, leaving);
      const returned = allDays(courses, stretch, back);
      const away = Array.from({ length: Math.max(0, Math.min(to, until) - leaving) }, (_, i) => allDays(courses, stretch, leaving + 1 + i));
      const jobs = visits.find((v) => v.day === leaving);
      return {
        from,
        to,
        before: jobs ? { day: jobs.day, lamps: jobs.lamps, risers: jobs.risers, hours: jobs.hours } : null,
        drift: leave.map((d, k) => {
          const comesUp = away.findIndex(
            (all, n) => all[k]!.phase === 'growing' && (n > 0 ? away[n - 1]![k]!.phase : d.phase) === 'before',
          );
          return {
            tierId: d.tierId,
            trayId: d.trayId,
            leave: d,
            back: returned[k]!,
            daysOff: away.filter((all) => all[k]!.says !== 'suits' && all[k]!.says !== 'rest').length,
            emerges: comesUp < 0 ? null : leaving + 1 + comesUp,
          };
        }),
      };
    });
}
