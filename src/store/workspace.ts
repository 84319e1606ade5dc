import { winterAhead } from '../core/units/clockChanges';
import { createStore, type StoreApi } from 'zustand/vanilla';
import type { LightAnswer } from '../core/answer/check/LightQuestion';
import type { Metres } from '../core/units/quantities';
import type { DaylightAnswer, DaylightQuestion } from '../core/plan/daylight/daylightYear';
import type { BenchAnswer } from '../core/answer/bench/BenchQuestion';
import { askedTier, questionOfStand } from '../core/answer/bench/questionOfStand';
import type { BenchStand, BenchTier } from '../core/answer/stand/benchStand';
import type { SettingsFor, SettingsQuestion } from '../core/plan/advice/settingsFor';
import type { Treatment } from '../core/judge/clinic/Cause';
import type { MendQuestion, PlanMend } from '../core/plan/clinic/mendByPlan';
import type { BatchGiven } from '../core/plan/past/givenToBatch';
import type { TrialAsked } from '../core/plan/trial/givenSoFar';
import type { EqualDose } from '../core/plan/trial/equalDose';
import type { TrialResult } from '../core/plan/trial/resultOf';
import type { TrayHad, Trial } from '../core/site/trial/Trial';
import type { LampsAtPlace, PlantAsked } from '../core/plan/daylight/lampsAtPlaces';
import type { TierCapacity, CapacityAsked, MoreAsked, LightWays } from '../core/plan/buying/capacity';
import type { CompareAsked, LampFit } from '../core/plan/buying/compareLamps';
import type { AdviceQuestion } from '../core/plan/advice/AdviceQuestion';
import type { NoFit, TierFit } from '../core/measure/fit/fitTier';
import type { WalkPoint } from '../core/answer/walk/planWalk';
import type { TierOfSite } from '../workers/readings/readings.api';
import type { SeasonAnswer, SeasonImproved } from '../workers/season/season.api';
import type { WayOut } from '../core/plan/season/waysOut';
import type { Site } from '../core/site/stand/Site';
import type { AdviceSearch } from '../workers/advice/advice.client';
import type { SetUp } from '../core/answer/stand/setUp';
import type { Lane } from '../workers/light/light.pool';
import { createBenchLightStore, createBenchLookStore, type BenchLightStore, type BenchLookStore } from './bench/benchStore';
import { followBench } from './bench/followBench';
import { createSunCache } from '../core/answer/daylight/litByWindow';
import { followLeaving } from './light/followLeaving';
import { countBurned } from '../core/site/ownLamps/hangingOf';
import { noteSettings } from '../core/site/past/noteSettings';
import { asOf } from '../core/answer/stand/asOf';
import { tables } from '../core/things/tables/libraryTables';
import type { ChartAsked, ChartOnTheWay, HangChart } from '../core/plan/hang/HangChart';
import { createChartStore, type ChartStore } from './bench/chartStore';
import { followChart } from './bench/followChart';
import { openKeptCharts } from './bench/keptCharts';
import { createDayStore, followDay, type DayStore } from './day/dayStore';
import { createLightStore, type LightStore } from './light/lightStore';
import { questionOf } from './light/followSetUp';
import { checkWatch } from './light/checkWatch';
import { createProfileStore, type ProfileStore } from './light/profileStore';
import { openDatabase, type Database } from './database/database';
import { startKeeping, type Opening, type SavedStore } from './saved/keeping';
import type { ElsewhereStore } from './saved/keepSite';
import { openSharedStates, type SharedStates } from './handover/sharedStates';
import { houseNow, nameOfHouse, type House } from './house/house';
import { openPhotos, type Photos } from './photos/photos';
import type { Practice } from './practice/Practice';
import { createPractice } from './practice/practiceStore';
import { openSnapshots, type Snapshots } from './snapshots/snapshots';
import { createSettingsStore, type SettingsStore } from './settings/settingsStore';
import { newId } from './names/newId';
import { emptySite } from './site/newSite';
import { createSiteStore, settleTo, type SiteStore } from './site/siteStore';
import { addSetUp, PLAIN_RECIPE } from './site/setUpVerbs';
import { createThreads } from './threads';

