import type { Tables } from '../../things/tables/Tables';
import { lastDayOf } from '../../site/growth/growthOf';
import type { TrayMaps } from '../../answer/bench/mapsOfTrays';
import { createCache } from '../../light/scene/Cache';
import { benchStandOf, type BenchStand } from '../../answer/stand/benchStand';
import { timersOf } from '../timer/servedBy';
import { clockChanges } from '../../units/clockChanges';
import type { Day } from '../../units/day';
import { createChartMemory, type ChartMemory } from './ChartMemory';
import type { ChartAsked, ChartOnTheWay, HangChart, HangQuestion, HangVisit } from './HangChart';
import { TierCourse } from './TierCourse';
import { sunsOfDays } from './sunsOfDays';
import { visitDays } from '../../site/hang/VisitRhythm';
import { allDays } from './BetweenVisits';
import { searchVisits } from './searchVisits';
import type { TimerCourse } from './TimerCourse';
import { engineOf } from './engineOf';
import { putRight } from './putRight';
import { limitsOf } from './limitsOf';
import { tripsOf } from './tripsOf';

/** As far ahead as a chart looks, days; for plants that stay, less. */
const LONGEST = 150;
const OF_THOSE_THAT_STAY = 90;

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
    // Each round may be the last: it takes most of what is left of the way.
    const [begun, ended] = [round, round + 1].map((n) => 1 - 0.3 * 0.3 ** n) as [number, number];
    // Of a search that is done again nothing is told before its end: what has been told once does not go away.
    const { visits, stretches } = searchVisits(
      question,
      courses,
      timers,
      days,
      until,
      round === 0 ? (found) => progress(0.6, found) : null,
    );
    progress(begun, visits);
    const at = (day: Day) => stretches.findLast((s) => s.from <= day) ?? stretches[0]!;
    const engine = engineOf(question, tables, visits, at, known, cache, memory);
    const told = visits.map((v, i): HangVisit => {
      const last = Math.max(v.day, (visits[i + 1]?.day ?? until + 1) - 1);
      progress(begun + ((ended - begun) * (i + 1)) / visits.length, visits);
      return { ...v, last, after: allDays(courses, at(v.day), v.day, engine), before: allDays(courses, at(v.day), last, engine) };
    });
    if (round < ROUNDS && putRight(courses, told, at)) continue;
    progress(1, visits);
    return {
      standId,
      from,
      until,
      visits: told,
      limits: limitsOf(courses, at, from, until, site.quiet),
      trips: tripsOf(question, courses, told, at, until, engine),
      clockChanges: clockChanges(site.timeZone, from, until),
      rounds: days.length,
    };
  }
}

/** As often as the search is done again with a table that was put right. */
const ROUNDS = 2;

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

function lastDay(stand: BenchStand, from: Day): Day {
  const ends = stand.tiers.flatMap((t) => t.trays.map(({ batch, crop }) => lastDayOf(batch, crop)));
  const known = ends.filter((d) => d !== null);
  // Plants that stay, or of which nobody said since when, are looked after for a season.
  const open = ends.length === 0 || ends.some((d) => d === null) ? from + OF_THOSE_THAT_STAY - 1 : from;
  return Math.min(from + LONGEST - 1, Math.max(open, from, ...known));
}
