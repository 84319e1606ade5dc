import { wrap } from 'comlink';
import type { BenchAnswer } from '../../core/answer/bench/BenchQuestion';
import type { ChartAsked, ChartOnTheWay, HangChart } from '../../core/plan/hang/HangChart';
import { newLife } from '../life';
import { onTheWay } from '../onTheWay';
import { revive, watch } from '../watch';
import type { ChartApi } from './chart.api';

export interface ChartWorker {
  /**
   * Rejects when the worker could not load, died or was stopped, and when the light could not be had.
   *
   * @param light  the light of the stand now; while it is worked out the worker does what can be done without it
   */
  hangChart(asked: ChartAsked, light: () => Promise<BenchAnswer>, progress: ChartOnTheWay): Promise<HangChart>;
  stop(): void;
}

/** A chart worker; one that died has a successor. */
export function startChartWorker(): ChartWorker {
  const { ask, stop } = revive(startOnce);
  return { hangChart: (asked, light, progress) => ask((w) => w.hangChart(asked, light, progress)), stop };
}

function startOnce(): ChartWorker {
  const life = newLife();
  const worker = new Worker(new URL('./chart.worker.ts', import.meta.url), { type: 'module', name: life });
  const remote = wrap<ChartApi>(worker);
  const { ask, stop } = watch(worker, 'chart', life);
  return {
    hangChart: (asked, light, progress) =>
      ask<HangChart>(async () => {
        // What is wrong with the question is told by the chart itself.
        remote.workAhead(asked).catch(() => undefined);
        const answer = await light();
        return onTheWay(progress, (told) => remote.hangChart({ ...asked, answer }, told));
      }),
    stop,
  };
}
