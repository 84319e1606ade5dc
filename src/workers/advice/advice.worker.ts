import { expose } from 'comlink';
import { advise } from '../../core/advice/advise';
import { settingsFor } from '../../core/advice/settingsFor';
import type { AdviceApi } from './advice.api';

const api: AdviceApi = { advise, settings: settingsFor };
expose(api);
