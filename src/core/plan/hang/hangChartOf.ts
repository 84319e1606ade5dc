import type { LitTimes } from '../../units/LitTimes';
import type { Tables } from '../../things/tables/Tables';
import { lastDayOf } from '../../site/growth/growthOf';
import { mapsIn, MAPS_WITHIN, mapsOfTrays, type TrayMaps } from '../../answer/bench/mapsOfTrays';
import { questionOfStand } from '../../answer/bench/questionOfStand';
import { lightDayOf, photoperiodOf } from '../../judge/dli/LightDay';
import type { LightSpread } from '../../judge/dli/LightSpread';
import { spreadOfMap } from '../../judge/dli/spreadOfMap';
import { createCache, type Cache } from '../../light/scene/Cache';
import { wishedHours } from '../hours/wishedHours';
import { benchStandOf, type BenchStand } from '../../answer/stand/benchStand';
import { plantAreaOf } from '../../site/stand/footprint';
import { powerOf, timersOf, type StandTimer } from '../timer/servedBy';
import { bestTimes, type Served } from '../timer/solveTimer';
import { clockChanges } from '../../units/clockChanges';
import type { Day } from '../../units/day';
import { depthTooLong } from '../../judge/verdict/hardLimits';
import { createChartMemory, type ChartMemory } from './ChartMemory';
import { siteOn } from './doVisits';
import type { ChartAsked, ChartLimit, ChartOnTheWay, HangChart, HangQuestion, HangVisit, TrayDay, Trip } from './HangChart';
import type { DimJob, HoursJob, LampJob, RiserJob, VisitJobs } from '../../site/hang/KeptChart';
import { jobsIn } from '../../site/hang/KeptChart';
import { NEAR, TierCourse, type LampSetting, type CourseSetting } from './TierCourse';
import { sunsOfDays } from './sunsOfDays';
import { visitDays } from '../../site/hang/VisitRhythm';

/** As far ahead as a chart looks, days; for plants that stay, less. */
const LONGEST = 150;
const OF_THOSE_THAT_STAY = 90;
/** A timer is left alone until its best hours are off by more than this. */
const WORTH_SETTING_MIN = 60; // our choice: an hour is a twelfth of a usual dose

/** Days within a band that do not end a stretch of days outside it. */
const BREAK = 5;

/** A timer with the tiers of the chart that hang on it. */
interface TimerCourse {
  readonly timer: StandTimer;
  readonly tiers: readonly TierCourse[];
}

/** How everything is set between two visits. */
interface Stretch {
  readonly from: Day;
  readonly tiers: ReadonlyMap<TierCourse, CourseSetting>;
  readonly timers: ReadonlyMap<string, LitTimes>;
}

/**
 * Makes the dated list of a stand: on which visit which lamps go up or down, which are dimmed or turned up, which risers come out and which hours are set, so
 * that every tray stays within its band and clear of heat until the next one.
 *
 * On each visit on which something would go wrong before the next, every tier that has to change gets the setting that stays
 * right for longest; those that would have to change soon after are done along with it. That makes the fewest visits: a setting
 * that is right for some days is right for any of them, so going as far as possible each time is never worse.
 * Where no setting is right, the one with which least is wrong is taken and the reason told; leaves in the heat, light that is too
 * strong for them and days that are too long come before all else.
 *
 * The search goes by a table of the light; what is told of each visit is worked out by the engine, with the light between tiers.
 * Where the engine finds a limit broken that the table had kept, the table is put right and the search done again.
 *
 * @param progress  told on the way
 * @param memory    what charts before this one worked out
 * @throws RangeError when there is no such stand
 */
