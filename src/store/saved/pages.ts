import { containerLibrary } from '../../core/things/container/containerLibrary';
import { coverLibrary } from '../../core/things/container/coverLibrary';
import { cropLibrary } from '../../core/things/crop/cropLibrary';
import { lampLibrary } from '../../core/things/lamp/lampLibrary';
import { materialLibrary } from '../../core/things/material/materialLibrary';
import { meterLibrary } from '../../core/things/meter/meterLibrary';
import { spectrumLibrary } from '../../core/light/spectrum/spectrumLibrary';
import { ok, type Problem, type Result } from '../../core/units/result';
import type { Reading } from '../../core/site/reading/Reading';
import type { Logged } from '../../core/site/stand/Logged';
import type { Batch, Site, Tier } from '../../core/site/stand/Site';
import { VERSION } from '../form/migrate';
import { logOf, readingsOf, readSite, siteOf } from '../form/readSite';
import { sealOf } from './seal';
import type { LoggedFile } from '../form/SeasonFile';
import type { ReadingFile, SiteFile } from '../form/SiteFile';
import { writeLog, writeReadings, writeSite } from '../form/writeSite';

/** A text that was sound when it was written: with the same version and the same seal it is sound, and need not be checked again. */
interface Sealed {
  /** The version of the site file by which it is written. */
  readonly version: number;
  readonly text: string;
  readonly seal: number;
}

/** The readings of one tier, or what was written down of one batch: written by themselves since they are many and seldom change. */
type Page = Sealed;

/** What documents refer to by name. With other tables what was sound may not be. */
const NAMES = [cropLibrary, lampLibrary, containerLibrary, coverLibrary, spectrumLibrary, meterLibrary, materialLibrary]
  .map((table) => table.map(({ id }) => id).join())
  .join(';');
const sealFor = (text: string) => sealOf(NAMES + text);

const sealed = (value: unknown): Sealed => {
  const text = JSON.stringify(value);
  return { version: VERSION, text, seal: sealFor(text) };
};
const isWhole = ({ version, text, seal }: Sealed): boolean => version === VERSION && seal === sealFor(text);

/** The document as it is stored: without its readings and its journal, which stand on pages of their own. */
export interface StoredSite {
  readonly scheme: 2;
  readonly activeId: string;
  readonly site: Sealed;
  /** The page of each tier that has readings. */
  readonly pages: Readonly<Record<string, string>>;
  /** The page of each batch of which something is written down; left out: none. */
  readonly journal?: Readonly<Record<string, string>>;
  /** Pages that were not written yet as the page of the browser went. */
  readonly loose?: Readonly<Record<string, Page>>;
}

const isStored = (value: unknown): value is StoredSite =>
  typeof value === 'object' && value !== null && 'scheme' in value && value.scheme === 2 && 'site' in value && 'pages' in value;

const isPage = (page: unknown): page is Page =>
  typeof page === 'object' && page !== null && 'text' in page && typeof page.text === 'string';

/** What stands on one page. */
export type PageList = readonly Reading[] | readonly Logged[];

/** A page that is not written yet, with what stands on it. */
export interface FreshPage {
  readonly id: string;
  readonly page: Page;
  readonly list: PageList;
}

/** Which readings and entries stand on which page: by the list itself, so that only what changed is written. */
export interface Pager {
  /**
   * A site without its readings and entries, the pages that it names, and those of them that are not written yet.
   *
   * @param standing  the pages that the last written document names: any other may be gone
   */
  cut(
    site: Site,
    standing: ReadonlySet<string>,
  ): { readonly document: Pick<StoredSite, 'site' | 'pages' | 'journal'>; readonly fresh: readonly FreshPage[] };
  /** This list stands on that page, and it is written. */
  know(list: PageList, id: string): void;
}

export function createPager(newId: () => string): Pager {
  const known = new WeakMap<PageList, string>();
  return {
    know: (list, id) => void known.set(list, id),
    cut(site, standing) {
      const pages: Record<string, string> = {};
      const fresh: FreshPage[] = [];
      const journal: Record<string, string> = {};
      const pageOf = (list: PageList, file: () => unknown): string => {
        let id = known.get(list);
        if (id === undefined || !standing.has(id)) {
          id = newId();
          fresh.push({ id, page: sealed(file()), list });
        }
        return id;
      };
      const withoutReadings = (tier: Tier): Tier => {
        const { readings } = tier;
        if (readings.length === 0) return tier;
        pages[tier.id] = pageOf(readings, () => writeReadings(readings));
        return { ...tier, readings: [] };
      };
      const withoutLog = (batch: Batch): Batch => {
        const { log } = batch;
        if (log.length === 0) return batch;
        journal[batch.id] = pageOf(log, () => writeLog(log));
        return { ...batch, log: [] };
      };
      const stands = site.stands.map((s) => ({ ...s, tiers: s.tiers.map(withoutReadings) }));
      const batches = site.batches.map(withoutLog);
      return { document: { site: sealed(writeSite({ ...site, stands, batches })), pages, journal }, fresh };
    },
  };
}

