import { createStore, type StoreApi } from 'zustand/vanilla';
import type { LightAnswer, LightQuestion } from '../core/answer/LightQuestion';
import type { Metres } from '../core/quantities';
import type { Problem } from '../core/result';
import type { BenchAnswer } from '../core/bench/BenchQuestion';
import { askedTier, questionOfStand } from '../core/bench/questionOfStand';
import type { BenchStand, BenchTier } from '../core/stand/benchStand';
import type { SettingsFor, SettingsQuestion } from '../core/advice/settingsFor';
import type { AdviceQuestion } from '../core/advice/AdviceQuestion';
import type { NoFit, TierFit } from '../core/fit/fitTier';
import type { WalkPoint } from '../core/walk/planWalk';
import type { TierOfSite } from '../workers/readings/readings.api';
import { startReadingsWorker, type ReadingsWorker } from '../workers/readings/readings.client';
import { startAdviceWorker, type AdviceWorker, type Search } from '../workers/advice/advice.client';
import type { SetUp } from '../core/stand/setUp';
import { startLightPool, type Lane } from '../workers/light/light.pool';
import { createBenchLightStore, createBenchLookStore, type BenchLightStore, type BenchLookStore } from './bench/benchStore';
import { followBench } from './bench/followBench';
import { startChartWorker, type ChartWorker } from '../workers/chart/chart.client';
import { grownTo } from '../core/growth/grownTo';
import { tables } from '../core/library/tables';
import { createChartStore, type ChartStore } from './chart/chartStore';
import { followChart } from './chart/followChart';
import { createDayStore, followDay, type DayStore } from './day/dayStore';
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
import { createSiteStore, settleTo, type SiteStore } from './site/siteStore';
import { addSetUp, PLAIN_RECIPE } from './site/setUpVerbs';

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
  | { readonly status: 'unreadable'; readonly problems: readonly Problem[]; readonly kept: unknown };

export interface Workspace {
  readonly sites: SiteStore;
  readonly settings: SettingsStore;
  readonly lights: LightStore;
  readonly profiles: ProfileStore;
  readonly opening: StoreApi<Opening>;
  readonly days: DayStore;
  /** The hang chart of the stand on the bench. */
  readonly charts: ChartStore;
  /** The light of the stand on the bench, and what the bench shows. */
  readonly benchLights: BenchLightStore;
  readonly benchLooks: BenchLookStore;
  /** Keeps the light of the bench up to date for as long as it is looked at; returns the end of it. */
  watchBench(): () => void;
  /** Keeps the hang chart up to date for as long as it is looked at; returns the end of it. */
  watchChart(): () => void;
  /** What every tray of a stand gets; with pictures where they are asked for. */
  lightOfStand(stand: BenchStand, view?: 'front'): Promise<BenchAnswer>;
  /** Looks for what would help; the search can be called off. Throws before the workspace is open. */
  advise(question: AdviceQuestion, onJudged: (judged: number) => void): Search;
  /** What the readings of a tier say of its lamps and sides. */
  fitTier(of: TierOfSite, progress: (done: number) => void): Promise<TierFit | NoFit>;
  /** The points that tell most about a tier. */
  planWalk(of: TierOfSite, count: number): Promise<WalkPoint[]>;
  /** The picture of one tier alone, without what comes from the others. */
  lightOfTier(stand: BenchStand, tierId: string): Promise<BenchAnswer>;
  /** All heights and hours of a tier. */
  settingsFor(question: SettingsQuestion): Promise<SettingsFor>;
  /** What each lamp of a tier gives to one place of it. */
  sharesAt(tier: BenchTier, x: Metres, y: Metres, z: Metres): ReturnType<Lane['shares']>;
  /** The light of any set-up, computed beside the picture; rejects before the workspace is open or when the worker died. */
  lightOf(setUp: SetUp): Promise<LightAnswer>;
  /** Opens what was kept, starts the worker and the saving; returns the end of it all. */
  start(seed: 'plain' | 'demo'): () => void;
  /** Gives up what could not be read and begins anew. */
  beginAnew(seed: 'plain' | 'demo'): void;
}

/** Pauses before a browser that did not give out what it keeps is asked again. */
const READ_AGAIN_MS = [100, 500] as const;

/** Height of a picture that nobody looks at: as low as it may be. */
const SMALL_PICTURE = 0.02;

