import { proxy, wrap } from 'comlink';
import type { Advice } from '../../core/plan/advice/advise';
import type { AdviceQuestion } from '../../core/plan/advice/AdviceQuestion';
import type { MendQuestion, PlanMend } from '../../core/plan/clinic/mendByPlan';
import type { Treatment } from '../../core/judge/clinic/Cause';
import type { BatchGiven } from '../../core/plan/past/givenToBatch';
import type { TrialAsked } from '../../core/plan/trial/givenSoFar';
import type { EqualDose } from '../../core/plan/trial/equalDose';
import type { TrialResult } from '../../core/plan/trial/resultOf';
import type { Site } from '../../core/site/stand/Site';
import type { Day } from '../../core/units/day';
import type { TrayHad, Trial } from '../../core/site/trial/Trial';
import type { TierCapacity, CapacityAsked, MoreAsked, LightWays } from '../../core/plan/buying/capacity';
import type { LampsAtPlace, PlantAsked } from '../../core/plan/daylight/lampsAtPlaces';
import type { CompareAsked, LampFit } from '../../core/plan/buying/compareLamps';
import type { SettingsFor, SettingsQuestion } from '../../core/plan/advice/settingsFor';
import { newLife } from '../life';
import { revive, watch } from '../watch';
import type { AdviceApi } from './advice.api';

/** A search under way. */
export interface AdviceSearch {
  readonly result: Promise<Advice>;
  /** Calls it off; the result then rejects. */
  stop(): void;
}

export interface AdviceWorker {
  advise(question: AdviceQuestion, onJudged: (judged: number) => void): AdviceSearch;
  settings(question: SettingsQuestion): Promise<SettingsFor>;
  compareLamps(question: CompareAsked): Promise<LampFit[]>;
  capacity(question: CapacityAsked): Promise<TierCapacity[]>;
  moreLight(question: MoreAsked): Promise<LightWays>;
  lampsAtPlaces(question: PlantAsked): Promise<LampsAtPlace[]>;
  equalDose(site: Site, trial: Trial): Promise<EqualDose>;
  given(site: Site, trial: TrialAsked, day: Day): Promise<ReadonlyMap<string, TrayHad>>;
  givenToBatch(site: Site, batchId: string, day: Day): Promise<BatchGiven | null>;
  trialResult(trial: Trial): Promise<TrialResult>;
  mends(question: MendQuestion, treatments: readonly Treatment[]): Promise<PlanMend[]>;
  stop(): void;
}

/** A worker for advice; one that died has a successor, and its search begins anew there. */
export function startAdviceWorker(): AdviceWorker {
  const { ask, stop } = revive(startOnce);
  return {
    advise(question, onJudged) {
      let isWanted = true;
      let search: AdviceSearch | null = null;
      return {
        result: ask((w) => {
          search = w.advise(question, onJudged);
          if (!isWanted) search.stop();
          return search.result;
        }),
        stop() {
          isWanted = false;
          search?.stop();
        },
      };
    },
    settings: (question) => ask((w) => w.settings(question)),
    compareLamps: (question) => ask((w) => w.compareLamps(question)),
    capacity: (question) => ask((w) => w.capacity(question)),
    moreLight: (question) => ask((w) => w.moreLight(question)),
    lampsAtPlaces: (question) => ask((w) => w.lampsAtPlaces(question)),
    equalDose: (site, trial) => ask((w) => w.equalDose(site, trial)),
    given: (site, trial, day) => ask((w) => w.given(site, trial, day)),
    givenToBatch: (...asked) => ask((w) => w.givenToBatch(...asked)),
    trialResult: (trial) => ask((w) => w.trialResult(trial)),
    mends: (question, treatments) => ask((w) => w.mends(question, treatments)),
    stop,
  };
}

function startOnce(): AdviceWorker {
  const life = newLife();
  const worker = new Worker(new URL('./advice.worker.ts', import.meta.url), { type: 'module', name: life });
  const remote = wrap<AdviceApi>(worker);
  const { ask, stop } = watch(worker, 'advice', life);
  return {
    advise(question, onJudged) {
      let wanted = true;
      const progress = proxy((judged: number) => {
        if (wanted) onJudged(judged);
        return wanted;
      });
      return {
        // What is told on the way may arrive after the answer.
        result: ask(() => remote.advise(question, progress)).finally(() => {
          wanted = false;
        }),
        stop: () => {
          wanted = false;
        },
      };
    },
    settings: (question) => ask(() => remote.settings(question)),
    compareLamps: (question) => ask(() => remote.compareLamps(question)),
    capacity: (question) => ask(() => remote.capacity(question)),
    moreLight: (question) => ask(() => remote.moreLight(question)),
    lampsAtPlaces: (question) => ask(() => remote.lampsAtPlaces(question)),
    equalDose: (site, trial) => ask<EqualDose>(() => remote.equalDose(site, trial)),
    given: (site, trial, day) => ask<ReadonlyMap<string, TrayHad>>(() => remote.given(site, trial, day)),
    givenToBatch: (...asked) => ask<BatchGiven | null>(() => remote.givenToBatch(...asked)),
    trialResult: (trial) => ask<TrialResult>(() => remote.trialResult(trial)),
    mends: (question, treatments) => ask(() => remote.mends(question, treatments)),
    stop,
  };
}
