import type { PottedOn } from '@/core/plan/today/potOnStand';
import type { Site } from '@/core/site/stand/Site';
import { containersName, tierName, traysWords } from './seasonWords';

/** What became of the trays of a batch that was potted on: those that were not there before, and those that found no place. */
export function pottedWords(site: Site, { added, stuck }: Pick<PottedOn, 'added' | 'stuck'>, containerId: string): string {
  const more = added.map(({ tierId, trays }) => `${traysWords(trays)} more on ${tierName(site, tierId)}`);
  const room =
    stuck > 0
      ? ` There was no room for ${traysWords(stuck)}. Make room on the bench, then add ${stuck === 1 ? 'it' : 'them'} where the light is right.`
      : '';
  return `Its trays on the bench are now: ${[containersName(containerId), ...more].join(', ')}.${room}`;
}