export function hangChartOf(
  question: HangQuestion,
  tables: Tables,
  progress: ChartOnTheWay = () => {},
  memory = createChartMemory(),
): HangChart {
  const { site, standId, from, answer } = question;
  const { stand, lit, until } = askedOf(question, tables);
  const cache = createCache(2048);
  const suns = sunsOfDays(site, standId, lit, from, until, tables);
  const courses = lit.map((t, i) => {
    const course = new TierCourse(t, answer, from, until - from + 1, cache, memory, suns);
    progress((0.6 * (i + 1)) / lit.length, []);
    return course;
  });
  const timers = timersOf(stand).map((timer): TimerCourse => ({ timer, tiers: courses.filter((c) => c.tier.timer.id === timer.id) }));
  const days = visitDays(site.visits, from, until);
  const known = new Map<string, TrayMaps>();
  for (let round = 0; ; round++) {
    // Of a search that is done again nothing is told before its end: what has been told once does not go away.
    const { visits, stretches } = search(question, courses, timers, days, until, round === 0 ? (found) => progress(0.6, found) : null);
    progress(0.7, visits);
    const at = (day: Day) => stretches.findLast((s) => s.from <= day) ?? stretches[0]!;
    const engine = engineOf(question, tables, visits, at, known, cache, memory);
    const told = visits.map((v, i): HangVisit => {
      const last = Math.max(v.day, (visits[i + 1]?.day ?? until + 1) - 1);
      progress(0.7 + (0.3 * (i + 1)) / visits.length, visits);
      return { ...v, last, after: allDays(courses, at(v.day), v.day, engine), before: allDays(courses, at(v.day), last, engine) };
    });
    if (round < ROUNDS && putRight(courses, told, at)) continue;
    progress(1, visits);
    return {
      standId,
      from,
      until,
      visits: told,
      limits: limitsOf(courses, at, from, until),
      trips: tripsOf(question, courses, told, at, until, engine),
      clockChanges: clockChanges(site.timeZone, from, until),
      rounds: days.length,
    };
  }
}

/** Of which stand a chart is asked for, its tiers with lamps and trays, and the last day. @throws RangeError when there is no such stand */
function askedOf({ site, standId, from }: ChartAsked, tables: Tables) {
  const kept = site.stands.find((s) => s.id === standId);
  if (!kept) throw new RangeError(`there is no stand ${standId}`);
  const stand = benchStandOf(site, kept, tables);
  return { stand, lit: stand.tiers.filter((t) => t.lamps.length > 0 && t.trays.length > 0), until: lastDay(stand, from) };
}

/**
 * Works out what a chart will need of the lamps' own light while that of the whole stand is not known yet, and leaves it in the memory.
 *
 * @throws RangeError when there is no such stand
 */
export function workAhead(asked: ChartAsked, tables: Tables, memory: ChartMemory): void {
  const { lit, until } = askedOf(asked, tables);
  const cache = createCache(2048);
  for (const t of lit) new TierCourse(t, { tiers: {} }, asked.from, until - asked.from + 1, cache, memory);
}

/** As often as the search is done again with a table that was put right. */
const ROUNDS = 2;

/** The light of the lamps on the trays of a course on a day, as the engine has it. */
type Engine = (course: TierCourse, day: Day) => (tray: number) => LightSpread;

/**
 * The engine's light: worked out for the whole stand on the day of each visit once it is done, and for the first day. On the days
 * after it the table says how much the light has changed since.
 */
function engineOf(
  question: HangQuestion,
  tables: Tables,
  visits: readonly VisitJobs[],
  at: (day: Day) => Stretch,
  known: Map<string, TrayMaps>,
  cache: Cache,
  memory: ChartMemory,
): Engine {
  const { from } = question;
  // The lamps' own light: neither other stands nor what comes in by windows have a part in it.
  const alone = { ...question.site, stands: question.site.stands.filter((s) => s.id === question.standId), windows: [] };
  const first = mapsIn(question.answer);
  const mapsOn = (day: Day): TrayMaps => {
    const done = visits.filter((v) => v.day <= day);
    if (done.length === 0) return first;
    // What was done up to a day decides its light: the same for two charts that agree up to then.
    const key = `${day} ${JSON.stringify(done)}`;
    let maps = known.get(key);
    if (!maps) {
      const then = siteOn(alone, visits, day, tables, from);
      const asked = questionOfStand(benchStandOf(then, then.stands[0]!, tables), null);
      maps = memory.maps.get(JSON.stringify(asked), () => mapsOfTrays(asked, cache));
      known.set(key, maps);
    }
    return maps;
  };
  return (course, day) => {
    const worked = visits.findLast((v) => v.day <= day)?.day ?? from;
    const maps = mapsOn(worked);
    const setting = at(worked).tiers.get(course)!;
    return (i) => {
      const { tray } = course.tier.trays[i]!;
      const map = maps[course.tier.tier.id]?.[tray.id];
      const risers = setting.risers[tray.id]!;
      if (!map) return course.light(i, setting.lamps, risers, day);
      const then = spreadOfMap(map, [plantAreaOf(tray)]);
      return day === worked
        ? then
        : changedAs(then, course.light(i, setting.lamps, risers, worked), course.light(i, setting.lamps, risers, day));
    };
  };
}

