import type { HangChart } from '../../core/plan/hang/HangChart';
import { siteOn } from '../../core/plan/hang/doVisits';
import { tables } from '../../core/things/tables/libraryTables';
import type { Site } from '../../core/site/stand/Site';
import type { Day } from '../../core/units/day';

let last: { site: Site; chart: HangChart | null; day: Day; shown: Site } | null = null;

/** The site as the bench shows it: as it is, or as it will be on a later day by its chart. The same object for the same day. */
export function sitePreview(site: Site, chart: HangChart | null, day: Day | null): Site {
  if (day === null) return site;
  if (last && last.site === site && last.chart === chart && last.day === day) return last.shown;
  last = { site, chart, day, shown: siteOn(site, chart?.visits ?? [], day, tables, chart?.from) };
  return last.shown;
}
