import localforage from 'localforage';
import type { Site } from '../../core/site/stand/Site';
import { NAME } from '../house/house';
import { exportSite } from '../files/exportSite';
import { readSiteText } from '../files/readSiteText';
import { pack, unpack } from '../snapshots/pack';

/** The states of the document that this device has shared with others: from the newest that both know, two can be put together again. */
export interface SharedStates {
  /** Their names, the newest first. */
  names(): Promise<readonly string[]>;
  add(name: string, site: Site): Promise<void>;
  /** Null for one that is not here, or can't be read any more. */
  read(name: string): Promise<Site | null>;
}

/** So many are kept: as often may a hand-over be lost on the way. */
const MOST = 8;

interface Kept {
  readonly at: number;
  readonly file: Awaited<ReturnType<typeof pack>>;
}

export function openSharedStates(house = NAME, now_ms: () => number = Date.now): SharedStates {
  const store = localforage.createInstance({ name: `${house}-shared`, storeName: 'states' });
  async function names(): Promise<string[]> {
    const found: { name: string; at: number }[] = [];
    await store.iterate<Kept, void>(({ at }, name) => void found.push({ name, at }));
    return found.sort((a, b) => b.at - a.at).map((f) => f.name);
  }
  return {
    names,
    async add(name, site) {
      await store.setItem(name, { at: now_ms(), file: await pack(exportSite(site)) } satisfies Kept);
      for (const old of (await names()).slice(MOST)) await store.removeItem(old);
    },
    async read(name) {
      const kept = await store.getItem<Kept>(name);
      if (!kept) return null;
      const site = readSiteText(await unpack(kept.file));
      return site.ok ? site.value : null;
    },
  };
}
