import type { Site } from '../../core/site/stand/Site';
import { unsoundIn } from '../form/unsoundIn';
import { mergeInto, type Clash } from '../saved/merge';

/** What two devices made of one document, put together. */
export interface Together {
  readonly site: Site;
  /** What both changed: ours stands, and theirs can be chosen. */
  readonly clashes: readonly Clash[];
}

/**
 * Puts together what was done on two devices since they parted: entries unite without doubles, by their ids; fields that one of the two
 * changed are as that one left them; where both changed the same, ours stands and the clash is told.
 *
 * @returns null where the two contradict each other so that nothing sound comes of it
 */
export function bringTogether(ancestor: Site, mine: Site, theirs: Site): Together | null {
  const clashes: Clash[] = [];
  const site = mergeInto(ancestor, theirs, 'mine', (clash) => clashes.push(clash))(mine);
  return unsoundIn(theirs, site).length > 0 ? null : { site, clashes };
}
