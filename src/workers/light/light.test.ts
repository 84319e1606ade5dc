import { expose, releaseProxy, wrap } from 'comlink';
import { watch } from '../watch';
import { createLightApi } from './light.answers';
import type { LightWorker } from './light.client';
import type { LightQuestion } from '../../core/answer/check/LightQuestion';
import { startLightPool } from './light.pool';
import type { LightApi } from './light.api';

const question = {
  scene: {
    lamps: [{ id: 'bulb', emitters: [{ kind: 'point' as const, x: 0.5, y: 0.5, z: 0.5, ppf: 100, cosinePower: null }] }],
    rooms: [],
    obstructions: [],
  },
  width: 1,
  depth: 1,
  canopy: 0,
  sliceTop: 0.6,
  sliceMargin: 0.1,
  plantAreas: [{ x0: 0.4, x1: 0.6, y0: 0.4, y1: 0.6 }],
  cell: 0.1,
  sliceCell: 0.1,
};

test('answers survive the trip between threads, and mistakes arrive as errors', async () => {
  const { port1, port2 } = new MessageChannel();
  expose(createLightApi(), port1 as never);
  const remote = wrap<LightApi>(port2 as never);
  const { map, stats } = await remote.answer(question);
  expect(map.ppfd).toHaveLength(100);
  // straight below an even bulb: Φ/4πd²
  expect(stats.strongest.ppfd).toBeWithin(100 / (4 * Math.PI * 0.25), { relative: 0.04 });
  await expect(remote.answer({ ...question, cell: 0 })).rejects.toThrow('cell must be > 0');
  remote[releaseProxy]();
  port1.close();
  port2.close();
});

test('a worker that dies leaves nobody waiting', async () => {
  const listeners: Record<string, (e: Event) => void> = {};
  const worker = {
    addEventListener: (name: string, listener: (e: Event) => void) => (listeners[name] = listener),
    terminate: () => undefined,
  };
  const { ask, stop } = watch(worker as never, 'light', 'life');
  const pending = ask(() => new Promise(() => undefined));
  listeners.error!({ message: 'boom' } as never);
  await expect(pending).rejects.toThrow('light worker failed: boom');
  await expect(ask(async () => 1)).rejects.toThrow('failed');
  stop();
});

test('lanes share the workers of a pool turn about, and end with it', () => {
  let started = 0, stopped = 0; // prettier-ignore
  const start = () => {
    started++;
    return { answer: () => new Promise(() => undefined), stop: () => stopped++ } as unknown as LightWorker;
  };
  const pool = startLightPool(2, start);
  const lanes = Array.from({ length: 5 }, () => pool.lane());
  // Nobody has asked yet: a page that shows no light has no worker.
  expect(started).toBe(0);
  for (const lane of lanes) void lane.answer({} as LightQuestion).catch(() => undefined);
  expect(started).toBe(2);
  pool.stop();
  expect(stopped).toBe(2);
});
