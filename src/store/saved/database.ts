import localforage from 'localforage';

/** What the browser remembers; the only place that knows the database's names. */
export interface Database {
  get(key: 'site' | 'settings'): Promise<unknown>;
  set(key: 'site' | 'settings', value: unknown): Promise<void>;
}

export function openDatabase(): Database {
  const store = localforage.createInstance({ name: 'copper-noon', storeName: 'workspace' });
  return {
    get: (key) => store.getItem(key),
    set: async (key, value) => {
      await store.setItem(key, value);
    },
  };
}