export interface Workspace {
  /** Whose data this is. */
  readonly house: House;
  readonly practice: Practice;
  readonly sites: SiteStore;
  readonly settings: SettingsStore;
  readonly lights: LightStore;
  readonly profiles: ProfileStore;
  readonly opening: StoreApi<Opening>;
  /** What other windows changed that a person should know of. */
  readonly elsewhere: ElsewhereStore;
  readonly lastSaved: SavedStore;
  readonly snapshots: Snapshots;
  readonly database: Database;
  readonly photos: Photos;
  readonly sharedStates: SharedStates;
  readonly days: DayStore;
  /** The hang chart of the stand on the bench. */
  readonly charts: ChartStore;
  /** The light of the stand on the bench, and what the bench shows. */
  readonly benchLights: BenchLightStore;
  readonly benchLooks: BenchLookStore;
  /** Keeps the light of the check up to date for as long as somebody looks at it; returns the end of it. */
  watchCheck(): () => void;
  /** Keeps the light of the bench up to date for as long as it is looked at; returns the end of it. */
  watchBench(): () => void;
  /** Keeps the hang chart up to date for as long as it is looked at; returns the end of it. */
  watchChart(): () => void;
  /** The hang chart of any stand. */
  chartOf(asked: ChartAsked, light: () => Promise<BenchAnswer>): Promise<HangChart>;
  /** What every tray of a stand gets; with pictures where they are asked for. */
  lightOfStand(stand: BenchStand, view?: 'front'): Promise<BenchAnswer>;
  /** Looks for what would help; the search can be called off. Throws before the workspace is open. */
  advise(question: AdviceQuestion, onJudged: (judged: number) => void): AdviceSearch;
  /** What the readings of a tier say of its lamps and sides. */
  fitTier(of: TierOfSite, progress: (done: number) => void): Promise<TierFit | NoFit>;
  /** The points that tell most about a tier. */
  planWalk(of: TierOfSite, count: number): Promise<WalkPoint[]>;
  /** The picture of one tier alone, without what comes from the others. */
  lightOfTier(stand: BenchStand, tierId: string): Promise<BenchAnswer>;
  /** All heights and hours of a tier. */
  settingsFor(question: SettingsQuestion): Promise<SettingsFor>;
  /** How the arms of a trial come to the same dose. */
  equalDoseOf(trial: Trial): Promise<EqualDose>;
  /** What each tray of a trial has been given until today, by its code. */
  givenInTrial(site: Site, trial: TrialAsked): Promise<ReadonlyMap<string, TrayHad>>;
  /** What a batch has been given until today. */
  givenToBatch(site: Site, batchId: string): Promise<BatchGiven | null>;
  /** What a trial shows: exact tests may look at hundreds of thousands of assignments. */
  resultOfTrial(trial: Trial): Promise<TrialResult>;
  /** Treatments of a tray that are changes of the plan, each worked out. */
  mendsOf(question: MendQuestion, treatments: readonly Treatment[]): Promise<PlanMend[]>;
  /** Lamps made equal in light over a tier. */
  compareLamps(question: CompareAsked): Promise<LampFit[]>;
  /** What the lamps that the person owns can serve. */
  capacity(question: CapacityAsked): Promise<TierCapacity[]>;
  /** What more light on a tier would take. */
  moreLight(question: MoreAsked): Promise<LightWays>;
  /** What the lamps of all stands give to a plant. */
  lampsAtPlaces(question: PlantAsked): Promise<LampsAtPlace[]>;
  /** What each lamp of a tier gives to one place of it. */
  sharesAt(tier: BenchTier, x: Metres, y: Metres, z: Metres): ReturnType<Lane['shares']>;
  /** The light of any set-up, computed beside the picture; rejects before the workspace is open or when the worker died. */
  lightOf(setUp: SetUp): Promise<LightAnswer>;
  /** A year of daylight, and what lamps have to add. */
  daylightYear(question: DaylightQuestion): Promise<DaylightAnswer>;
  /** A season looked at as a whole; null where none is planned. */
  lookAtSeason(site: Site): Promise<SeasonAnswer | null>;
  /** Ways out of its crowded weeks; `stop` calls the search off, and nobody is told. */
  seasonWaysOut(site: Site, progress: (done: number) => void): { readonly ways: Promise<WayOut[]>; stop(): void };
  /** The season placed as well as a solver can, and how good any placing can be; `stop` calls it off. */
  improveSeason(site: Site, told: (done: number, over: number) => void): { readonly better: Promise<SeasonImproved | null>; stop(): void };
  /** Opens what was kept, starts the worker and the saving; returns the end of it all, which is done when everything is written. */
  start(seed: 'plain' | 'demo'): () => Promise<void>;
  /** Puts aside what could not be read, and begins anew or with what is sound in it. */
  begin(with_: 'anew' | 'sound'): Promise<void>;
}

