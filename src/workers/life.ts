/** What a worker says once it holds its life. */
export const ALIVE = 'copper-noon/alive';

const locksOf = (scope: { navigator?: unknown }) => (scope.navigator as { locks?: LockManager } | undefined)?.locks;

/** A name for the life of a worker that is about to start; it is given to it as its name. */
export const newLife = (): string => `copper-noon-${Date.now().toString(36)}-${Math.random().toString(36).slice(2)}`;

/** In a worker: holds the lock of its name for as long as it lives. A browser lets go of it whatever the worker died of. */
export function holdLife(scope: { readonly name: string; postMessage(message: unknown): void; readonly navigator?: unknown }): void {
  const locks = locksOf(scope);
  if (!locks || !scope.name) return;
  void locks.request(scope.name, () => {
    // Whoever asks for the lock from now on gets it after this one.
    scope.postMessage(ALIVE);
    return new Promise(() => undefined);
  });
}

/** In the page: is called when a worker that holds its life has ended, with or without a word. */
export function onEndOfLife(worker: Pick<Worker, 'addEventListener'>, life: string, ended: () => void): void {
  const locks = locksOf(globalThis);
  if (!locks) return;
  worker.addEventListener('message', (event) => {
    if ((event as MessageEvent).data !== ALIVE) return;
    locks.request(life, ended).catch(() => undefined);
  });
}
