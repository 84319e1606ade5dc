import type { Site } from '../../site/stand/Site';
import { markJobs } from '../../site/stand/changeToday';
import { jobStateOf } from '../../site/today/JobMark';
import type { Tables } from '../../things/tables/Tables';
import type { Day } from '../../units/day';
import type { HangChart } from '../hang/HangChart';
import { siteOn } from '../hang/doVisits';
import type { Job } from './Job';
import { jobsOn } from './jobsOf';

/** What somebody else has to do on a day. */
export interface AwayDay {
  readonly day: Day;
  readonly jobs: readonly Job[];
}

/** Safety is seen to before leaving, and what only the person can judge waits. */
const WAITS: ReadonlySet<Job['what']['kind']> = new Set(['safety', 'lamp', 'measure', 'look-again', 'trial']);

/** Hardening off is over after so many days, with some that were too cold or too windy. */
const HARDENED_BY = 21; // our choice: three times the least days

/**
 * What falls due while a person is away, day by day: each job once, on its first day of the trip, watering as often as the tray's own
 * rhythm asks for it. Plants grow on meanwhile, all visits before the trip are taken as made, and plants that are being hardened off as
 * taken out on each day before, so that each is longer than the last.
 *
 * @param from, to  first and last day away
 */
export function jobsWhileAway(
  site: Site,
  charts: readonly HangChart[],
  [from, to]: readonly [Day, Day],
  today: Day,
  tables: Tables,
): AwayDay[] {
  const seen = new Set<string>();
  const days: AwayDay[] = [];
  const visits = charts.flatMap((c) => c.visits).filter((v) => v.day < from);
  // What is due before leaving is done by then.
  for (const job of jobsOn(site, charts, from - 1, tables)) if (job.due < from) seen.add(job.key);
  let known = site;
  for (let day = Math.max(today, from - HARDENED_BY); day <= to; day++) {
    // What is done outdoors before the trip goes by dates and ticks alone, whatever has grown meanwhile.
    const all = jobsOn(day < from ? known : siteOn(known, visits, day, tables, today), [], day, tables);
    for (const { key, what } of all)
      if (what.kind === 'harden' && jobStateOf(known.jobMarks, key, day) === null)
        known = markJobs({ key, day, state: 'done', until: null })(known);
    if (day < from) continue;
    // Nobody pots on what is not up yet.
    const waiting = new Set(all.flatMap(({ what }) => (what.kind === 'look-for-seedlings' ? [what.batchId] : [])));
    const jobs = all.filter((j) => {
      if (j.what.kind === 'pot-on' && waiting.has(j.what.batchId)) return false;
      if (WAITS.has(j.what.kind) || jobStateOf(site.jobMarks, j.key, today) !== null) return false;
      if (j.what.kind === 'water') return (day - j.what.last) % j.what.everyDays === 0;
      if (j.what.kind === 'look-for-seedlings') return true;
      if (seen.has(j.key)) return false;
      seen.add(j.key);
      return true;
    });
    if (jobs.length > 0) days.push({ day, jobs });
  }
  return days;
}
