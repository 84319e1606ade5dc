import { expose } from 'comlink';
import { holdLife } from '../life';
import { createSeasonApi } from './season.answers';

expose(createSeasonApi());
holdLife(self);
