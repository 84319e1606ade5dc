import { letLeave, logIt } from '../../site/growth/changeGrowth';
import { removeThings, type Change } from '../../site/stand/change';
import type { Day } from '../../units/day';

/** A batch has left the shelves: its journal tells it, and its trays make room. @param text  how it went, for the journal */
export const leaveShelves =
  (batchId: string, day: Day, newId: () => string, text: string): Change =>
  (site) => {
    const trays = site.stands.flatMap((s) => s.tiers.flatMap((t) => t.trays.flatMap((y) => (y.batchId === batchId ? y.id : []))));
    const told = logIt(batchId, { id: newId(), day, what: 'moved', height: null, stage: null, text })(site);
    const { sown, leaves } = site.batches.find((b) => b.id === batchId) ?? { sown: null, leaves: null };
    // Nothing leaves before it was sown; what was over by then was over on its day.
    const last = Math.max(sown ?? -Infinity, Math.min(leaves ?? Infinity, day - 1));
    return removeThings(trays)(letLeave(batchId, last)(told));
  };
