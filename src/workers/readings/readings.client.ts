import { wrap } from 'comlink';
import type { NoFit, TierFit } from '../../core/measure/fit/fitTier';
import type { WalkPoint } from '../../core/answer/walk/planWalk';
import { newLife } from '../life';
import { onTheWay } from '../onTheWay';
import { revive, watch } from '../watch';
import type { ReadingsApi, TierOfSite } from './readings.api';

export interface ReadingsWorker {
  /** Rejects when the worker could not load, died or was stopped. */
  fit(of: TierOfSite, id: string, now_ms: number, progress: (done: number) => void): Promise<TierFit | NoFit>;
  plan(of: TierOfSite, count: number): Promise<WalkPoint[]>;
  stop(): void;
}

/** A worker for readings; one that died has a successor. */
export function startReadingsWorker(): ReadingsWorker {
  const { ask, stop } = revive(startOnce);
  return { fit: (...asked) => ask((w) => w.fit(...asked)), plan: (...asked) => ask((w) => w.plan(...asked)), stop };
}

function startOnce(): ReadingsWorker {
  const life = newLife();
  const worker = new Worker(new URL('./readings.worker.ts', import.meta.url), { type: 'module', name: life });
  const remote = wrap<ReadingsApi>(worker);
  const { ask, stop } = watch(worker, 'readings', life);
  return {
    fit: (of, id, now_ms, progress) => ask(() => onTheWay<[number], TierFit | NoFit>(progress, (told) => remote.fit(of, id, now_ms, told))),
    plan: (of, count) => ask(() => remote.plan(of, count)),
    stop,
  };
}
