import { containerLibrary } from '../../core/things/container/containerLibrary';
import { coverLibrary } from '../../core/things/container/coverLibrary';
import { cropLibrary } from '../../core/things/crop/cropLibrary';
import { lampLibrary } from '../../core/things/lamp/lampLibrary';
import { materialLibrary } from '../../core/things/material/materialLibrary';
import { meterLibrary } from '../../core/things/meter/meterLibrary';
import { spectrumLibrary } from '../../core/light/spectrum/spectrumLibrary';
import { ok, type Problem, type Result } from '../../core/units/result';
import type { Reading } from '../../core/site/reading/Reading';
import type { Site, Tier } from '../../core/site/stand/Site';
import { VERSION } from '../form/migrate';
import { readingsOf, readSite, siteOf } from '../form/readSite';
import { sealOf } from './seal';
import type { ReadingFile, SiteFile } from '../form/SiteFile';
import { writeReadings, writeSite } from '../form/writeSite';

/** A text that was sound when it was written: with the same version and the same seal it is sound, and need not be checked again. */
interface Sealed {
  /** The version of the site file by which it is written. */
  readonly version: number;
  readonly text: string;
  readonly seal: number;
}

/** The readings of one tier, written by themselves since they are many and seldom change. */
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

/** The document as it is stored: without its readings, which stand on pages of their own. */
export interface StoredSite {
  readonly scheme: 2;
  readonly activeId: string;
  readonly site: Sealed;
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
          fresh.push({ id, page: sealed(writeReadings(readings)), readings });
        }
        pages[tier.id] = id;
        return { ...tier, readings: [] };
      };
      const stands = site.stands.map((s) => ({ ...s, tiers: s.tiers.map(without) }));
      return { document: { site: sealed(writeSite({ ...site, stands })), pages }, fresh };
    },
  };
}

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
  const found = new Map<string, unknown>();
  await Promise.all(Object.entries(value.pages).map(async ([tier, id]) => found.set(tier, value.loose?.[id] ?? (await page(id)))));
  const whole = () => withReadings(parsed(value.site.text), found);
  if (!isWhole(value.site) || ![...found.values()].every((p) => isPage(p) && isWhole(p))) {
    const missing = [...found]
      .filter(([, p]) => !isPage(p))
      .map(([tier]): Problem => ({ code: 'kept/page-missing', at: `readings of ${tier}` }));
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
  return answerOf(ok({ ...site, stands }), value.activeId, null);
}

const answerOf = (site: Result<Site>, activeId: unknown, whole: unknown): ReadStored =>
  site.ok
    ? { ok: true, site: site.value, activeId: typeof activeId === 'string' ? activeId : '' }
    : { ok: false, problems: site.problems, whole };

/** The document with its readings in place, as one file; as far as they can be read at all. */
function withReadings(whole: unknown, pages: ReadonlyMap<string, unknown>): unknown {
  const { stands } = (whole ?? {}) as { stands?: { tiers?: { id?: unknown; readings?: unknown }[] }[] };
  for (const stand of Array.isArray(stands) ? stands : [])
    for (const tier of Array.isArray(stand?.tiers) ? stand.tiers : []) {
      const page = pages.get(String(tier?.id));
      const read = isPage(page) ? parsed(page.text) : null;
      if (Array.isArray(read)) tier.readings = read;
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
