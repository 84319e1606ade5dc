import { lampOf } from '../../answer/stand/benchStand';
import { takeOut } from '../../site/ownLamps/changeOwnLamps';
import { changePlanned } from '../../site/stand/changeSeason';
import type { Site } from '../../site/stand/Site';
import type { Tables } from '../../things/tables/Tables';
import { hangOneMore } from './hangOneMore';
import type { WayOut } from './waysOut';

/**
 * A way out taken: a change of the batch, or a lamp more on its tier.
 *
 * @param id  of the lamp that is hung, if it is one
 */
export function takeWayOut(site: Site, { what, change }: WayOut, id: string, tables: Tables): Site {
  if (change && 'id' in what) return changePlanned(what.id, () => change)(site);
  if (what.kind !== 'lamp') return site;
  return hangOneMore(what.tierId, lampOf(site, what.lampId, tables), id)(what.isSpare ? takeOut(site, what.lampId, id) : site);
}

/** What the light of the shelves and the plan depend on: its own lamps and plants, and what comes in by the windows. */
const PARTS = ['season', 'stands', 'timers', 'batches', 'lamps', 'ownLamps', 'spares', 'windows', 'crops', 'place', 'climate', 'timeZone'] as const; // prettier-ignore

/** Whether ways out found for one site hold for another on the same day: each is worked out beside all else as it was. */
export const haveSameWaysOut = (a: Site, b: Site): boolean => PARTS.every((part) => a[part] === b[part]);
