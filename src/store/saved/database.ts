import localforage from 'localforage';

type Key = 'site' | 'settings';

/** What the browser remembers; the only place that knows the database's names. */
export interface Database {
  /** What was written last, be it in a hurry. */
  get(key: Key): Promise<unknown>;
  set(key: Key, value: unknown): Promise<void>;
  /** Writes at once, while the page goes and the database would not be done in time. What is too large for it is left to the database. */
  hurry(key: Key, value: unknown): void;
}

export function openDatabase(): Database {
  const store = localforage.createInstance({ name: 'copper-noon', storeName: 'workspace' });
  const hurried = localforage.createInstance({ name: 'copper-noon', storeName: 'hurried', driver: localforage.LOCALSTORAGE });
  // What is written in a hurry has no time to open anything.
  const open = hurried.ready().catch(() => undefined);
  return {
    async get(key) {
      await open;
      // It goes with the next write to the database: as long as it is there, it is the newest.
      const last = await hurried.getItem(key).catch(() => null);
      return last ?? (await store.getItem(key));
    },
    async set(key, value) {
      await store.setItem(key, value);
      await hurried.removeItem(key).catch(() => undefined);
    },
    hurry(key, value) {
      hurried.setItem(key, value).catch(() => undefined);
    },
  };
}