/** A light that has changed as the table says that it has between two days. */
function changedAs(light: LightSpread, before: LightSpread, after: LightSpread): LightSpread {
  const by = (v: number, b: number, a: number) => (b > 0 ? (v * a) / b : v);
  return {
    weakest: by(light.weakest, before.weakest, after.weakest),
    mean: by(light.mean, before.mean, after.mean),
    strongest: by(light.strongest, before.strongest, after.strongest),
    parts: light.parts.map((v, k) => by(v, before.parts[k]!, after.parts[k]!)),
    ...(light.nine && before.nine && after.nine && { nine: light.nine.map((v, k) => by(v, before.nine![k]!, after.nine![k]!)) }),
  };
}

/** Puts the tables right where the engine found trays stronger than their limit that were within it by the table. @returns whether any was */
function putRight(courses: readonly TierCourse[], told: readonly HangVisit[], at: (day: Day) => Stretch): boolean {
  const byTray = new Map<string, number>();
  for (const v of told)
    for (const [day, trays] of [
      [v.day, v.after],
      [v.last, v.before],
    ] as const)
      for (const course of courses) {
        const stretch = at(v.day);
        const table = course.daysOf(stretch.tiers.get(course)!, day, timesOf(stretch, course));
        for (const [i, said] of table.entries()) {
          const { strongest } = course.state(i, day).limits;
          const found = trays.find((d) => d.trayId === said.trayId)!;
          // With the bench's light it may be so much more.
          const most = found.litPpfd * (1 + MAPS_WITHIN);
          if (said.says === 'rest' || said.litPpfd > strongest || most <= strongest) continue;
          const by = (1.002 * most) / said.litPpfd;
          byTray.set(said.trayId, Math.max(by, byTray.get(said.trayId) ?? 1));
        }
      }
  for (const course of courses)
    course.tier.trays.forEach(({ tray }, i) => {
      const by = byTray.get(tray.id);
      if (by !== undefined) course.correct(i, by);
    });
  return byTray.size > 0;
}

interface Found {
  readonly visits: readonly VisitJobs[];
  readonly stretches: readonly Stretch[];
}

/** The visits on which something is to be done, and how everything is set between them, by the table of the light; told as they are found. */
function search(
  question: HangQuestion,
  courses: readonly TierCourse[],
  timers: readonly TimerCourse[],
  days: readonly Day[],
  until: Day,
  tell: ((found: readonly VisitJobs[]) => void) | null,
): Found {
  const stretches: Stretch[] = [
    {
      from: question.from,
      tiers: new Map(courses.map((c) => [c, c.now])),
      timers: new Map(timers.map(({ timer }) => [timer.id, { on_min: timer.on_min, lit_min: timer.lit_min, pause: timer.pause }])),
    },
  ];
  const visits: VisitJobs[] = [];
  const best = new Map<string, LitTimes | null>();
  for (const [i, day] of days.entries()) {
    const before = stretches.at(-1)!;
    // Hours follow from the light, and the light's best height from the hours: twice round settles both.
    const first = nextStretch(question, courses, timers, before, before, day, days.slice(i + 1), until, best);
    if (first === before) continue;
    const after = nextStretch(question, courses, timers, before, first, day, days.slice(i + 1), until, best);
    const jobs = jobsBetween(before, after);
    if (Object.values(jobs).every((of) => of.length === 0)) continue;
    visits.push({ day, ...jobs });
    tell?.([...visits]);
    if (before.from === day) stretches.pop();
    stretches.push(after);
  }
  return { visits, stretches };
}

function lastDay(stand: BenchStand, from: Day): Day {
  const ends = stand.tiers.flatMap((t) => t.trays.map(({ batch, crop }) => lastDayOf(batch, crop)));
  const known = ends.filter((d) => d !== null);
  // Plants that stay, or of which nobody said since when, are looked after for a season.
  const open = ends.length === 0 || ends.some((d) => d === null) ? from + OF_THOSE_THAT_STAY - 1 : from;
  return Math.min(from + LONGEST - 1, Math.max(open, from, ...known));
}

