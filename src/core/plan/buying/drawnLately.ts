import type { Site } from '../../site/stand/Site';
import type { Tables } from '../../things/tables/Tables';
import type { Day } from '../../units/day';
import { siteThen } from '../past/siteThen';
import { stretchesBetween } from '../past/stretchesBetween';
import { billOf, totalOf } from './bill';

/**
 * What everything should have drawn a day in the mean of the last days, lamps and hours as they were set on each, as far as that was written
 * down: of tiers on which somebody follows what grows. All else counts as it is set today.
 *
 * @param days  1 …, up to and without today
 * @returns kWh
 */
export function drawnLately(site: Site, days: number, today: Day, tables: Tables): number {
  const changes = site.earlier.map((e) => e.until);
  const kWh = stretchesBetween(changes, today - days, today).reduce(
    (sum, [start, end]) => sum + (end - start) * totalOf(billOf(siteThen(site, start, tables), tables)).kWh,
    0,
  );
  return kWh / days;
}
