import type { ChartAsked, HangChart } from '../../core/plan/hang/HangChart';
import { startChartPool } from './chart.pool';

interface Ask {
  readonly worker: number;
  readonly standId: string;
  end(): void;
}

function pool(most: number) {
  const asked: Ask[] = [];
  let started = 0;
  let stopped = 0;
  const start = () => {
    const worker = started++;
    return {
      hangChart: ({ standId }: ChartAsked) =>
        new Promise<HangChart>((then) => asked.push({ worker, standId, end: () => then({ standId } as HangChart) })),
      stop: () => void stopped++,
    };
  };
  const charts = startChartPool(start, most);
  const ask = (standId: string) =>
    charts.hangChart(
      { standId } as ChartAsked,
      async () => ({ tiers: {} }),
      () => undefined,
    );
  return { asked, ask, charts, count: () => [started, stopped] };
}

test('two are worked out side by side, no more; a stand goes back to the worker that knows it', async () => {
  const { asked, ask, charts, count } = pool(2);
  const all = ['a', 'b', 'c'].map(ask);
  await Promise.resolve();
  expect(asked.map((a) => a.worker)).toEqual([0, 1, 0]);
  for (const a of asked.splice(0)) a.end();
  expect((await Promise.all(all)).map((c) => c.standId)).toEqual(['a', 'b', 'c']);
  const again = [ask('b'), ask('a')];
  await Promise.resolve();
  expect(asked.map((a) => [a.standId, a.worker])).toEqual([['b', 1], ['a', 0]]); // prettier-ignore
  for (const a of asked) a.end();
  await Promise.all(again);
  charts.stop();
  expect(count()).toEqual([2, 2]);
});

test('a worker is started only when it is wanted, and one that is busy is not waited for while another is not', async () => {
  const { asked, ask, count } = pool(2);
  const first = ask('a');
  await Promise.resolve();
  expect(count()[0]).toBe(1);
  const second = ask('a');
  await Promise.resolve();
  expect(asked.map((a) => a.worker)).toEqual([0, 1]);
  for (const a of asked) a.end();
  await Promise.all([first, second]);
});
