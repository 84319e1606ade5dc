import type { Tables } from '../../things/tables/Tables';
import { mapsIn, mapsOfTrays, type TrayMaps } from '../../answer/bench/mapsOfTrays';
import { questionOfStand } from '../../answer/bench/questionOfStand';
import type { LightSpread } from '../../judge/dli/LightSpread';
import { spreadOfMap } from '../../judge/dli/spreadOfMap';
import type { Cache } from '../../light/scene/Cache';
import { benchStandOf } from '../../answer/stand/benchStand';
import { plantAreaOf } from '../../site/stand/footprint';
import type { Day } from '../../units/day';
import type { ChartMemory } from './ChartMemory';
import { siteOn } from './doVisits';
import type { HangQuestion } from './HangChart';
import type { VisitJobs } from '../../site/hang/KeptChart';
import type { BetweenVisits, EngineLight } from './BetweenVisits';

/**
 * The engine's light: worked out for the whole stand on the day of each visit once it is done, and for the first day. On the days
 * after it the table says how much the light has changed since.
 */
export function engineOf(
  question: HangQuestion,
  tables: Tables,
  visits: readonly VisitJobs[],
  at: (day: Day) => BetweenVisits,
  known: Map<string, TrayMaps>,
  cache: Cache,
  memory: ChartMemory,
): EngineLight {
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
