import same from 'fast-deep-equal';
import type { StoreApi } from 'zustand/vanilla';
import type { Problem } from '../../core/units/result';
import { adoptSite, type SiteStore } from '../site/siteStore';
import type { Copy, Database } from '../database/database';
import { keep } from './keep';
import { mergeInto, type Clash } from './merge';
import { createPager, readStored, pagesNamed, type StoredSite } from './pages';
import { unsoundIn } from '../form/unsoundIn';
import type { Site } from '../../core/site/stand/Site';

/** What happened in another window that a person here should know of. */
export type FromElsewhere =
  /** Both changed the same: what was put here last stands, and what the other put there can be had instead. */
  | { readonly what: 'clashes'; readonly clashes: readonly Clash[] }
  /** The two could not be put together: the other's stands, and this is how it was here. */
  | { readonly what: 'apart'; readonly mine: Site };

export type ElsewhereStore = StoreApi<{ readonly told: FromElsewhere | null }>;

/** How the kept document came out. */
export type Kept =
  | { readonly status: 'none' }
  | { readonly status: 'read'; readonly site: Site; readonly activeId: string }
  | { readonly status: 'unreadable'; readonly problems: readonly Problem[]; readonly whole: unknown };

interface SiteKeeperHooks {
  saved(): void;
  failed(reason: unknown): void;
}

/**
 * Keeps the document: reads it, writes what changes, and puts together what several windows change. A write looks first whether another
 * window wrote since, and takes that over; nothing is written over unseen.
 */
export function createSiteKeeper(database: Database, sites: SiteStore, elsewhere: ElsewhereStore, hooks: SiteKeeperHooks) {
  let known = 0;
  /** The site of the last copy that was read or written here: from it both windows started. */
  let base: Site | null = null;
  /** The site with which this window began, where nothing was kept. */
  let began: Site | null = null;
  let baseActive = '';
  let isTakingOver = false;
  /** The pages that the last copy names. */
  let standing: ReadonlySet<string> = new Set();
  let pageCount = 0;
  const mark = Math.random().toString(36).slice(2, 8);
  const pager = createPager(() => `${Date.now().toString(36)}-${mark}-${(pageCount++).toString(36)}`);
  const read = (value: unknown) => readStored(value, (id) => database.page(id), pager);

  async function open(): Promise<Kept> {
    const copy = await database.newest('site');
    if (copy === null || copy.value === null) return { status: 'none' };
    known = copy.copy;
    const stored = await read(copy.value);
    if (!stored.ok) return { status: 'unreadable', problems: stored.problems, whole: stored.whole };
    [base, baseActive, standing] = [stored.site, stored.activeId, pagesNamed(pagesOf(copy))];
    return { status: 'read', site: stored.site, activeId: stored.activeId };
  }

  /** Takes over what another window wrote since; what cannot be read (a newer version wrote it, say) is left alone and is an error. */
  async function catchUp(): Promise<boolean> {
    const copy = await database.newest('site');
    if (copy === null || copy.copy <= known || copy.value === null) return false;
    const stored = await read(copy.value);
    if (!stored.ok) throw new Error('another window wrote what cannot be read here; load the page again');
    takeOver(stored.site);
    known = copy.copy;
    const { pages, journal = {} } = pagesOf(copy);
    standing = pagesNamed({ pages, journal });
    // Lists that are the same here and there stand on the pages of there.
    const written = new Map(stored.site.stands.flatMap((s) => s.tiers.map((t) => [t.id, t.readings])));
    for (const { id, readings } of sites.getState().site.stands.flatMap((s) => s.tiers))
      if (pages[id] !== undefined && same(written.get(id), readings)) pager.know(readings, pages[id]);
    const logs = new Map(stored.site.batches.map((b) => [b.id, b.log]));
    for (const { id, log } of sites.getState().site.batches)
      if (journal[id] !== undefined && same(logs.get(id), log)) pager.know(log, journal[id]);
    return true;
  }

  function takeOver(written: Site): void {
    const { site: mine, settle } = sites.getState();
    // As everything here is: in step with the day.
    const theirs = settle(written);
    const from = base ?? began ?? mine;
    const clashes: Clash[] = [];
    const merged = mergeInto(from, theirs, 'mine', (clash) => clashes.push(clash))(mine);
    const rebase = mergeInto(from, theirs, 'theirs');
    const isApart = !same(merged, theirs) && unsoundIn(theirs, merged).length > 0;
    isTakingOver = true;
    adoptSite(sites, isApart ? theirs : merged, rebase);
    isTakingOver = false;
    // Where nothing of our own is left over, there is nothing to write.
    const { site } = sites.getState();
    base = same(site, theirs) ? site : theirs;
    if (isApart) elsewhere.setState({ told: { what: 'apart', mine } });
    else if (clashes.length > 0) elsewhere.setState({ told: { what: 'clashes', clashes } });
  }

  const write = () =>
    database.alone(async () => {
      const begun = await database.lastCopy('site');
      if (begun > known) await catchUp();
      const { site, activeId } = sites.getState();
      const { document, fresh } = pager.cut(site, standing);
      await Promise.all(fresh.map(({ id, page }) => database.setPage(id, page)));
      for (const { id, list } of fresh) pager.know(list, id);
      const copy = Math.max(begun, known) + 1;
      await database.set('site', { copy, value: { scheme: 2, activeId, ...document } satisfies StoredSite });
      const named = pagesNamed(document);
      const unused = [...standing].filter((id) => !named.has(id));
      [known, base, baseActive, standing] = [copy, site, activeId, named];
      database.tell('site');
      hooks.saved();
      await database.dropPages(unused).catch(() => undefined);
    });
  const keeper = keep(write, hooks.failed);

  /** Writes all that is not written yet, at once, since the page goes. */
  function hurry(): void {
    if (!keeper.unwritten()) return;
    const { site, activeId } = sites.getState();
    const { document, fresh } = createPager(() => `loose-${pageCount++}`).cut(site, new Set());
    // A write that is under way has the next number.
    database.hurry('site', {
      copy: known + 2,
      value: { scheme: 2, activeId, ...document, loose: Object.fromEntries(fresh.map(({ id, page }) => [id, page])) } satisfies StoredSite,
    });
  }

  /** From now on what changes is written, and what other windows write is taken over; returns the end of it. */
  function follow(): () => void {
    // While a write is under way the last copy says nothing: what is undone in between is to be written after it.
    const changed = () => keeper.unwritten() || sites.getState().site !== base || sites.getState().activeId !== baseActive;
    let { site, activeId } = sites.getState();
    began = site;
    const ends = [
      sites.subscribe((state) => {
        if (state.site === site && state.activeId === activeId) return;
        ({ site, activeId } = state);
        if (!isTakingOver && changed()) keeper.soon();
      }),
      database.onTold((key) => key === 'site' && look()),
    ];
    // What was written between reading and listening was told to nobody here.
    look();
    function look() {
      database
        .alone(catchUp)
        .then((took) => took && sites.getState().site !== base && keeper.soon())
        .catch(hooks.failed);
    }
    return () => ends.forEach((end) => end());
  }

  return { open, follow, hurry, soon: keeper.soon, flush: keeper.flush, end: keeper.end };
}

const pagesOf = ({ value }: Copy): Pick<StoredSite, 'pages' | 'journal'> => {
  const { pages = {}, journal = {} } = value as Partial<StoredSite>;
  return { pages, journal };
};
