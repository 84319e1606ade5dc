import { watch } from './watch';

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
  const { ask } = watch(mortal().worker, 'Light');
  await expect(ask(() => Promise.resolve(3))).resolves.toBe(3);
  await expect(ask(() => Promise.reject(new Error('too large')))).rejects.toThrow('too large');
});

test('whoever waits is told when the worker dies, and so is whoever asks later', async () => {
  const { worker, fire } = mortal();
  const { ask } = watch(worker, 'Light');
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
  const first = watch(unloaded.worker, 'Chart').ask(never);
  unloaded.fire('error', {});
  await expect(first).rejects.toThrow('Chart worker failed: could not load');
  const { worker, hasEnded } = mortal();
  const { ask, stop } = watch(worker, 'Chart');
  const second = ask(never);
  stop();
  await expect(second).rejects.toThrow('was stopped');
  expect(hasEnded()).toBe(true);
});
