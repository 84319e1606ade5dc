import type { Site } from '../../site/stand/Site';
import type { Tables } from '../../things/tables/Tables';
import type { Day } from '../../units/day';
import { siteThen } from '../past/siteThen';
import { billOf, totalOf } from './bill';

/**
 * What everything should have drawn a day in the mean of the last days, lamps and hours as they were set on each, as far as that was written
 * down: of tiers on which somebody follows what grows. All else counts as it is set today.
 *
 * @param days  1 …, up to and without today
 * @returns kWh
 */
export function drawnLately(site: Site, days: number, today: Day, tables: Tables): number {
  const from = today - days;
  const turns = site.earlier.flatMap((e) => (e.until > from && e.until < today ? [e.until] : []));
  const starts = [from, ...[...new Set(turns)].sort((a, b) => a - b)];
  const kWh = starts.reduce((sum, start, i) => {
    const end = starts[i + 1] ?? today;
    return sum + (end - start) * totalOf(billOf(siteThen(site, start, tables), tables)).kWh;
  }, 0);
  return kWh / days;
}
