import { createStore, type StoreApi } from 'zustand/vanilla';
import type { LightAnswer, LightQuestion } from '../core/answer/LightQuestion';
import type { Problem } from '../core/result';
import type { SetUp } from '../core/stand/setUp';
import { startLightPool } from '../workers/light/light.pool';
import { createLightStore, type LightStore } from './light/lightStore';
import { followProfile } from './light/followProfile';
import { followSetUp, questionOf } from './light/followSetUp';
import { createProfileStore, type ProfileStore } from './light/profileStore';
import { openDatabase } from './saved/database';
import { keep } from './saved/keep';
import { readSite } from './saved/readSite';
import { writeSite } from './saved/writeSite';
import { readSettings } from './settings/readSettings';
import { createSettingsStore, startingSettings, type SettingsStore } from './settings/settingsStore';
import { demoSite } from './site/demoSite';
import { newId } from './site/newId';
import { emptySite } from './site/newSite';
import { createSiteStore, type SiteStore } from './site/siteStore';
import { addSetUp, PLAIN_RECIPE } from './site/setUpVerbs';

/** How the document came to be open, and whether it is kept. */
export type Opening =
  | { readonly status: 'opening' }
  | { readonly status: 'open'; readonly savingFailed: string | null }
  /** What was kept cannot be read: it is shown as such and never overwritten. */
  | { readonly status: 'unreadable'; readonly problems: readonly Problem[]; readonly kept: unknown };

export interface Workspace {
  readonly sites: SiteStore;
  readonly settings: SettingsStore;
  readonly lights: LightStore;
  readonly profiles: ProfileStore;
  readonly opening: StoreApi<Opening>;
  /** The light of any set-up, computed beside the picture; rejects before the workspace is open or when the worker died. */
  lightOf(setUp: SetUp): Promise<LightAnswer>;
  /** Opens what was kept, starts the worker and the saving; returns the end of it all. */
  start(seed: 'plain' | 'demo'): () => void;
  /** Gives up what could not be read and begins anew. */
  beginAnew(seed: 'plain' | 'demo'): void;
}

/** Height of a picture that nobody looks at: as low as it may be. */
const SMALL_PICTURE = 0.02;

export function createWorkspace(language: string): Workspace {
  const sites = createSiteStore(emptySite(language));
  const settings = createSettingsStore(language);
  const lights = createLightStore();
  const profiles = createProfileStore();
  const opening = createStore<Opening>(() => ({ status: 'opening' }));
  let seeded: (() => void) | null = null;
  let askLight: ((question: LightQuestion) => Promise<LightAnswer>) | null = null;

  function open(seed: 'plain' | 'demo') {
    const first = seed === 'demo' ? demoSite(language) : addSetUp(PLAIN_RECIPE, newId())(emptySite(language));
    sites.setState({ site: first, activeId: first.stands[0]!.id, past: [], future: [], inGesture: false });
    opening.setState({ status: 'open', savingFailed: null }, true);
  }

  function start(seed: 'plain' | 'demo') {
    const database = openDatabase();
    const ends: (() => void)[] = [];
    let stopped = false;

    const savingFailed = (reason: unknown) => opening.setState({ status: 'open', savingFailed: String(reason) }, true);
    const saved = () => {
      const now = opening.getState();
      if (now.status === 'open' && now.savingFailed) opening.setState({ status: 'open', savingFailed: null }, true);
    };
    const siteKeeper = keep(async () => {
      const { site, activeId } = sites.getState();
      await database.set('site', { ...writeSite(site), activeId });
      saved();
    }, savingFailed);
    const settingsKeeper = keep(() => database.set('settings', settings.getState()), savingFailed);

    /** From now on what changes is written; not before what was kept has been read. */
    function keepFromNowOn() {
      let site = sites.getState().site, activeId = sites.getState().activeId; // prettier-ignore
      ends.push(
        sites.subscribe((state) => {
          if (state.site === site && state.activeId === activeId) return;
          ({ site, activeId } = state);
          siteKeeper.soon();
        }),
        settings.subscribe(() => settingsKeeper.soon()),
      );
      const flush = () => {
        void siteKeeper.flush();
        void settingsKeeper.flush();
      };
      const hidden = () => document.visibilityState === 'hidden' && flush();
      document.addEventListener('visibilitychange', hidden);
      window.addEventListener('pagehide', flush);
      ends.push(() => {
        flush();
        document.removeEventListener('visibilitychange', hidden);
        window.removeEventListener('pagehide', flush);
      });
      // Two workers, so that looking for the answer, or for other set-ups, never keeps the picture waiting.
      const pool = startLightPool(2);
      const [picture, answers] = [pool.lane(), pool.lane()];
      askLight = (question) => answers.answer(question);
      ends.push(followSetUp(sites, lights, picture), followProfile(sites, profiles, answers), () => pool.stop());
    }

    async function openKept() {
      const [kept, keptSettings] = await Promise.all([database.get('site'), database.get('settings')]);
      if (stopped) return;
      settings.setState(readSettings(keptSettings, startingSettings(language)), true);
      if (kept === null || kept === undefined) {
        open(seed);
        keepFromNowOn();
        siteKeeper.soon();
        return;
      }
      const { activeId, ...file } = kept as { activeId?: unknown };
      const site = readSite(file);
      if (!site.ok) {
        opening.setState({ status: 'unreadable', problems: site.problems, kept }, true);
        seeded = () => {
          keepFromNowOn();
          siteKeeper.soon();
        };
        return;
      }
      const active = site.value.stands.find((s) => s.id === activeId) ?? site.value.stands[0];
      sites.setState({ site: site.value, activeId: active?.id ?? '', past: [], future: [], inGesture: false });
      opening.setState({ status: 'open', savingFailed: null }, true);
      keepFromNowOn();
    }

    openKept().catch((reason: unknown) => {
      // A browser without storage (private windows of some): everything works, nothing is kept, and it says so.
      if (stopped) return;
      open(seed);
      keepFromNowOn();
      savingFailed(reason);
    });

    return () => {
      stopped = true;
      for (const end of ends.splice(0)) end();
    };
  }

  return {
    sites,
    settings,
    lights,
    profiles,
    opening,
    lightOf: (setUp) => (askLight ? askLight(questionOf(setUp, SMALL_PICTURE)) : Promise.reject(new Error('not open yet'))),
    start,
    beginAnew(seed) {
      open(seed);
      seeded?.();
      seeded = null;
    },
  };
}
