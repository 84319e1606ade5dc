import type { Site } from '@/core/site/stand/Site';
import type { SnapshotLine } from '@/store/snapshots/snapshots';

const count = (n: number, one: string, many: string) => `${n} ${n === 1 ? one : many}`;

/** What a backup holds, in one line. */
export const holdsWords = ({ stands, trays, batches, readings }: Pick<SnapshotLine, 'stands' | 'trays' | 'batches' | 'readings'>): string =>
  [
    count(stands.length, 'set-up', 'set-ups'),
    count(trays, 'tray', 'trays'),
    count(batches, 'batch', 'batches'),
    count(readings, 'reading', 'readings'),
  ].join(', ');

/** The same of a site that is open or came in. */
export function siteHoldsWords(site: Site): string {
  const tiers = site.stands.flatMap((s) => s.tiers);
  return holdsWords({
    stands: site.stands.map((s) => s.name),
    trays: tiers.reduce((n, t) => n + t.trays.length, 0),
    batches: site.batches.length,
    readings: tiers.reduce((n, t) => n + t.readings.length, 0),
  });
}
