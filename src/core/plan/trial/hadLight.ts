import { asAgreed } from './grownIn';
import type { Change } from '../../site/stand/change';
import type { Site, Stand } from '../../site/stand/Site';
import type { TrayHad, TrialTrayRow } from '../../site/trial/Trial';

/** Trays of a trial whose light has to be written down, for what tells it is about to change: by their codes. */
export interface Closing {
  readonly trialId: string;
  readonly codes: readonly string[];
}

/** Trays of running trials that were taken away between two sites, and all trays of trials that were ended. */
export function closingIn(before: Site, after: Site): Closing[] {
  if (before.stands === after.stands && before.trials === after.trials) return [];
  const was = new Map(before.trials.map((t) => [t.id, t]));
  const running = after.trials.filter((t) => was.get(t.id)?.ended === null && t.trays.some(isOpen));
  if (running.length === 0) return [];
  const [stood, stands] = [trayIdsOn(before.stands), trayIdsOn(after.stands)];
  return running.flatMap((trial) => {
    const gone = trial.trays.filter((row) => isOpen(row) && stood.has(row.trayId!) && (trial.ended !== null || !stands.has(row.trayId!)));
    return gone.length > 0 ? [{ trialId: trial.id, codes: gone.map((row) => row.code) }] : [];
  });
}

const isOpen = (row: TrialTrayRow): boolean => row.trayId !== null && !row.had;

const trayIdsOn = (stands: readonly Stand[]): ReadonlySet<string> =>
  new Set(stands.flatMap((s) => s.tiers.flatMap((t) => t.trays.map((y) => y.id))));

/** Of what trays of a trial have been given, the part that has to be written down: to digits that any two windows agree on. */
export function toWriteDown(given: ReadonlyMap<string, TrayHad>, { codes }: Closing): ReadonlyMap<string, TrayHad> {
  return new Map(
    [...given]
      .filter(([code]) => codes.includes(code))
      .map(([code, h]) => [
        code,
        { ...h, distance: h.distance && asAgreed(h.distance), mol_per_m2: asAgreed(h.mol_per_m2), kWh: asAgreed(h.kWh), area_m2: asAgreed(h.area_m2) }, // prettier-ignore
      ]),
  );
}

/** Writes down what trays of a trial have been given; those that still stand in a trial that runs tell it themselves. */
export const withHad =
  ({ trialId }: Closing, given: ReadonlyMap<string, TrayHad>): Change =>
  (site) => {
    const trial = site.trials.find((t) => t.id === trialId);
    if (!trial) return site;
    const stands = trayIdsOn(site.stands);
    const had = ({ code, trayId }: TrialTrayRow) =>
      trayId !== null && (trial.ended !== null || !stands.has(trayId)) ? given.get(code) : undefined;
    if (!trial.trays.some((row) => !row.had && had(row))) return site;
    const trays = trial.trays.map((row) => (row.had || !had(row) ? row : { ...row, had: had(row)! }));
    return { ...site, trials: site.trials.map((t) => (t === trial ? { ...trial, trays } : t)) };
  };
