import type { MeterSample } from '../../core/things/meter/MeterDriver';
import { listenToMeter } from './liveMeter';
import type { MeterWorldFile } from './MeterWorldFile';

const world = { version: 1 } as unknown as MeterWorldFile;
const HELD = { x: 0.1, y: 0.2, z: 0.3, range: null, lampsOn: true };

class Source {
  onmessage: ((e: { data: string }) => void) | null = null;
  onerror: (() => void) | null = null;
  isClosed = false;
  constructor(readonly url: string) {
    sources.push(this);
  }
  close() {
    this.isClosed = true;
  }
}
let sources: Source[] = [];
let put: jest.Mock;
const settle = async () => {
  for (let i = 0; i < 10; i++) await Promise.resolve();
};

beforeEach(() => {
  jest.useFakeTimers({ doNotFake: ['queueMicrotask', 'nextTick'] });
  sources = [];
  let next = 0;
  put = jest.fn(async () => ({ json: async () => ({ ok: true, id: `meter-${++next}` }) }));
  Object.assign(globalThis, { EventSource: Source, fetch: put });
});
afterEach(() => jest.useRealTimers());

function listening() {
  const [samples, troubles]: [MeterSample[], string[]] = [[], []];
  const meter = listenToMeter(
    world,
    (s) => samples.push(s),
    (reason) => troubles.push(reason),
  );
  return { meter, samples, troubles };
}

test('it is put on the desk once, and heard where it is held', async () => {
  const { meter, samples } = listening();
  meter.hold(HELD);
  await settle();
  expect(put).toHaveBeenCalledTimes(1);
  expect(JSON.parse((put.mock.calls[0] as [string, { body: string }])[1].body)).toEqual(world);
  expect(sources[0]!.url).toBe('/api/meter/meter-1?x=0.1&y=0.2&z=0.3&range=auto');
  sources[0]!.onmessage!({ data: '{"value":12}' });
  meter.hold({ ...HELD, x: 0.4, range: 200, lampsOn: false });
  await settle();
  expect(put).toHaveBeenCalledTimes(1);
  expect(sources[0]!.isClosed).toBe(true);
  expect(sources[1]!.url).toBe('/api/meter/meter-1?x=0.4&y=0.2&z=0.3&range=200&lamps=off');
  // What the place before still sends is not from here.
  sources[0]!.onmessage!({ data: '{"value":99}' });
  sources[1]!.onmessage!({ data: '{"value":13}' });
  expect(samples).toEqual([{ value: 12 }, { value: 13 }]);
});

test('a server that has forgotten it gets it again; one that never answers is told of', async () => {
  const { meter, samples, troubles } = listening();
  meter.hold(HELD);
  await settle();
  for (let i = 0; i < 3; i++) {
    sources.at(-1)!.onerror!();
    await jest.advanceTimersByTimeAsync(400 * (i + 1) - 1);
    expect(put).toHaveBeenCalledTimes(i + 1);
    await jest.advanceTimersByTimeAsync(1);
    await settle();
    expect(sources.at(-1)!.url).toContain(`/meter-${i + 2}?`);
  }
  expect(troubles).toEqual([]);
  // One that speaks again may be lost three times more.
  sources.at(-1)!.onmessage!({ data: '{"value":7}' });
  sources.at(-1)!.onerror!();
  await jest.advanceTimersByTimeAsync(400);
  for (let i = 0; i < 3; i++) {
    expect(troubles).toEqual([]);
    sources.at(-1)!.onerror!();
    await jest.advanceTimersByTimeAsync(2000);
  }
  expect(troubles).toEqual(['it does not answer']);
  expect(samples).toEqual([{ value: 7 }]);
});

test('what the server refuses, or cannot be asked, is told in its words', async () => {
  put.mockImplementationOnce(async () => ({ json: async () => ({ ok: false, problems: [{ code: 'meter/x', at: 'lamps[0]' }] }) }));
  const { meter, troubles } = listening();
  meter.hold(HELD);
  await settle();
  put.mockImplementationOnce(() => Promise.reject(new Error('no net')));
  meter.hold(HELD);
  await settle();
  expect(troubles).toEqual(['lamps[0]: meter/x', 'no net']);
  expect(sources).toHaveLength(0);
});

test('after it is laid down nothing is heard or begun any more', async () => {
  const { meter, samples, troubles } = listening();
  meter.hold(HELD);
  meter.stop();
  await settle();
  expect(sources).toHaveLength(0);
  const other = listening();
  other.meter.hold(HELD);
  await settle();
  sources[0]!.onerror!();
  other.meter.stop();
  await jest.advanceTimersByTimeAsync(5000);
  expect(sources).toHaveLength(1);
  expect([sources[0]!.isClosed, samples, troubles]).toEqual([true, [], []]);
});