export function createWorkspace(language: string): Workspace {
  const sites = createSiteStore(emptySite(language));
  const settings = createSettingsStore(language);
  const lights = createLightStore();
  const profiles = createProfileStore();
  const opening = createStore<Opening>(() => ({ status: 'opening' }));
  let seeded: (() => void) | null = null;
  const benchLights = createBenchLightStore();
  const benchLooks = createBenchLookStore();
  const days = createDayStore();
  const charts = createChartStore();
  let askLight: ((question: LightQuestion) => Promise<LightAnswer>) | null = null;
  let lanes: { picture: Lane; answers: Lane } | null = null;
  let advisor: AdviceWorker | null = null;
  // Advice has a worker of its own, started when it is asked for the first time, so that no picture waits for a search.
  const theAdvisor = (): AdviceWorker => {
    if (!lanes) throw new Error('not open yet');
    return (advisor ??= startAdviceWorker());
  };
  let charter: ChartWorker | null = null;
  const theCharter = (): ChartWorker => {
    if (!lanes) throw new Error('not open yet');
    return (charter ??= startChartWorker());
  };
  let reader: ReadingsWorker | null = null;
  const theReader = (): ReadingsWorker => {
    if (!lanes) throw new Error('not open yet');
    return (reader ??= startReadingsWorker());
  };
  const lane = (which: 'picture' | 'answers'): Lane => {
    if (!lanes) throw new Error('not open yet');
    return lanes[which];
  };

  function open(seed: 'plain' | 'demo') {
    const first = seed === 'demo' ? demoSite(language, days.getState().today) : addSetUp(PLAIN_RECIPE, newId())(emptySite(language));
    sites.setState({ site: first, activeId: first.stands.find((s) => s.laidOut)!.id, past: [], future: [], inGesture: false });
    opening.setState({ status: 'open', notKept: null }, true);
  }

  function start(seed: 'plain' | 'demo') {
    const database = openDatabase();
    const ends: (() => void)[] = [];
    let stopped = false;

    const notKept = (what: NotKept['what']) => (reason: unknown) =>
      opening.setState({ status: 'open', notKept: { what, reason: String(reason) } }, true);
    const saved = () => {
      const now = opening.getState();
      if (now.status === 'open' && now.notKept) opening.setState({ status: 'open', notKept: null }, true);
    };
    const siteData = () => ({ ...writeSite(sites.getState().site), activeId: sites.getState().activeId });
    const siteKeeper = keep(async () => {
      await database.set('site', siteData());
      saved();
    }, notKept('writing'));
    const settingsKeeper = keep(() => database.set('settings', settings.getState()), notKept('writing'));

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
      const gone = () => {
        if (siteKeeper.unwritten()) database.hurry('site', siteData());
        if (settingsKeeper.unwritten()) database.hurry('settings', settings.getState());
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

    /** Starts what computes beside the page. */
    function work() {
      // Two workers, so that looking for the answer, or for other set-ups, never keeps the picture waiting.
      const pool = startLightPool(2);
      const [picture, answers] = [pool.lane(), pool.lane()];
      lanes = { picture, answers };
      askLight = (question) => answers.answer(question);
      ends.push(followSetUp(sites, lights, picture), followProfile(sites, profiles, answers), () => {
        pool.stop();
        advisor?.stop();
        reader?.stop();
        charter?.stop();
        charter = null;
        advisor = null;
        reader = null;
      });
    }

    const settleToday = () => settleTo(sites, (site) => grownTo(site, days.getState().today, tables));
    ends.push(
      followDay(days, () => sites.getState().site.timeZone),
      days.subscribe(settleToday),
    );
    settleToday();

    async function openKept() {
      const [kept, keptSettings] = await readKept();
      if (stopped) return;
      settings.setState(readSettings(keptSettings, startingSettings(language)), true);
      if (kept === null || kept === undefined) {
        open(seed);
        keepFromNowOn();
        work();
        siteKeeper.soon();
        return;
      }
      const { activeId, ...file } = kept as { activeId?: unknown };
      const site = readSite(file);
      if (!site.ok) {
        opening.setState({ status: 'unreadable', problems: site.problems, kept }, true);
        seeded = () => {
          keepFromNowOn();
          work();
          siteKeeper.soon();
        };
        return;
      }
      const active = site.value.stands.find((s) => s.id === activeId) ?? site.value.stands[0];
      sites.setState({ site: site.value, activeId: active?.id ?? '', past: [], future: [], inGesture: false });
      settleToday();
      opening.setState({ status: 'open', notKept: null }, true);
      keepFromNowOn();
      work();
    }

    /** Asks a browser that does not answer a few times more. */
    async function readKept(): Promise<[unknown, unknown]> {
      for (const pause_ms of READ_AGAIN_MS)
        try {
          return await Promise.all([database.get('site'), database.get('settings')]);
        } catch {
          await new Promise((then) => setTimeout(then, pause_ms));
        }
      return Promise.all([database.get('site'), database.get('settings')]);
    }

    openKept().catch((reason: unknown) => {
      // What may be there is not known, so nothing is written over it. Everything works, nothing is kept, and it says so.
      if (stopped) return;
      open(seed);
      work();
      notKept('reading')(reason);
    });

    return () => {
      stopped = true;
      for (const end of ends.splice(0)) end();
    };
  }

  const lightOfStand: Workspace['lightOfStand'] = async (stand, view) => lane('answers').bench(questionOfStand(stand, view ?? null));

  return {
    sites,
    settings,
    lights,
    profiles,
    opening,
    days,
    charts,
    benchLights,
    benchLooks,
    watchChart: () =>
      followChart(
        { sites, looks: benchLooks, days, settings, charts },
        { lightOfStand, hangChart: (question, progress) => theCharter().hangChart(question, progress) },
      ),
    watchBench: () => followBench(sites, benchLooks, benchLights, charts, (question) => lane('picture').bench(question)),
    lightOfStand,
    fitTier: async (of, progress) => theReader().fit(of, newId(), Date.now(), progress),
    planWalk: async (of, count) => theReader().plan(of, count),
    lightOfTier: async (stand, tierId) => lane('answers').bench(questionOfStand(stand, 'front', tierId, false)),
    advise: (question, onJudged) => theAdvisor().advise(question, onJudged),
    settingsFor: async (question) => theAdvisor().settings(question),
    sharesAt: async (tier, x, y, z) => lane('answers').shares(askedTier(tier), x, y, z),
    lightOf: (setUp) => (askLight ? askLight(questionOf(setUp, SMALL_PICTURE)) : Promise.reject(new Error('not open yet'))),
    start,
    beginAnew(seed) {
      open(seed);
      seeded?.();
      seeded = null;
    },
  };
}
