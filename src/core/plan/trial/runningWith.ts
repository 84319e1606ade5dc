import type { Site } from '../../site/stand/Site';
import type { Trial } from '../../site/trial/Trial';
import type { Day } from '../../units/day';

/** Trials that run on a day and count one of some trays. */
export const runningWith = ({ trials }: Pick<Site, 'trials'>, trayIds: ReadonlySet<string>, day: Day): Trial[] =>
  trials.filter(
    (t) => t.ended === null && t.starts <= day && t.trays.some((row) => row.trayId !== null && !row.had && trayIds.has(row.trayId)),
  );
