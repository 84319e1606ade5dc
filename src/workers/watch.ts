import { onEndOfLife } from './life';

/** What a watched worker offers: `ask` rejects when the worker dies, `stop` ends it. */
export interface Watched {
  ask<T>(call: () => Promise<T>): Promise<T>;
  stop(): void;
}

/** A worker that could not load, or that died over a question; not one that was stopped. */
export class WorkerDied extends Error {}

/**
 * Watches a worker for death. Comlink alone never notices: a call to a worker that could not load, or that
 * died, stays pending for ever; one that ends without any event lets go of its life. (Racing each call against one long-lived promise would keep every answer in memory.)
 */
export function watch(worker: Pick<Worker, 'addEventListener' | 'terminate'>, name: string, life: string): Watched {
  const waiting = new Set<(reason: Error) => void>();
  let dead: Error | undefined;
  function giveUp(why: string, died = true) {
    dead ??= new (died ? WorkerDied : Error)(`${name} worker ${why}`);
    for (const reject of waiting) reject(dead);
    waiting.clear();
  }
  worker.addEventListener('error', (e) => giveUp(`failed: ${('message' in e && String(e.message)) || 'could not load'}`));
  onEndOfLife(worker, life, () => giveUp('ended'));
  worker.addEventListener('messageerror', () => giveUp('sent what cannot be read'));

  return {
    ask: (call) =>
      new Promise((resolve, reject) => {
        if (dead) return reject(dead);
        waiting.add(reject);
        call()
          .then(resolve, reject)
          .finally(() => waiting.delete(reject));
      }),
    stop() {
      worker.terminate();
      giveUp('was stopped', false);
    },
  };
}

/**
 * Starts a worker when it is first asked, and another one after it has died: a question over which one died is asked once more, quietly;
 * if that one dies too, the question is refused, and the next one finds a new worker.
 */
export function revive<W extends { stop(): void }>(
  start: () => W,
): { ask<T>(question: (worker: W) => Promise<T>): Promise<T>; stop(): void } {
  let worker: W | null = null;
  let stopped = false;
  async function once<T>(question: (worker: W) => Promise<T>): Promise<T> {
    if (stopped) throw new Error('the worker was stopped');
    const asked = (worker ??= start());
    try {
      return await question(asked);
    } catch (error) {
      if (error instanceof WorkerDied && worker === asked) {
        asked.stop();
        worker = null;
      }
      throw error;
    }
  }
  return {
    ask: (question) =>
      once(question).catch((error: unknown) => (error instanceof WorkerDied && !stopped ? once(question) : Promise.reject(error as Error))),
    stop() {
      stopped = true;
      worker?.stop();
    },
  };
}
