/**
 * Writes what changes after a moment of quiet, one write at a time and always the newest.
 *
 * @returns `soon` to ask for a write, `now` to write at once, `flush` to write what waits, `unwritten` while something does
 */
export function keep(write: () => Promise<void>, onError: (reason: unknown) => void, quiet_ms = 200) {
  let timer: ReturnType<typeof setTimeout> | undefined;
  let writing: Promise<void> | null = null;
  let again = false;

  function now(): Promise<void> {
    clearTimeout(timer);
    timer = undefined;
    if (writing) {
      again = true;
      return writing;
    }
    writing = write()
      .catch(onError)
      .then(() => {
        writing = null;
        if (again) {
          again = false;
          return now();
        }
      });
    return writing;
  }

  return {
    soon() {
      clearTimeout(timer);
      timer = setTimeout(() => void now(), quiet_ms);
    },
    now,
    /** Whether something is not written yet. */
    unwritten: () => timer !== undefined || writing !== null,
    /** Writes only when something waits. */
    flush: () => (timer === undefined ? (writing ?? Promise.resolve()) : now()),
  };
}
