import { expose } from 'comlink';
import { holdLife } from '../life';
import { advise } from '../../core/plan/advice/advise';
import { settingsFor } from '../../core/plan/advice/settingsFor';
import type { AdviceApi } from './advice.api';

const api: AdviceApi = { advise, settings: settingsFor };
expose(api);
holdLife(self);
