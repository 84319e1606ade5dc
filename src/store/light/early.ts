export { startEarly } from '../../workers/light/early';
