import type { LitTimes } from '../../units/LitTimes';
import type { Day } from '../../units/day';
import type { HangQuestion } from './HangChart';
import type { DimJob, HoursJob, LampJob, RiserJob, VisitJobs } from '../../site/hang/KeptChart';
import type { TierCourse, LampSetting } from './TierCourse';
import { type BetweenVisits, timesOf } from './BetweenVisits';
import { type TimerCourse, timerBad, timerToLast } from './TimerCourse';
import { betterOn, timerOtherwise } from './timerOtherwise';

interface FoundVisits {
  readonly visits: readonly VisitJobs[];
  readonly stretches: readonly BetweenVisits[];
}

/** The visits on which something is to be done, and how everything is set between them, by the table of the light; told as they are found. */
export function searchVisits(
  question: HangQuestion,
  courses: readonly TierCourse[],
  timers: readonly TimerCourse[],
  days: readonly Day[],
  until: Day,
  tell: ((found: readonly VisitJobs[]) => void) | null,
): FoundVisits {
  const stretches: BetweenVisits[] = [
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

/** How everything is to be set on a visit, with the visits that come after it; hours by the light of `lit`. */
function nextStretch(
  question: HangQuestion,
  courses: readonly TierCourse[],
  timers: readonly TimerCourse[],
  now: BetweenVisits,
  lit: BetweenVisits,
  day: Day,
  later: readonly Day[],
  until: Day,
  known: Map<string, LitTimes | null>,
): BetweenVisits {
  const next = later[0] ?? until + 1;
  /** How many of the coming visits may be left out when the first bad day is this one. */
  const skips = (bad: Day) => later.filter((v) => v <= bad).length + (bad > until ? 1 : 0);

  const hours = new Map(now.timers);
  const lastDay = Math.min(until, next - 1);
  const otherwise = timers.map((t) => timerOtherwise(question, t, lit, hours.get(t.timer.id)!, [day, lastDay]));
  const allWell =
    otherwise.every((times) => times === null) &&
    timers.every((t) => timerBad(question, t, lit, hours.get(t.timer.id)!, day, next - 1, known) >= next) &&
    courses.every((c) => c.firstBad(now.tiers.get(c)!, day, next - 1, timesOf(now, c)) >= next);
  if (allWell) return now;

  const timerReach = new Map<string, number>();
  for (const [i, t] of timers.entries()) {
    const set = hours.get(t.timer.id)!;
    const bad = timerBad(question, t, lit, set, day, until, known);
    let reach = skips(bad);
    if (otherwise[i] || bad < next) {
      const toLast = (from: LitTimes) => timerToLast(question, t, lit, from, [day, lastDay], until, known) ?? from;
      const usual = toLast(set);
      const rough = timerOtherwise(question, t, lit, usual, [day, lastDay]);
      // Once the lamps hang otherwise as well, these hours are as fine as any.
      const best = rough === null ? usual : lit === now ? rough : betterOn(t, [day, lastDay], rough, toLast(rough));
      hours.set(t.timer.id, best);
      reach = skips(timerBad(question, t, lit, best, day, until, known));
    }
    timerReach.set(t.timer.id, reach);
  }

  const soFar: BetweenVisits = { from: day, tiers: now.tiers, timers: hours };
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

/** What a hand has to do to come from one stretch to the next. */
function jobsBetween(before: BetweenVisits, after: BetweenVisits): Omit<VisitJobs, 'day'> {
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
