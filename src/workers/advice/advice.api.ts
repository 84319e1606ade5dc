import type { Advice, Progress } from '../../core/plan/advice/advise';
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

/** The contract of the advice worker. Progress is a function of the page, called from time to time. */
export interface AdviceApi {
  advise(question: AdviceQuestion, progress: Progress): Promise<Advice>;
  settings(question: SettingsQuestion): SettingsFor;
  compareLamps(question: CompareAsked): LampFit[];
  capacity(question: CapacityAsked): TierCapacity[];
  moreLight(question: MoreAsked): LightWays;
  lampsAtPlaces(question: PlantAsked): LampsAtPlace[];
  equalDose(site: Site, trial: Trial): EqualDose;
  /** What each tray of a trial has been given by a day, by its code. */
  given(site: Site, trial: TrialAsked, day: Day): ReadonlyMap<string, TrayHad>;
  /** What a batch has been given by a day. */
  givenToBatch(site: Site, batchId: string, day: Day): BatchGiven | null;
  /** What a trial shows, with its exact or drawn tests. */
  trialResult(trial: Trial): TrialResult;
  mends(question: MendQuestion, treatments: readonly Treatment[]): PlanMend[];
}
