import type { Trial } from '../trial/Trial';
import type { Change } from './change';

export const addTrial =
  (trial: Trial): Change =>
  (site) => ({ ...site, trials: [...site.trials, trial] });

export const changeTrial =
  (id: string, change: (trial: Trial) => Partial<Trial>): Change =>
  (site) => ({ ...site, trials: site.trials.map((t) => (t.id === id ? { ...t, ...change(t) } : t)) });

export const dropTrial =
  (id: string): Change =>
  (site) => ({ ...site, trials: site.trials.filter((t) => t.id !== id) });

/** A trial that was ended runs on: trays that still stand where the plan shows them tell their light themselves again. */
export const goOnWithTrial =
  (id: string): Change =>
  (site) => {
    const standing = new Set(site.stands.flatMap((s) => s.tiers.flatMap((t) => t.trays.map((y) => y.id))));
    return changeTrial(id, ({ trays }) => ({
      ended: null,
      trays: trays.map((row) => (row.trayId !== null && standing.has(row.trayId) ? { ...row, had: undefined } : row)),
    }))(site);
  };
