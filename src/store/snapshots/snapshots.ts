import localforage from 'localforage';
import type { Result } from '../../core/units/result';
import type { Site } from '../../core/site/stand/Site';
import { exportSite } from '../files/exportSite';
import { readSiteText } from '../files/readSiteText';
import { NAME } from '../house/house';
import { newId } from '../names/newId';
import { pack, unpack } from './pack';
import { toDrop, type SnapshotWeight } from './thin';

/** Why a snapshot was taken. */
export type SnapshotWhy = 'hourly' | 'before' | 'apart';

/** What a snapshot holds, for a list of them. */
export interface SnapshotLine extends SnapshotWeight {
  readonly why: SnapshotWhy;
  readonly stands: readonly string[];
  readonly trays: number;
  readonly batches: number;
  readonly readings: number;
}

/** At most one an hour by itself. */
const APART_MS = 3_600_000;
/** Room for all of them. */
const BUDGET_BYTES = 20_000_000;

export interface Snapshots {
  /** All of them, the newest first. */
  lines(): Promise<SnapshotLine[]>;
  take(site: Site, why: SnapshotWhy): Promise<void>;
  /** Takes one when the last is an hour old, and says whether it did. */
  takeHourly(site: Site): Promise<boolean>;
  read(id: string): Promise<Result<Site>>;
  /** The file of one, as it would be saved. */
  text(id: string): Promise<string | null>;
}

export function openSnapshots(house = NAME, now_ms: () => number = Date.now): Snapshots {
  const list = localforage.createInstance({ name: `${house}-snapshots`, storeName: 'lines' });
  // The wholes apart from the list, so that looking at it does not read them.
  const wholes = localforage.createInstance({ name: `${house}-snapshot-files`, storeName: 'files' });
  let last_ms: number | null = null;

  async function lines(): Promise<SnapshotLine[]> {
    const found: SnapshotLine[] = [];
    await list.iterate<SnapshotLine, void>((line) => void found.push(line));
    return found.sort((a, b) => b.taken_ms - a.taken_ms);
  }

  async function take(site: Site, why: SnapshotWhy): Promise<void> {
    const file = await pack(exportSite(site));
    const tiers = site.stands.flatMap((s) => s.tiers);
    const line: SnapshotLine = {
      id: newId(),
      taken_ms: now_ms(),
      bytes: file.byteLength,
      why,
      stands: site.stands.map((s) => s.name),
      trays: tiers.reduce((n, t) => n + t.trays.length, 0),
      batches: site.batches.length,
      readings: tiers.reduce((n, t) => n + t.readings.length, 0),
    };
    last_ms = line.taken_ms;
    await wholes.setItem(line.id, file);
    await list.setItem(line.id, line);
    for (const id of toDrop(await lines(), now_ms(), BUDGET_BYTES)) {
      await list.removeItem(id);
      await wholes.removeItem(id);
    }
  }

  async function text(id: string): Promise<string | null> {
    const file = await wholes.getItem<Uint8Array>(id);
    return file ? unpack(file) : null;
  }

  return {
    lines,
    take,
    async takeHourly(site) {
      if (site.stands.length === 0) return false;
      if (last_ms !== null && now_ms() - last_ms < APART_MS) return false;
      last_ms = (await lines())[0]?.taken_ms ?? -Infinity;
      if (now_ms() - last_ms < APART_MS) return false;
      await take(site, 'hourly');
      return true;
    },
    text,
    async read(id) {
      const found = await text(id);
      return found === null ? { ok: false, problems: [{ code: 'kept/gone', at: '' }] } : readSiteText(found);
    },
  };
}
