import type { Start } from '../../core/plan/practice/Exercise';
import { emergenceOf, type Seen } from '../../core/plan/practice/passDay';
import type { Session } from '../../core/plan/practice/Session';
import { heightOf } from '../../core/plan/practice/trueStands';
import { logIt } from '../../core/site/growth/changeGrowth';
import type { Site } from '../../core/site/stand/Site';
import type { Tables } from '../../core/things/tables/Tables';

/** A rule is read to the millimetre. */
const toMillimetre = (m: number): number => Math.round(m * 1000) / 1000;

/** What somebody who comes by sees and writes down: what has come up, how tall it is, and what looks wrong. */
export const logSeen =
  (session: Session, start: Start, seen: readonly Seen[], tables: Tables) =>
  (site: Site): Site => {
    const { today } = session;
    const entry = (batchId: string, what: string) => ({ id: `seen-${batchId}-${what}-${today}`, day: today, height: null, stage: null });
    return Object.values(session.trays).reduce((now, run) => {
      const { batchId, plants } = run;
      const batch = now.batches.find((b) => b.id === batchId);
      if (!batch || plants.length === 0) return now;
      const isNew = !batch.log.some((l) => l.what === 'emerged');
      const up = isNew ? logIt(batchId, { ...entry(batchId, 'up'), day: emergenceOf(start, batchId, tables), what: 'emerged' })(now) : now;
      const tall = logIt(batchId, { ...entry(batchId, 'height'), what: 'height', height: toMillimetre(heightOf(run)) })(up);
      return seen
        .filter((s) => s.batchId === batchId && s.what !== 'emerged')
        .reduce((then, s) => logIt(batchId, { ...entry(batchId, s.what), what: 'trouble', text: `${Math.round(100 * s.share)} % ${s.what}` })(then), tall); // prettier-ignore
    }, site);
  };
