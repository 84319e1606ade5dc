/** How long a writer waits: for a moment of quiet, at most so long while changes go on, and before it tries again after a failure. */
export interface Patience {
  readonly quiet_ms: number;
  readonly latest_ms: number;
  readonly again_ms: number;
}
const USUAL: Patience = { quiet_ms: 150, latest_ms: 300, again_ms: 2000 };

/**
 * Writes what changes after a moment of quiet or, while changes go on, every so often; one write at a time and always the newest.
 * A write that failed is tried again until it is done.
 *
 * @returns `soon` to ask for a write, `now` to write at once, `flush` to write what waits, `unwritten` while something does; `end` to
 * write what waits and then no more
 */
export function keep(write: () => Promise<void>, onError: (reason: unknown) => void, patience = USUAL) {
  let timer: ReturnType<typeof setTimeout> | undefined;
  /** When what waits has to be written at the latest. */
  let due: number | undefined;
  let writing: Promise<void> | null = null;
  let again = false;
  let ended = false;

  function wait(ms: number) {
    if (ended) return;
    clearTimeout(timer);
    timer = setTimeout(() => void now(), ms);
  }

  function now(): Promise<void> {
    clearTimeout(timer);
    timer = due = undefined;
    if (writing) {
      again = true;
      return writing;
    }
    writing = write()
      .catch((reason: unknown) => {
        onError(reason);
        if (!again && timer === undefined) wait(patience.again_ms);
      })
      .then(() => {
        writing = null;
        if (again) {
          again = false;
          return now();
        }
      });
    return writing;
  }

  /** Writes only when something waits. */
  const flush = () => (timer === undefined ? (writing ?? Promise.resolve()) : now());

  return {
    soon() {
      const at = performance.now();
      due ??= at + patience.latest_ms;
      wait(Math.max(0, Math.min(patience.quiet_ms, due - at)));
    },
    now,
    /** Whether something is not written yet. */
    unwritten: () => timer !== undefined || writing !== null,
    flush,
    async end() {
      const last = flush();
      ended = true;
      await last;
    },
  };
}
