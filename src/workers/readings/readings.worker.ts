import { expose } from 'comlink';
import { createReadingsApi } from './readings.answers';

expose(createReadingsApi());
