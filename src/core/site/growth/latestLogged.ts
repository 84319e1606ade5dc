import type { Day } from '../../units/day';
import type { Logged } from '../stand/Logged';

/**
 * The entry of the latest day; of one day the one that was written last. A log stands in the order in which it was written, and a person
 * may write down today what was seen last week.
 *
 * @param until  entries of later days do not count
 * @returns null where there is none
 */
export const latestLogged = (log: readonly Logged[], until: Day, is: (entry: Logged) => boolean): Logged | null =>
  log.reduce<Logged | null>((latest, l) => (l.day <= until && is(l) && (latest === null || l.day >= latest.day) ? l : latest), null);
