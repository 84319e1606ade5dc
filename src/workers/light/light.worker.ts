import { expose } from 'comlink';
import { lightApi } from './light.answers';

expose(lightApi);
