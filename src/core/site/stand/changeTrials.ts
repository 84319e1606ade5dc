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
