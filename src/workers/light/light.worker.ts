import { expose } from 'comlink';
import { createLightApi } from './light.answers';

expose(createLightApi());
