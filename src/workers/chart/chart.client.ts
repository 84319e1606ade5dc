import { wrap } from 'comlink';
import type { HangChart, HangQuestion } from '../../core/plan/hang/HangChart';
import { newLife } from '../life';
import { onTheWay } from '../onTheWay';
import { revive, watch } from '../watch';
import type { ChartApi } from './chart.api';

export interface ChartWorker {
  /** Rejects when the worker could not load, died or was stopped. */
  hangChart(question: HangQuestion, progress: (done: number) => void): Promise<HangChart>;
  stop(): void;
}

/** A chart worker; one that died has a successor. */
export function startChartWorker(): ChartWorker {
  const { ask, stop } = revive(startOnce);
  return { hangChart: (question, progress) => ask((w) => w.hangChart(question, progress)), stop };
}

function startOnce(): ChartWorker {
  const life = newLife();
  const worker = new Worker(new URL('./chart.worker.ts', import.meta.url), { type: 'module', name: life });
  const remote = wrap<ChartApi>(worker);
  const { ask, stop } = watch(worker, 'chart', life);
  return { hangChart: (question, progress) => ask<HangChart>(() => onTheWay(progress, (told) => remote.hangChart(question, told))), stop };
}
