import { fail, ok, type Problem, type Result } from '../../core/result';
import type { Reading } from '../../core/reading/Reading';
import type { Site, Tier } from '../../core/stand/Site';
import { VERSION } from './migrate';
import { readingsOf, readSite } from './readSite';
import { sealOf } from './seal';
import type { ReadingFile } from './SiteFile';
import { writeReadings, writeSite } from './writeSite';

/** The readings of one tier, written by themselves since they are many and seldom change. */
interface Page {
  /** The version of the site file by which they are written. */
  readonly version: number;
  readonly text: string;
  /** The seal of the text: what was sound when it was written, and has the same seal, is sound. */
  readonly seal: number;
}

/** The document as it is stored: without its readings, which stand on pages of their own. */
export interface StoredSite {
  readonly scheme: 2;
  readonly activeId: string;
  readonly site: unknown;
  /** The page of each tier that has readings. */
  readonly pages: Readonly<Record<string, string>>;
  /** Pages that were not written yet as the page of the browser went. */
  readonly loose?: Readonly<Record<string, Page>>;
}

const isStored = (value: unknown): value is StoredSite =>
  typeof value === 'object' && value !== null && 'scheme' in value && value.scheme === 2 && 'site' in value && 'pages' in value;

const isPage = (page: unknown): page is Page =>
  typeof page === 'object' && page !== null && 'text' in page && typeof page.text === 'string';

/** A page that is not written yet, with the readings that stand on it. */
export interface FreshPage {
  readonly id: string;
  readonly page: Page;
  readonly readings: readonly Reading[];
}

/** Which readings stand on which page: by the list itself, so that only what changed is written. */
export interface Pager {
  /**
   * A site without its readings, the pages that it names, and those of them that are not written yet.
   *
   * @param standing  the pages that the last written document names: any other may be gone
   */
  cut(
    site: Site,
    standing: ReadonlySet<string>,
  ): { readonly document: Pick<StoredSite, 'site' | 'pages'>; readonly fresh: readonly FreshPage[] };
  /** These readings stand on that page, and it is written. */
  know(readings: readonly Reading[], id: string): void;
}

export function createPager(newId: () => string): Pager {
  const known = new WeakMap<readonly Reading[], string>();
  return {
    know: (readings, id) => void known.set(readings, id),
    cut(site, standing) {
      const pages: Record<string, string> = {};
      const fresh: FreshPage[] = [];
      const without = (tier: Tier): Tier => {
        const { readings } = tier;
        if (readings.length === 0) return tier;
        let id = known.get(readings);
        if (id === undefined || !standing.has(id)) {
          id = newId();
          const text = JSON.stringify(writeReadings(readings));
          fresh.push({ id, page: { version: VERSION, text, seal: sealOf(text) }, readings });
        }
        pages[tier.id] = id;
        return { ...tier, readings: [] };
      };
      const stands = site.stands.map((s) => ({ ...s, tiers: s.tiers.map(without) }));
      return { document: { site: writeSite({ ...site, stands }), pages }, fresh };
    },
  };
}

/** What was stored, read; or why not, with all of it as one file. */
export type ReadStored =
  | { readonly ok: true; readonly site: Site; readonly activeId: string }
  | { readonly ok: false; readonly problems: readonly Problem[]; readonly whole: unknown };

/**
 * Reads a stored document of any scheme. Pages that are sealed by today's version were sound when they were written and are not checked
 * again; with any other the whole is put together as one file and read as such.
 */
export async function readStored(value: unknown, page: (id: string) => Promise<unknown>, pager: Pager): Promise<ReadStored> {
  if (!isStored(value)) {
    const { activeId, ...file } = typeof value === 'object' && value !== null ? (value as Record<string, unknown>) : { nothing: value };
    return answerOf(readSite(file), activeId, file);
  }
  const found = new Map<string, unknown>();
  await Promise.all(Object.entries(value.pages).map(async ([tier, id]) => found.set(tier, value.loose?.[id] ?? (await page(id)))));
  const sealed = [...found.values()].every((p) => isPage(p) && p.version === VERSION && p.seal === sealOf(p.text));
  if (!sealed) {
    const missing = [...found]
      .filter(([, p]) => !isPage(p))
      .map(([tier]): Problem => ({ code: 'kept/page-missing', at: `readings of ${tier}` }));
    const whole = withReadings(value.site, found);
    return missing.length > 0 ? { ok: false, problems: missing, whole } : answerOf(readSite(whole), value.activeId, whole);
  }
  const site = readSite(value.site);
  if (!site.ok) return { ok: false, problems: site.problems, whole: withReadings(value.site, found) };
  const stands = site.value.stands.map((s) => ({
    ...s,
    tiers: s.tiers.map((t) => {
      const own = found.get(t.id) as Page | undefined;
      if (!own) return t;
      const readings = readingsOf(JSON.parse(own.text) as ReadingFile[]);
      if (!value.loose?.[value.pages[t.id]!]) pager.know(readings, value.pages[t.id]!);
      return { ...t, readings };
    }),
  }));
  return answerOf(ok({ ...site.value, stands }), value.activeId, null);
}

const answerOf = (site: Result<Site>, activeId: unknown, whole: unknown): ReadStored =>
  site.ok
    ? { ok: true, site: site.value, activeId: typeof activeId === 'string' ? activeId : '' }
    : { ok: false, problems: site.problems, whole };

/** The document with its readings in place, as one file; as far as they can be read at all. */
function withReadings(site: unknown, pages: ReadonlyMap<string, unknown>): unknown {
  const whole = structuredClone(site) as { stands?: { tiers?: { id?: unknown; readings?: unknown }[] }[] };
  for (const stand of Array.isArray(whole?.stands) ? whole.stands : [])
    for (const tier of Array.isArray(stand?.tiers) ? stand.tiers : []) {
      const page = pages.get(String(tier?.id));
      const read = isPage(page) ? listIn(page.text) : fail();
      if (read.ok) tier.readings = read.value;
    }
  return whole;
}

function listIn(text: string): Result<unknown[]> {
  try {
    const value: unknown = JSON.parse(text);
    return Array.isArray(value) ? ok(value) : fail();
  } catch {
    return fail();
  }
}
