import { createThreads } from './threads';

const ends: string[] = [];
const started: string[] = [];
const mockThread = (name: string) => () => {
  started.push(name);
  const n = started.filter((s) => s === name).length;
  return { n, lane: () => ({ of: name }), stop: () => ends.push(`${name} ${n}`) };
};
jest.mock('../workers/advice/advice.client', () => ({ startAdviceWorker: () => mockThread('advice')() }));
jest.mock('../workers/chart/chart.pool', () => ({ startChartPool: () => mockThread('chart')() }));
jest.mock('../workers/light/early', () => ({ takeLightWorker: null }));
jest.mock('../workers/light/light.pool', () => ({ startLightPool: () => mockThread('light')() }));
jest.mock('../workers/readings/readings.client', () => ({ startReadingsWorker: () => mockThread('readings')() }));
jest.mock('../workers/season/season.client', () => ({ startSeasonWorker: () => mockThread('season')() }));

beforeEach(() => [ends, started].forEach((list) => list.splice(0)));

test('nothing computes before it is open; light begins then, once, the others when they are asked', () => {
  const threads = createThreads();
  expect(threads.isOpen).toBe(false);
  expect(() => threads.advisor()).toThrow('not open yet');
  expect(() => threads.lane('picture')).toThrow('not open yet');
  threads.open();
  threads.open();
  expect([threads.isOpen, started]).toEqual([true, ['light']]);
  const first = threads.charter();
  expect(threads.charter()).toBe(first);
  threads.advisor();
  threads.reader();
  threads.planner();
  expect(started).toEqual(['light', 'chart', 'advice', 'readings', 'season']);
});

test('an end is one of all that runs, and what is asked after it begins anew', () => {
  const threads = createThreads();
  threads.open();
  const before = threads.charter();
  threads.planner();
  threads.stop();
  expect(ends.sort()).toEqual(['chart 1', 'light 1', 'season 1']);
  expect(threads.isOpen).toBe(false);
  expect(() => threads.charter()).toThrow('not open yet');
  threads.open();
  expect(threads.charter()).not.toBe(before);
  threads.stop();
  // What has ended already is not ended twice.
  expect(ends.filter((e) => e.startsWith('chart'))).toEqual(['chart 1', 'chart 2']);
});

test('each search has a thread of its own, which ends by itself or with the rest', () => {
  const threads = createThreads();
  threads.open();
  const [one, two] = [threads.searcher(), threads.searcher()];
  expect(one.worker).not.toBe(two.worker);
  one.stop();
  expect(ends).toEqual(['season 1']);
  threads.stop();
  expect(ends.filter((e) => e.startsWith('season'))).toEqual(['season 1', 'season 2']);
});
