import localforage from 'localforage';

type Key = 'site' | 'settings';

/** What the browser remembers; the only place that knows the database's names. */
export interface Database {
  /** What was written last, be it in a hurry. Rejects when the browser does not give it out: then nobody knows what is there. */
  get(key: Key): Promise<unknown>;
  set(key: Key, value: unknown): Promise<void>;
  /** Writes at once, while the page goes and the database would not be done in time. What is too large for it is left to the database. */
  hurry(key: Key, value: unknown): void;
}

/** A value with the number of its write, so that of two the newer one is known: what is taken away may come back after a crash. */
interface Copy {
  readonly copy: number;
  readonly value: unknown;
}

const isCopy = (data: unknown): data is Copy =>
  typeof data === 'object' && data !== null && 'copy' in data && typeof data.copy === 'number' && 'value' in data;

/** Before writes were counted, a value stood there by itself. */
const copyOf = (data: unknown): Copy | null =>
  data === null || data === undefined ? null : isCopy(data) ? data : { copy: 0, value: data };

export function openDatabase(): Database {
  const store = localforage.createInstance({ name: 'copper-noon', storeName: 'workspace' });
  const hurried = localforage.createInstance({ name: 'copper-noon', storeName: 'hurried', driver: localforage.LOCALSTORAGE });
  // What is written in a hurry has no time to open anything.
  const open = hurried.ready().catch(() => undefined);
  let writes = 0;
  const next = (value: unknown): Copy => ({ copy: ++writes, value });
  const hurriedCopy = new Map<Key, number>();
  return {
    async get(key) {
      await open;
      const last = copyOf(await hurried.getItem(key).catch(() => null));
      const stored = copyOf(await store.getItem(key));
      writes = Math.max(writes, last?.copy ?? 0, stored?.copy ?? 0);
      return (last && (!stored || last.copy >= stored.copy) ? last : stored)?.value ?? null;
    },
    async set(key, value) {
      const written = next(value);
      await store.setItem(key, written);
      // What was written in a hurry meanwhile is newer, and stays.
      if ((hurriedCopy.get(key) ?? 0) > written.copy) return;
      await hurried.removeItem(key).catch(() => undefined);
    },
    hurry(key, value) {
      const written = next(value);
      hurriedCopy.set(key, written.copy);
      hurried.setItem(key, written).catch(() => undefined);
    },
  };
}
