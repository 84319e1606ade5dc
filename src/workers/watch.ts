/** What a watched worker offers: `ask` rejects when the worker dies, `stop` ends it. */
export interface Watched {
  ask<T>(call: () => Promise<T>): Promise<T>;
  stop(): void;
}

/**
 * Watches a worker for death. Comlink alone never notices: a call to a worker that could not load, or that
 * died, stays pending for ever. (Racing each call against one long-lived promise would keep every answer in memory.)
 */
export function watch(worker: Pick<Worker, 'addEventListener' | 'terminate'>, name: string): Watched {
  const waiting = new Set<(reason: Error) => void>();
  let dead: Error | undefined;
  function giveUp(why: string) {
    dead ??= new Error(`${name} worker ${why}`);
    for (const reject of waiting) reject(dead);
    waiting.clear();
  }
  worker.addEventListener('error', (e) => giveUp(`failed: ${('message' in e && String(e.message)) || 'could not load'}`));
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
      giveUp('was stopped');
    },
  };
}
