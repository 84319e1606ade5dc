import { expose } from 'comlink';
import { holdLife } from '../life';
import { createLightApi } from './light.answers';

expose(createLightApi());
holdLife(self);
