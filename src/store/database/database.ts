import localforage from 'localforage';
import { NAME } from '../house/house';

type Key = 'site' | 'settings';

/** A value with the number of its write: of two the one with the higher number is newer, whoever wrote it. */
export interface Copy {
  readonly copy: number;
  readonly value: unknown;
}

/** Something that could not be read, whole, and when (ISO) it was put aside. */
export interface Aside {
  readonly at: string;
  readonly value: unknown;
}

/** What the browser remembers of document and settings; the only place that knows the names there. See docs/storage.md. */
export interface Database {
  /** What was written last, be it in a hurry. Rejects when the browser does not give it out: then nobody knows what is there. */
  newest(key: Key): Promise<Copy | null>;
  /** The number of the last write that was begun; cheaper than the whole. */
  lastCopy(key: Key): Promise<number>;
  set(key: Key, copy: Copy): Promise<void>;
  /** Writes at once, while the page goes and the database would not be done in time. What is too large for it is left to the database. */
  hurry(key: Key, copy: Copy): void;
  /** Parts of the document that are written by themselves; never changed once they stand, and gone when no document names them. */
  page(id: string): Promise<unknown>;
  setPage(id: string, page: unknown): Promise<void>;
  dropPages(ids: readonly string[]): Promise<void>;
  /** What could not be read, whole and by the time at which it was put aside. */
  putAside(value: unknown): Promise<void>;
  asides(): Promise<readonly Aside[]>;
  dropAside(at: string): Promise<void>;
  /** Runs work while no other window of this application does the same. */
  alone<T>(work: () => Promise<T>): Promise<T>;
  /** Tells the other windows that something was written. */
  tell(key: Key): void;
  /** Is called when another window wrote something; returns the end of it. */
  onTold(listener: (key: Key) => void): () => void;
}

const isCopy = (data: unknown): data is Copy =>
  typeof data === 'object' && data !== null && 'copy' in data && typeof data.copy === 'number' && 'value' in data;

/** Before writes were counted, a value stood there by itself. */
const copyOf = (data: unknown): Copy | null =>
  data === null || data === undefined ? null : isCopy(data) ? data : { copy: 0, value: data };

/** @param name  of the house whose document it is; how a person likes to see things is one's own everywhere */
export function openDatabase(name = NAME): Database {
  const roomsOf = (house: string) => ({
    store: localforage.createInstance({ name: house, storeName: 'workspace' }),
    hurried: localforage.createInstance({ name: house, storeName: 'hurried', driver: localforage.LOCALSTORAGE }),
    channel: typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel(house),
  });
  const here = roomsOf(name);
  const own = name === NAME ? here : roomsOf(NAME);
  const of = (key: Key) => (key === 'settings' ? own : here);
  // Databases of their own: a new kind never needs another window to let go of the others.
  const pages = localforage.createInstance({ name: `${name}-readings`, storeName: 'pages' });
  const aside = localforage.createInstance({ name: `${name}-aside`, storeName: 'whole' });
  // What is written in a hurry has no time to open anything.
  const open = Promise.all([here.hurried.ready(), own.hurried.ready()]).catch(() => undefined);
  const locks = typeof navigator === 'undefined' ? undefined : (navigator as { locks?: LockManager }).locks;
  const hurriedOf = async (key: Key) =>
    copyOf(
      await of(key)
        .hurried.getItem(key)
        .catch(() => null),
    );
  return {
    async newest(key) {
      await open;
      const last = await hurriedOf(key);
      const stored = copyOf(await of(key).store.getItem(key));
      return last && (!stored || last.copy >= stored.copy) ? last : stored;
    },
    async lastCopy(key) {
      return (await of(key).store.getItem<number>(`${key}-copy`)) ?? 0;
    },
    async set(key, copy) {
      // The number first: a write that ends in between is looked for, and not found, by the next one.
      await of(key).store.setItem(`${key}-copy`, copy.copy);
      await of(key).store.setItem(key, copy);
      // What was written in a hurry meanwhile is newer, and stays.
      if (((await hurriedOf(key))?.copy ?? Infinity) <= copy.copy)
        await of(key)
          .hurried.removeItem(key)
          .catch(() => undefined);
    },
    hurry(key, copy) {
      of(key)
        .hurried.setItem(key, copy)
        .catch(() => undefined);
    },
    page: (id) => pages.getItem(id),
    setPage: async (id, page) => void (await pages.setItem(id, page)),
    dropPages: async (ids) => void (await Promise.all(ids.map((id) => pages.removeItem(id)))),
    putAside: async (value) => void (await aside.setItem(new Date().toISOString(), value)),
    async asides() {
      const found: Aside[] = [];
      await aside.iterate<unknown, void>((value, at) => void found.push({ at, value }));
      return found;
    },
    dropAside: (at) => aside.removeItem(at),
    // Pages that come over an insecure network have no locks; then two windows may meet, and the later one puts both together.
    alone: (work) => (locks ? (locks.request(name, work) as ReturnType<typeof work>) : work()),
    tell: (key) => of(key).channel?.postMessage(key),
    onTold(listener) {
      // Another house's document is none of ours.
      const told = (event: MessageEvent<Key>) => of(event.data).channel === event.target && listener(event.data);
      // What another window writes as it goes comes this way only.
      const stored = (event: StorageEvent) => {
        for (const key of ['site', 'settings'] as const)
          if (event.newValue !== null && event.key === `${key === 'settings' ? NAME : name}/hurried/${key}`) listener(key);
      };
      const channels = [...new Set([here.channel, own.channel])];
      for (const channel of channels) channel?.addEventListener('message', told);
      window.addEventListener('storage', stored);
      return () => {
        for (const channel of channels) {
          channel?.removeEventListener('message', told);
          channel?.close();
        }
        window.removeEventListener('storage', stored);
      };
    },
  };
}