const timesOf = (stretch: Stretch, course: TierCourse): LitTimes => stretch.timers.get(course.tier.timer.id)!;

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
  known: Map<string, LitTimes | null>,
): Stretch {
  const next = later[0] ?? until + 1;
  /** How many of the coming visits may be left out when the first bad day is this one. */
  const skips = (bad: Day) => later.filter((v) => v <= bad).length + (bad > until ? 1 : 0);

  const hours = new Map(now.timers);
  const allWell =
    timers.every((t) => timerBad(question, t, lit, hours.get(t.timer.id)!, day, next - 1, known) >= next) &&
    courses.every((c) => c.firstBad(now.tiers.get(c)!, day, next - 1, timesOf(now, c)) >= next);
  if (allWell) return now;

  const timerReach = new Map<string, number>();
  for (const t of timers) {
    const set = hours.get(t.timer.id)!;
    const bad = timerBad(question, t, lit, set, day, until, known);
    let reach = skips(bad);
    if (bad < next) {
      const best = timerBest(question, t, lit, set, [day, Math.min(until, next - 1)], known) ?? set;
      hours.set(t.timer.id, best);
      reach = skips(timerBad(question, t, lit, best, day, until, known));
    }
    timerReach.set(t.timer.id, reach);
  }

  const soFar: Stretch = { from: day, tiers: now.tiers, timers: hours };
  const options = courses.map((course) => {
    const h = timesOf(soFar, course);
    const current = now.tiers.get(course)!;
    const reach = skips(course.firstBad(current, day, until, h));
    const horizon = Math.min(until, Math.max(next - 1, day + 13));
    const all = course.settings(current, day, horizon, h).map((setting) => {
      const bad = course.firstBad(setting, day, until, h);
      const to = Math.min(until, Math.max(next - 1, bad - 1));
      return { setting, reach: skips(bad), score: course.score(setting, day, to, h) + troubleOf(setting.lamps, current.lamps) };
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

/** Of settings that are as good, the one for which least is climbed and turned, then the one that draws least. Too little to outweigh any light. */
const troubleOf = (to: LampSetting, now: LampSetting): number =>
  (to.lift === now.lift ? 0 : 0.01) +
  0.01 * Math.abs(to.lift - now.lift) +
  (to.dimming === now.dimming ? 0 : 0.001) +
  0.01 * to.dimming.draw; // our choice

/** The trays of a timer that need light on some days, as its lamps serve them: each with the limits of all of these days. */
function servedOn(t: TimerCourse, stretch: Stretch, [from, to]: readonly [Day, Day]): Served[] {
  const middle = from + Math.floor((to - from) / 2);
  const days = Array.from({ length: to - from + 1 }, (_, i) => from + i);
  return t.tiers.flatMap((course) =>
    course.tier.trays.flatMap(({ tray, batch, crop }, i): Served[] => {
      const needed = days.map((d) => course.state(i, d)).filter((s) => s.needed);
      if (needed.length === 0) return [];
      const at = course.state(i, middle).needed ? middle : days.find((d) => course.state(i, d).needed)!;
      const { stage, age } = course.state(i, at);
      const setting = stretch.tiers.get(course)!;
      const light = course.light(i, setting.lamps, setting.risers[tray.id]!, at);
      const daylight = course.daylight(i, at);
      const wish = wishedHours(batch.plan, crop, stage, age, light, daylight);
      // What goes by the dose is weighed by its dose, so that trays of one timer meet where all are served; so is what nobody has planned.
      const byDose = wish === null || batch.plan.kind === 'dose' || (batch.plan.kind === 'day-and-night' && wish.hours < 24);
      const limits = {
        longestDay: Math.min(...needed.map((s) => s.limits.longestDay)),
        strongest: Math.min(...needed.map((s) => s.limits.strongest)),
        dliMax: Math.min(...needed.map((s) => s.limits.dliMax)),
      };
      return [{ trayId: tray.id, stage, limits, light, daylight, wish: byDose ? null : wish.hours }];
    }),
  );
}

/** Whether times break a limit of a tray that could be kept by others. */
const tooLong = (served: readonly Served[], times: LitTimes): boolean =>
  served.some((s) => depthTooLong(photoperiodOf(lightDayOf(times, s.daylight)), s.limits) > 0);

/**
 * The hours that suit the plans of a timer's trays best over some days; null when nobody has a plan or needs light, so that the
 * timer stays as the person has set it, unless that is too long a day for one of them.
 */
function timerBest(
  question: HangQuestion,
  t: TimerCourse,
  stretch: Stretch,
  now: LitTimes,
  days: readonly [Day, Day],
  known: Map<string, LitTimes | null>,
): LitTimes | null {
  const settings = t.tiers.map((c) => stretch.tiers.get(c)!).map((s) => `${s.lamps.index} ${Object.values(s.risers).join()}`);
  const key = [t.timer.id, ...days, now.on_min, now.lit_min, ...settings].join('|');
  const before = known.get(key);
  if (before !== undefined) return before;
  const { site, timerStep_min } = question;
  const served = servedOn(t, stretch, days);
  const planned = t.tiers.some((c) =>
    c.tier.trays.some(({ batch }, i) => batch.plan.kind !== 'as-set' && c.state(i, days[0]).phase !== 'left'),
  );
  let best: LitTimes | null = null;
  if (served.length > 0 && (planned || tooLong(served, now))) {
    const rules = {
      step_min: timerStep_min,
      quiet: site.quiet,
      cheap: site.cheap,
      bands: site.bands,
      price_per_kWh: site.price_per_kWh,
      power: powerOf(t.timer),
    };
    best = bestTimes(served, rules, now, false);
  }
  known.set(key, best);
  return best;
}

/** From a day on, the first on which a timer's hours are off by more than is worth setting, or longer than may be. */
function timerBad(
  question: HangQuestion,
  t: TimerCourse,
  stretch: Stretch,
  set: LitTimes,
  from: Day,
  until: Day,
  known: Map<string, LitTimes | null>,
): Day {
  for (let day = from; day <= until; day++) {
    const best = timerBest(question, t, stretch, set, [day, day], known);
    if (best && (Math.abs(best.lit_min - set.lit_min) > WORTH_SETTING_MIN || tooLong(servedOn(t, stretch, [day, day]), set))) return day;
  }
  return until + 1;
}

/** What a hand has to do to come from one stretch to the next. */
function jobsBetween(before: Stretch, after: Stretch): Omit<VisitJobs, 'day'> {
  const lamps: LampJob[] = [];
  const dims: DimJob[] = [];
  const risers: RiserJob[] = [];
  for (const [course, to] of after.tiers) {
    const was = before.tiers.get(course)!;
    if (was === to) continue;
    const tierId = course.tier.tier.id;
    const [from, set] = [was.lamps.dimming.to, to.lamps.dimming.to];
    if (from !== set) dims.push(...course.tier.tier.fittings.map((f) => ({ tierId, fittingId: f.id, from, to: set })));
    for (const { fitting } of course.tier.lamps) {
      const { kind, step } = fitting.hanger;
      if (kind === 'fixed') continue;
      const steps = Math.round(to.lamps.lift / step) - Math.round(was.lamps.lift / step);
      if (steps !== 0) lamps.push({ tierId, fittingId: fitting.id, steps, face: fitting.face + Math.round(to.lamps.lift / step) * step });
    }
    for (const { tray } of course.tier.trays) {
      const [a, b] = [was.risers[tray.id]!, to.risers[tray.id]!];
      if (a !== b) risers.push({ tierId, trayId: tray.id, from: a, to: b });
    }
  }
  const hours = [...after.timers].flatMap(([timerId, to]): HoursJob[] => {
    const was = before.timers.get(timerId)!;
    return was.on_min === to.on_min && was.lit_min === to.lit_min ? [] : [{ timerId, on_min: to.on_min, lit_min: to.lit_min }];
  });
  return { lamps, dims, risers, hours };
}

const allDays = (courses: readonly TierCourse[], stretch: Stretch, day: Day, engine?: Engine): TrayDay[] =>
  courses.flatMap((c) => c.daysOf(stretch.tiers.get(c)!, day, timesOf(stretch, c), engine?.(c, day)));

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
      const hours = timesOf(stretch, course);
      for (const [i, { says, tierId, trayId }] of course.daysOf(stretch.tiers.get(course)!, day, hours).entries()) {
        if (says === 'suits' || says === 'rest') continue;
        // Off by less than is worth a visit.
        if (course.leastWrong(day, hours) <= NEAR && course.ok(stretch.tiers.get(course)!, day, hours)) continue;
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

function boundOf(course: TierCourse, tray: number, day: Day, hours: LitTimes, says: ChartLimit['says']): ChartLimit['bound'] {
  if (course.leastWrong(day, hours) <= NEAR) return 'rhythm';
  const risers = course.tier.trays[tray]!.tray.risers;
  const alone = course.heights.map((settings) => Math.min(...settings.map((lamps) => course.trayWrong(tray, lamps, risers, day, hours))));
  const least = Math.min(...alone);
  if (least <= NEAR) return 'shared';
  if (course.heights.length === 1) return 'fixed';
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
  engine: Engine,
): Trip[] {
  return question.site.visits.away
    .filter((a) => a.to >= question.from && a.from <= until)
    .map(({ from, to }): Trip => {
      const leaving = Math.max(question.from, from - 1);
      const back = Math.min(until, to + 1);
      const stretch = at(leaving);
      const leave = allDays(courses, stretch, leaving, engine);
      const returned = allDays(courses, stretch, back, engine);
      const away = Array.from({ length: Math.max(0, Math.min(to, until) - leaving) }, (_, i) => allDays(courses, stretch, leaving + 1 + i));
      const jobs = visits.find((v) => v.day === leaving);
      return {
        from,
        to,
        before: jobs ? jobsIn(jobs) : null,
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
