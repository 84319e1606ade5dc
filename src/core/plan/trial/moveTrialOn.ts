import { faultsOf, makesWorse } from '../../answer/faults/faults';
import { benchStandOf } from '../../answer/stand/benchStand';
import { logIt } from '../../site/growth/changeGrowth';
import { changeTrial } from '../../site/stand/changeTrials';
import type { Change } from '../../site/stand/change';
import type { Site, Tray } from '../../site/stand/Site';
import { MOST_TRIAL_MOVES, type Trial } from '../../site/trial/Trial';
import type { Tables } from '../../things/tables/Tables';
import type { Day } from '../../units/day';
import { roundsOf } from './trialRounds';

/** All trays that are drawn, by their ids. */
export const drawnTrays = ({ stands }: Pick<Site, 'stands'>): ReadonlyMap<string, Tray> =>
  new Map(stands.flatMap((s) => s.tiers.flatMap((t) => t.trays.map((y) => [y.id, y] as const))));

/** The stands after each tray of a trial has moved on to where the next of its round stands. */
function standsAfter(stands: Site['stands'], trial: Trial): Site['stands'] {
  const trays = drawnTrays({ stands });
  // Who comes to where a tray stands.
  const comes = new Map<string, Tray>();
  for (const round of roundsOf(trial, trays))
    if (round[0]!.trayId !== null)
      round.forEach((row, i) => comes.set(row.trayId!, trays.get(round[(i + round.length - 1) % round.length]!.trayId!)!));
  const isIn = (ids: readonly Tray[]) => ids.some((y) => comes.has(y.id));
  return stands.map((s) =>
    s.tiers.some((t) => isIn(t.trays))
      ? {
          ...s,
          autoArranged: false,
          tiers: s.tiers.map((t) =>
            isIn(t.trays) ? { ...t, trays: t.trays.map((y) => ({ ...(comes.get(y.id) ?? y), x: y.x, y: y.y })) } : t,
          ),
        }
      : s,
  );
}

/** Trays of a trial change places: on the bench, in the journal of their batches and in the trial. */
export const moveTrialOn =
  (id: string, day: Day, newId: () => string): Change =>
  (site) => {
    const trial = site.trials.find((t) => t.id === id);
    if (!trial) return site;
    const trays = drawnTrays(site);
    const moved = roundsOf(trial, trays).flatMap((round) => round.flatMap(({ trayId }) => trays.get(trayId ?? '')?.batchId ?? []));
    const told = [...new Set(moved)].reduce(
      (now, batchId) => logIt(batchId, { id: newId(), day, what: 'moved', height: null, stage: null, text: 'changed places' })(now),
      { ...site, stands: standsAfter(site.stands, trial) },
    );
    return changeTrial(id, (t) => ({ moves: [...t.moves, day].slice(-MOST_TRIAL_MOVES) }))(told);
  };

/** Whether that would put leaves into the heat of a lamp, or make anything else wrong that is not: then it is not to be done. */
export function isMoveUnsafe(site: Site, trial: Trial, tables: Tables): boolean {
  const after = { ...site, stands: standsAfter(site.stands, trial) };
  return site.stands.some(
    (s, i) =>
      s !== after.stands[i] && makesWorse(faultsOf(benchStandOf(site, s, tables)), faultsOf(benchStandOf(after, after.stands[i]!, tables))),
  );
}
