import type { Site } from '../../site/stand/Site';
import type { Tables } from '../../things/tables/Tables';
import type { Day } from '../../units/day';
import { knowOwnLamps } from '../../site/ownLamps/hangingOf';
import { litByWindow, type SunCache } from '../daylight/litByWindow';
import { grownTo } from './grownTo';

/** A site as it is on a day: dated plants as tall as then, windows with the light of then, lamps as old as then. What does not change is the same object. */
export const asOf = (site: Site, day: Day, tables: Pick<Tables, 'crop'>, cache?: SunCache): Site =>
  knowOwnLamps(litByWindow(grownTo(site, day, tables), day, tables, cache), day);
