import { expose } from 'comlink';
import { holdLife } from '../life';
import { advise } from '../../core/advice/advise';
import { settingsFor } from '../../core/advice/settingsFor';
import type { AdviceApi } from './advice.api';

const api: AdviceApi = { advise, settings: settingsFor };
expose(api);
holdLife(self);
