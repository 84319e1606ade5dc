import type { Hours } from '../../units/quantities';
import type { Circumstances } from './Circumstances';

/** How long a day under lamps usually is: with it a strength is enough or not. Growers' consensus. */
const USUAL_HOURS: Hours = 16;

/** The longest day that is worth having here: the usual one, or less where the crop does not bear that. */
export const usefulDay = ({ longestDay }: Pick<Circumstances['light'], 'longestDay'>): Hours =>
  Math.min(USUAL_HOURS, longestDay ?? USUAL_HOURS);