/** Height of a picture that nobody looks at: as low as it may be. */
const SMALL_PICTURE = 0.02;

export function createWorkspace(language: string): Workspace {
  const sites = createSiteStore(emptySite(language));
  const settings = createSettingsStore(language);
  const lights = createLightStore();
  const profiles = createProfileStore();
  const opening = createStore<Opening>(() => ({ status: 'opening' }));
  const elsewhere: ElsewhereStore = createStore(() => ({ told: null }));
  const lastSaved: SavedStore = createStore(() => ({ saved_ms: null }));
  const house = houseNow();
  const database = openDatabase(nameOfHouse(house));
  const photos = openPhotos(nameOfHouse(house));
  const sharedStates = openSharedStates(nameOfHouse(house));
  const keptCharts = openKeptCharts();
  const snapshots = openSnapshots(nameOfHouse(house));
  let keeping: ReturnType<typeof startKeeping> | null = null;
  const benchLights = createBenchLightStore();
  const benchLooks = createBenchLookStore();
  const days = createDayStore();
  const charts = createChartStore();
  const threads = createThreads();

  const lightOfStand: Workspace['lightOfStand'] = async (stand, view) =>
    threads.lane('answers').bench(questionOfStand(stand, view ?? null));
  const chartOf = async (
    asked: ChartAsked,
    light: () => Promise<BenchAnswer>,
    progress: ChartOnTheWay = () => undefined,
  ): Promise<HangChart> => {
    const charter = threads.charter();
    const known = await keptCharts.find(asked);
    if (known) return known;
    const chart = await charter.hangChart(asked, light, progress);
    void keptCharts.keep(asked, chart);
    return chart;
  };
  const givenInTrial: Workspace['givenInTrial'] = async (site, trial) => threads.advisor().given(site, trial, days.getState().today);
  const givenToBatch: Workspace['givenToBatch'] = async (site, batchId) =>
    threads.advisor().givenToBatch(site, batchId, days.getState().today);
  const practice = createPractice(house, { sites, days, lightOfStand });

  const check = checkWatch(sites, lights, profiles, (which) => (threads.isOpen ? threads.lane(which) : null));

  function start(seed: 'plain' | 'demo') {
    const ends: (() => void)[] = [];

    /** Starts what computes beside the page. */
    function work() {
      if (threads.isOpen) return;
      threads.open();
      check.begin();
      const stopFollowing = followLeaving(sites, { lightOfStand, givenInTrial, givenToBatch });
      ends.push(() => {
        stopFollowing();
        check.end();
        threads.stop();
      });
    }

    const suns = createSunCache();
    const settleToday = () =>
      settleTo(sites, (site, before) => {
        const { today } = days.getState();
        const written = before ? noteSettings(before, countBurned(before, site, today), today) : site;
        return asOf(written, today, tables, suns);
      });
    ends.push(days.subscribe(settleToday));
    settleToday();
    const kinds = { sites, settings, opening, elsewhere, lastSaved };
    const isDemo = seed === 'demo' || house.kind === 'demo';
    /** The demo comes with whoever looks at it. */
    let demo: (() => Site) | null = null;
    const first = (): Site => practice.runs.getState().run?.start.site ?? demo?.() ?? addSetUp(PLAIN_RECIPE, newId())(emptySite(language));
    const opened = () => {
      settleToday();
      work();
    };
    const startToKeep = () => (keeping = startKeeping(database, snapshots, kinds, { language, first, opened }));
    let stopped = false;
    if (house.kind === 'practice') {
      // Its days are those of the exercise.
      void practice.open(days.getState().today).then((run) => {
        if (stopped) return;
        if (run) days.setState({ today: run.session.today });
        startToKeep();
      });
    } else {
      ends.push(followDay(days, () => sites.getState().site.timeZone));
      if (!isDemo) startToKeep();
      else
        void import('./site/demoSite')
          .then(({ demoSite }) => (demo = () => demoSite(language, days.getState().today, winterAhead(days.getState().today))))
          // What is kept here already opens without it.
          .catch(() => undefined)
          .then(() => stopped || startToKeep());
    }
    return async () => {
      stopped = true;
      for (const end of ends.splice(0)) end();
      await keeping?.stop();
    };
  }

  return {
    house,
    practice,
    sites,
    settings,
    lights,
    profiles,
    opening,
    elsewhere,
    lastSaved,
    snapshots,
    photos,
    sharedStates,
    database,
    days,
    charts,
    benchLights,
    benchLooks,
    watchCheck: check.watch,
    watchChart: () => followChart({ sites, looks: benchLooks, days, settings, charts }, { lightOfStand, chartOf }),
    watchBench: () => followBench(sites, benchLooks, benchLights, charts, (question) => threads.lane('picture').bench(question)),
    chartOf,
    lightOfStand,
    fitTier: async (of, progress) => threads.reader().fit(of, newId(), Date.now(), progress),
    planWalk: async (of, count) => threads.reader().plan(of, count),
    lightOfTier: async (stand, tierId) => threads.lane('answers').bench(questionOfStand(stand, 'front', tierId, false)),
    advise: (question, onJudged) => threads.advisor().advise({ ...question, day: days.getState().today }, onJudged),
    settingsFor: async (question) => threads.advisor().settings(question),
    resultOfTrial: async (trial) => threads.advisor().trialResult(trial),
    givenInTrial,
    givenToBatch,
    equalDoseOf: async (trial) => threads.advisor().equalDose(sites.getState().site, trial),
    mendsOf: async (question, treatments) => threads.advisor().mends({ ...question, day: days.getState().today }, treatments),
    compareLamps: async (question) => threads.advisor().compareLamps(question),
    capacity: async (question) => threads.advisor().capacity(question),
    moreLight: async (question) => threads.advisor().moreLight(question),
    lampsAtPlaces: async (question) => threads.advisor().lampsAtPlaces(question),
    sharesAt: async (tier, x, y, z) => threads.lane('answers').shares(askedTier(tier), x, y, z),
    daylightYear: async (question) => threads.lane('answers').daylight(question),
    lookAtSeason: async (site) => threads.planner().look(site, days.getState().today),
    seasonWaysOut(site, progress) {
      const { worker, stop } = threads.searcher();
      return { ways: worker.waysOut(site, days.getState().today, progress).finally(stop), stop };
    },
    improveSeason(site, told) {
      const { worker, stop } = threads.searcher();
      return { better: worker.improve(site, days.getState().today, told).finally(stop), stop };
    },
    lightOf: async (setUp) => threads.lane('answers').answer(questionOf(setUp, SMALL_PICTURE)),
    start,
    begin: async (with_) => keeping?.begin(with_),
  };
}
