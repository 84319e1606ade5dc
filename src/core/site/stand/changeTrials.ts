import type { Trial, TrialTrayRow } from '../trial/Trial';
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

export const changeTrialTray = (id: string, code: string, change: (tray: TrialTrayRow) => Partial<TrialTrayRow>): Change =>
  changeTrial(id, (t) => ({ trays: t.trays.map((y) => (y.code === code ? { ...y, ...change(y) } : y)) }));
