import { logIt } from '../../site/growth/changeGrowth';
import { markJobs } from '../../site/stand/changeToday';
import type { Change } from '../../site/stand/change';
import type { Site } from '../../site/stand/Site';
import type { Day } from '../../units/day';
import type { RotationKind } from '../../site/stand/Rotation';
import { rotateTier } from '../rotation/rotateTier';
import { moveTrialOn } from '../trial/moveTrialOn';
import { doVisit } from '../hang/doVisits';
import type { Job } from './Job';
import { leaveShelves } from './leaveShelves';

/** Does a job: changes what it is about, writes it down, and marks it. */
export function doJob({ key, what, tierId }: Job, day: Day, newId: () => string): Change {
  const log = (batchId: string, kind: Parameters<typeof logIt>[1]['what']) =>
    logIt(batchId, { id: newId(), day, what: kind, height: null, stage: null });
  const change = (): Change => {
    switch (what.kind) {
      case 'hang':
        return (site) => doVisit(site, what.jobs);
      case 'pot-on':
        return log(what.batchId, 'potted-on');
      case 'out':
        return what.batchId === null ? same : leaveShelves(what.batchId, day, newId, 'off the shelves');
      case 'clear':
        return leaveShelves(what.batchId, day, newId, 'off the shelves');
      case 'look-for-seedlings':
        return log(what.batchId, 'not-yet');
      case 'cover-off':
        return (site) => ({
          ...site,
          stands: site.stands.map((s) => ({
            ...s,
            tiers: s.tiers.map((t) =>
              t.trays.some((y) => what.trayIds.includes(y.id))
                ? { ...t, trays: t.trays.map((y) => (what.trayIds.includes(y.id) ? { ...y, coverId: null } : y)) }
                : t,
            ),
          })),
        });
      case 'thin':
        return log(what.batchId, 'thinned');
      case 'feed':
        return log(what.batchId, 'fed');
      case 'water':
        return log(what.batchId, 'watered');
      case 'rotate':
        return tierId === null ? same : rotate(tierId, what.how, day, newId);
      case 'safety':
      case 'lamp':
      case 'sow':
      case 'harden':
      case 'mat-off':
      case 'mat-part':
      case 'brush':
      case 'measure':
      case 'look-again':
        return same;
      case 'trial':
        return what.act === 'rotate' ? moveTrialOn(what.trialId, day, newId) : same;
    }
  };
  const done = change();
  return (site) => markJobs({ key, day, state: 'done', until: null })(done(site));
}

const same = (site: Site): Site => site;

/** Trays turned or moved on, and written down for every batch that stands there. */
const rotate =
  (tierId: string, how: RotationKind, day: Day, newId: () => string): Change =>
  (site) => {
    const trays = site.stands.flatMap((s) => s.tiers).find((t) => t.id === tierId)?.trays ?? [];
    const text = ROTATED[how];
    return [...new Set(trays.map((y) => y.batchId))].reduce(
      (now, batchId) => logIt(batchId, { id: newId(), day, what: 'moved', height: null, stage: null, text })(now),
      rotateTier(tierId, how)(site),
    );
  };

/** What the journal says of it. */
const ROTATED: Readonly<Record<RotationKind, string>> = {
  turn: 'turned half round',
  swap: 'changed places',
  both: 'turned half round, changed places',
};
