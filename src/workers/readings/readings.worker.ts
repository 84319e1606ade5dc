import { expose } from 'comlink';
import { holdLife } from '../life';
import { createReadingsApi } from './readings.answers';

expose(createReadingsApi());
holdLife(self);
