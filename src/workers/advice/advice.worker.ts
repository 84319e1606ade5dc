import { expose } from 'comlink';
import { holdLife } from '../life';
import { advise } from '../../core/plan/advice/advise';
import { compareLamps } from '../../core/plan/buying/compareLamps';
import { tables } from '../../core/things/tables/libraryTables';
import { settingsFor } from '../../core/plan/advice/settingsFor';
import type { AdviceApi } from './advice.api';

const api: AdviceApi = { advise, settings: settingsFor, compareLamps: (question) => compareLamps(question, tables) };
expose(api);
holdLife(self);
