import { proxy, wrap } from 'comlink';
import type { HangChart, HangQuestion } from '../../core/hang/HangChart';
import { watch } from '../watch';
import type { ChartApi } from './chart.api';

export interface ChartWorker {
  /** Rejects when the worker could not load, died or was stopped. */
  hangChart(question: HangQuestion, progress: (done: number) => void): Promise<HangChart>;
  stop(): void;
}

export function startChartWorker(): ChartWorker {
  const worker = new Worker(new URL('./chart.worker.ts', import.meta.url), { type: 'module' });
  const remote = wrap<ChartApi>(worker);
  const { ask, stop } = watch(worker, 'chart');
  return { hangChart: (question, progress) => ask<HangChart>(() => remote.hangChart(question, proxy(progress))), stop };
}
