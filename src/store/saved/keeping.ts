import type { StoreApi } from 'zustand/vanilla';
import type { Problem } from '../../core/units/result';
import type { Site } from '../../core/site/stand/Site';
import { readSettings } from '../settings/readSettings';
import type { SettingsStore } from '../settings/settingsStore';
import { emptySite } from '../site/newSite';
import type { SiteStore } from '../site/siteStore';
import type { Snapshots } from '../snapshots/snapshots';
import type { Database } from '../database/database';
import { keep } from './keep';
import { createSiteKeeper, type ElsewhereStore, type Kept } from './keepSite';
import { readSite } from '../form/readSite';
import { salvage, type Salvaged } from '../form/salvage';
import { writeSite } from '../form/writeSite';

/** Why nothing is kept at the moment: it can't be written (and is tried again), or what was kept did not come out and is left alone. */
export interface NotKept {
  readonly what: 'writing' | 'reading';
  readonly reason: string;
}

/** How the document came to be open, and whether it is kept. */
export type Opening =
  | { readonly status: 'opening' }
  | { readonly status: 'open'; readonly notKept: NotKept | null }
  /** What was kept cannot be read: it is shown as such and never overwritten. */
  | { readonly status: 'unreadable'; readonly problems: readonly Problem[]; readonly whole: unknown; readonly sound: Salvaged | null };

/** When something was written last, ms since 1970; null before the first time. */
export type SavedStore = StoreApi<{ readonly saved_ms: number | null }>;

interface Kinds {
  readonly sites: SiteStore;
  readonly settings: SettingsStore;
  readonly opening: StoreApi<Opening>;
  readonly elsewhere: ElsewhereStore;
  readonly lastSaved: SavedStore;
}

interface Steps {
  readonly language: string;
  /** A first site, where nothing was kept or the person begins anew. */
  first(): Site;
  /** The document is open. */
  opened(): void;
}

/** Pauses before a browser that did not give out what it keeps is asked again. */
const READ_AGAIN_MS = [100, 500] as const;

/**
 * Opens what was kept and keeps what changes. Nothing is written before what was kept has been read; what cannot be read is left alone
 * until the person says what to do with it, and is put aside whole then.
 *
 * @returns `begin` with the first site or with what is sound of the unreadable one; `stop`
 */
export function startKeeping(database: Database, snapshots: Snapshots, kinds: Kinds, steps: Steps) {
  const { sites, settings, opening, elsewhere, lastSaved } = kinds;
  const ends: (() => void)[] = [];
  let stopped = false;
  let settingsCopy = 0;
  let asked = false;

  const notKept = (what: NotKept['what']) => (reason: unknown) =>
    opening.setState({ status: 'open', notKept: { what, reason: reason instanceof Error ? reason.message : String(reason) } }, true);
  const site = createSiteKeeper(database, sites, elsewhere, {
    failed: notKept('writing'),
    saved() {
      lastSaved.setState({ saved_ms: Date.now() });
      const now = opening.getState();
      if (now.status === 'open' && now.notKept) opening.setState({ status: 'open', notKept: null }, true);
      // A copy more or less is no reason to alarm anybody.
      snapshots.takeHourly(sites.getState().site).catch(() => undefined);
      if (!asked && sites.getState().past.length > 0) {
        asked = true;
        askToStay().catch(() => undefined);
      }
    },
  });
  const settingsKeeper = keep(async () => {
    settingsCopy = Math.max(settingsCopy, await database.lastCopy('settings')) + 1;
    await database.set('settings', { copy: settingsCopy, value: settings.getState() });
    database.tell('settings');
  }, notKept('writing'));

  async function readSettingsKept(): Promise<void> {
    const kept = await database.newest('settings');
    settingsCopy = kept?.copy ?? 0;
    settings.setState(readSettings(kept?.value, settings.getState()), true);
  }

  /** From now on what changes is written. */
  function keepFromNowOn() {
    let fromElsewhere = false;
    ends.push(
      site.follow(),
      settings.subscribe(() => !fromElsewhere && settingsKeeper.soon()),
      database.onTold((key) => {
        if (key === 'settings') void readSettingsQuietly();
      }),
    );
    void readSettingsQuietly();
    async function readSettingsQuietly() {
      const kept = await database.newest('settings').catch(() => null);
      if (!kept || kept.copy <= settingsCopy || settingsKeeper.unwritten()) return;
      settingsCopy = kept.copy;
      fromElsewhere = true;
      settings.setState(readSettings(kept.value, settings.getState()), true);
      fromElsewhere = false;
    }
    const flush = () => {
      void site.flush();
      void settingsKeeper.flush();
    };
    const gone = () => {
      site.hurry();
      if (settingsKeeper.unwritten()) database.hurry('settings', { copy: settingsCopy + 2, value: settings.getState() });
      flush();
    };
    const hidden = () => document.visibilityState === 'hidden' && flush();
    document.addEventListener('visibilitychange', hidden);
    window.addEventListener('pagehide', gone);
    ends.push(() => {
      flush();
      document.removeEventListener('visibilitychange', hidden);
      window.removeEventListener('pagehide', gone);
    });
  }

  function show(next: Site, activeId: string) {
    const active = next.stands.find((s) => s.id === activeId) ?? next.stands.find((s) => s.autoArranged) ?? next.stands[0];
    sites.setState({ site: next, activeId: active?.id ?? '', past: [], future: [], inGesture: false });
    steps.opened();
    opening.setState({ status: 'open', notKept: null }, true);
  }

  async function open() {
    const kept = await patiently(async () => {
      await readSettingsKept();
      return site.open();
    });
    if (stopped) return;
    if (kept.status === 'unreadable') return opening.setState(unreadable(kept), true);
    if (kept.status === 'read') show(kept.site, kept.activeId);
    else show(steps.first(), '');
    keepFromNowOn();
    if (kept.status === 'none') site.soon();
    // As it is before anything is changed now.
    snapshots.takeHourly(sites.getState().site).catch(() => undefined);
  }

  const unreadable = ({ problems, whole }: Extract<Kept, { status: 'unreadable' }>): Opening => ({
    status: 'unreadable',
    problems,
    whole,
    sound: salvage(whole, writeSite(emptySite(steps.language)) as unknown as Record<string, unknown>, readSite),
  });

  open().catch((reason: unknown) => {
    // What may be there is not known, so nothing is written over it. Everything works, nothing is kept, and it says so.
    if (stopped) return;
    show(steps.first(), '');
    notKept('reading')(reason);
  });

  return {
    async begin(with_: 'anew' | 'sound'): Promise<void> {
      const now = opening.getState();
      if (now.status !== 'unreadable') return;
      await database.putAside(now.whole);
      if (stopped) return;
      show(with_ === 'sound' && now.sound ? now.sound.site : steps.first(), '');
      keepFromNowOn();
      site.soon();
    },
    /** Resolves when what was under way is written. */
    async stop(): Promise<void> {
      stopped = true;
      for (const end of ends.splice(0)) end();
      await Promise.all([site.end(), settingsKeeper.end()]);
    },
  };
}

/** Asks a browser that does not answer a few times more. */
async function patiently<T>(ask: () => Promise<T>): Promise<T> {
  for (const pause_ms of READ_AGAIN_MS)
    try {
      return await ask();
    } catch {
      await new Promise((then) => setTimeout(then, pause_ms));
    }
  return ask();
}

/** Asks the browser not to clear away what is kept when room gets short; once a person has changed something, there is something worth it. */
async function askToStay(): Promise<void> {
  const storage = (navigator as { storage?: StorageManager }).storage;
  if (storage && !(await storage.persisted())) await storage.persist();
}
