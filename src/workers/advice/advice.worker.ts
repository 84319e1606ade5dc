import { expose } from 'comlink';
import { holdLife } from '../life';
import { advise } from '../../core/plan/advice/advise';
import { capacityOf, moreLightOn } from '../../core/plan/buying/capacity';
import { compareLamps } from '../../core/plan/buying/compareLamps';
import { mendsByPlan } from '../../core/plan/clinic/mendByPlan';
import { lampsAtPlaces } from '../../core/plan/daylight/lampsAtPlaces';
import { createCache } from '../../core/light/scene/Cache';
import { givenToBatch } from '../../core/plan/past/givenToBatch';
import { givenSoFar } from '../../core/plan/trial/givenSoFar';
import { equalDose } from '../../core/plan/trial/equalDose';
import { resultOf } from '../../core/plan/trial/resultOf';
import { tables } from '../../core/things/tables/libraryTables';
import { settingsFor } from '../../core/plan/advice/settingsFor';
import type { AdviceApi } from './advice.api';

/** Of days that are over: most of them are asked for again after a change. */
const days = createCache();
const api: AdviceApi = {
  advise: (question, progress) => advise(question, tables, progress),
  settings: (question) => settingsFor(question, tables),
  compareLamps: (question) => compareLamps(question, tables),
  capacity: (question) => capacityOf(question, tables),
  moreLight: (question) => moreLightOn(question, tables),
  lampsAtPlaces: (question) => lampsAtPlaces(question, tables),
  mends: (question, treatments) => mendsByPlan(question, treatments, tables),
  equalDose: (site, trial) => equalDose(site, trial, tables),
  given: (site, trial, day) => givenSoFar(site, trial, day, tables, days),
  givenToBatch: (site, batchId, day) => givenToBatch(site, batchId, day, tables, days),
  trialResult: resultOf,
};
expose(api);
holdLife(self);
