import { wrap } from 'comlink';
import type { WayOut } from '../../core/plan/season/waysOut';
import type { Site } from '../../core/site/stand/Site';
import type { Day } from '../../core/units/day';
import { newLife } from '../life';
import { onTheWay } from '../onTheWay';
import { revive, watch } from '../watch';
import type { SeasonAnswer, SeasonApi, SeasonImproved } from './season.api';

export interface SeasonWorker {
  /** Rejects when the worker could not load, died or was stopped. */
  look(site: Site, today: Day): Promise<SeasonAnswer | null>;
  waysOut(site: Site, today: Day, progress: (done: number) => void): Promise<WayOut[]>;
  improve(site: Site, today: Day, told: (done: number, over: number) => void): Promise<SeasonImproved | null>;
  stop(): void;
}

/** A worker for the season; one that died has a successor. */
export function startSeasonWorker(): SeasonWorker {
  const { ask, stop } = revive(startOnce);
  return {
    look: (...asked) => ask((w) => w.look(...asked)),
    waysOut: (...asked) => ask((w) => w.waysOut(...asked)),
    improve: (...asked) => ask((w) => w.improve(...asked)),
    stop,
  };
}

function startOnce(): SeasonWorker {
  const life = newLife();
  const worker = new Worker(new URL('./season.worker.ts', import.meta.url), { type: 'module', name: life });
  const remote = wrap<SeasonApi>(worker);
  const { ask, stop } = watch(worker, 'season', life);
  return {
    look: (site, today) => ask<SeasonAnswer | null>(() => remote.look(site, today)),
    waysOut: (site, today, progress) => ask(() => onTheWay(progress, (told) => remote.waysOut(site, today, told))),
    improve: (site, today, told) => ask<SeasonImproved | null>(() => onTheWay(told, (told) => remote.improve(site, today, told))),
    stop,
  };
}