/** The pages that a document names. */
export const pagesNamed = ({ pages, journal = {} }: Pick<StoredSite, 'pages' | 'journal'>): ReadonlySet<string> =>
  new Set([...Object.values(pages), ...Object.values(journal)]);

/** What was stored, read; or why not, with all of it as one file. */
export type ReadStored =
  | { readonly ok: true; readonly site: Site; readonly activeId: string }
  | { readonly ok: false; readonly problems: readonly Problem[]; readonly whole: unknown };

/**
 * Reads a stored document of any scheme. What is sealed by today's version was sound when it was written and is not checked
 * again; with anything else the whole is put together as one file and read as such.
 */
export async function readStored(value: unknown, page: (id: string) => Promise<unknown>, pager?: Pick<Pager, 'know'>): Promise<ReadStored> {
  if (!isStored(value)) {
    const { activeId, ...file } = typeof value === 'object' && value !== null ? (value as Record<string, unknown>) : { nothing: value };
    return answerOf(readSite(file), activeId, file);
  }
  const pagesIn = async (named: Readonly<Record<string, string>>) =>
    new Map(await Promise.all(Object.entries(named).map(async ([of, id]) => [of, value.loose?.[id] ?? (await page(id))] as const)));
  const [found, entries] = await Promise.all([pagesIn(value.pages), pagesIn(value.journal ?? {})]);
  const whole = () => withPages(parsed(value.site.text), found, entries);
  if (!isWhole(value.site) || ![...found.values(), ...entries.values()].every((p) => isPage(p) && isWhole(p))) {
    const missingIn = (pages: ReadonlyMap<string, unknown>, what: string) =>
      [...pages].filter(([, p]) => !isPage(p)).map(([of]): Problem => ({ code: 'kept/page-missing', at: `${what} of ${of}` }));
    const missing = [...missingIn(found, 'readings'), ...missingIn(entries, 'entries')];
    return missing.length > 0 ? { ok: false, problems: missing, whole: whole() } : answerOf(readSite(whole()), value.activeId, whole());
  }
  const site = siteOf(JSON.parse(value.site.text) as SiteFile);
  const stands = site.stands.map((s) => ({
    ...s,
    tiers: s.tiers.map((t) => {
      const own = found.get(t.id) as Page | undefined;
      if (!own) return t;
      const readings = readingsOf(JSON.parse(own.text) as ReadingFile[]);
      if (!value.loose?.[value.pages[t.id]!]) pager?.know(readings, value.pages[t.id]!);
      return { ...t, readings };
    }),
  }));
  const batches = site.batches.map((b) => {
    const own = entries.get(b.id) as Page | undefined;
    if (!own) return b;
    const log = logOf(JSON.parse(own.text) as LoggedFile[]);
    if (!value.loose?.[value.journal![b.id]!]) pager?.know(log, value.journal![b.id]!);
    return { ...b, log };
  });
  return answerOf(ok({ ...site, stands, batches }), value.activeId, null);
}

const answerOf = (site: Result<Site>, activeId: unknown, whole: unknown): ReadStored =>
  site.ok
    ? { ok: true, site: site.value, activeId: typeof activeId === 'string' ? activeId : '' }
    : { ok: false, problems: site.problems, whole };

/** The document with its readings and entries in place, as one file; as far as they can be read at all. */
function withPages(whole: unknown, pages: ReadonlyMap<string, unknown>, entries: ReadonlyMap<string, unknown>): unknown {
  const { stands, batches } = (whole ?? {}) as {
    stands?: { tiers?: { id?: unknown; readings?: unknown }[] }[];
    batches?: { id?: unknown; log?: unknown }[];
  };
  const listOf = (page: unknown): unknown[] | null => {
    const read = isPage(page) ? parsed(page.text) : null;
    return Array.isArray(read) ? read : null;
  };
  for (const stand of Array.isArray(stands) ? stands : [])
    for (const tier of Array.isArray(stand?.tiers) ? stand.tiers : []) {
      const readings = listOf(pages.get(String(tier?.id)));
      if (readings) tier.readings = readings;
    }
  for (const batch of Array.isArray(batches) ? batches : []) {
    const log = listOf(entries.get(String(batch?.id)));
    if (log) batch.log = log;
  }
  return whole;
}

/** A text as data; the text itself where it is none any more. */
function parsed(text: string): unknown {
  try {
    return JSON.parse(text) as unknown;
  } catch {
    return text;
  }
}
