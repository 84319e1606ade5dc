import { holdLife, newLife } from './life';
import { revive, watch, WorkerDied } from './watch';

/** A worker that only dies on demand. */
function mortal() {
  const listeners = new Map<string, (event: unknown) => void>();
  let ended = false;
  const worker = {
    addEventListener: (kind: string, listener: unknown) => void listeners.set(kind, listener as (event: unknown) => void),
    terminate: () => {
      ended = true;
    },
  };
  return {
    worker: worker as unknown as Worker,
    fire: (kind: string, event: unknown) => listeners.get(kind)!(event),
    hasEnded: () => ended,
  };
}
const never = () => new Promise<number>(() => undefined);

test('an answer comes through, a refusal too', async () => {
  const { ask } = watch(mortal().worker, 'Light', 'life');
  await expect(ask(() => Promise.resolve(3))).resolves.toBe(3);
  await expect(ask(() => Promise.reject(new Error('too large')))).rejects.toThrow('too large');
});

test('whoever waits is told when the worker dies, and so is whoever asks later', async () => {
  const { worker, fire } = mortal();
  const { ask } = watch(worker, 'Light', 'life');
  const waiting = [ask(never), ask(never)];
  fire('error', { message: 'out of memory' });
  for (const w of waiting) await expect(w).rejects.toThrow('Light worker failed: out of memory');
  await expect(ask(() => Promise.resolve(3))).rejects.toThrow('out of memory');
  // The first reason stays the reason.
  fire('messageerror', {});
  await expect(ask(never)).rejects.toThrow('out of memory');
});

test('a worker that could not load says so; one that is stopped ends, and nobody waits for it', async () => {
  const unloaded = mortal();
  const first = watch(unloaded.worker, 'Chart', 'life').ask(never);
  unloaded.fire('error', {});
  await expect(first).rejects.toThrow('Chart worker failed: could not load');
  const { worker, hasEnded } = mortal();
  const { ask, stop } = watch(worker, 'Chart', 'life');
  const second = ask(never);
  stop();
  await expect(second).rejects.toThrow('was stopped');
  expect(hasEnded()).toBe(true);
});

test('a worker that ends without a word lets go of its life, and whoever waits is told', async () => {
  // Locks as a browser has them: the next in the queue is called when the one before lets go.
  const queue = new Map<string, (() => void)[]>();
  const locks = { request: (name: string, held: () => unknown) => {
      const before = queue.get(name) ?? [];
      queue.set(name, [...before, held as () => void]);
      if (before.length === 0) held();
      return Promise.resolve();
    } }; // prettier-ignore
  const navigator = Object.getOwnPropertyDescriptor(globalThis, 'navigator');
  Object.defineProperty(globalThis, 'navigator', { value: { locks }, configurable: true });
  try {
    const { worker, fire } = mortal();
    const life = newLife();
    const waiting = watch(worker, 'Advice', life).ask(never);
    holdLife({ name: life, navigator: { locks }, postMessage: (data) => fire('message', { data }) });
    fire('message', { data: { id: 'an answer' } });
    expect(queue.get(life)).toHaveLength(2);
    queue.get(life)![1]!(); // the first one is gone
    await expect(waiting).rejects.toThrow(WorkerDied);
  } finally {
    if (navigator) Object.defineProperty(globalThis, 'navigator', navigator);
    else Reflect.deleteProperty(globalThis, 'navigator');
  }
});

/** Workers of which the first few die over their first question. */
function mortals(deaths: number) {
  const started: { stopped: boolean }[] = [];
  const { ask, stop } = revive(() => {
    const worker = { stopped: false, stop: () => void (worker.stopped = true), n: started.length };
    started.push(worker);
    return worker;
  });
  const question = (w: { n: number }) => (w.n < deaths ? Promise.reject(new WorkerDied('out of memory')) : Promise.resolve(w.n));
  return { started, ask: () => ask(question), askOdd: () => ask(() => Promise.reject(new RangeError('odd question'))), stop };
}

test('a worker that died has a successor, and the question is asked again, quietly', async () => {
  const { started, ask } = mortals(1);
  await expect(ask()).resolves.toBe(1);
  await expect(ask()).resolves.toBe(1);
  expect(started.map((w) => w.stopped)).toEqual([true, false]);
});

test('a question that kills twice is refused; the next one finds a new worker', async () => {
  const { started, ask } = mortals(2);
  await expect(ask()).rejects.toThrow('out of memory');
  await expect(ask()).resolves.toBe(2);
  expect(started).toHaveLength(3);
});

test('several that wait for one that dies share its successor', async () => {
  const { started, ask } = mortals(1);
  await expect(Promise.all([ask(), ask(), ask()])).resolves.toEqual([1, 1, 1]);
  expect(started).toHaveLength(2);
});

test('what is merely refused starts nobody anew, and what is stopped stays stopped', async () => {
  const { started, askOdd, ask, stop } = mortals(0);
  await expect(askOdd()).rejects.toThrow('odd question');
  expect(started).toHaveLength(1);
  stop();
  await expect(ask()).rejects.toThrow('stopped');
  expect(started).toMatchObject([{ stopped: true }]);
});
