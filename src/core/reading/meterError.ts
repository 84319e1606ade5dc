import type { Share } from '../quantities';
import type { MeterKind } from './Reading';

/**
 * How far a meter of its kind may be off under white light, as a half-width of a nine-in-ten band: its stated accuracy and
 * its error for slanting light, which near a wide lamp is about half of that at 60°.
 * Source: the meter table (ISO/CIE 19476:2014 for lux meters; Gutierrez-Martinez et al. 2017 for phones), rounded by us.
 */
export const METER_ERROR: Readonly<Record<MeterKind, Share>> = {
  'lux-meter': 0.08,
  'foot-candle-meter': 0.1,
  'quantum-meter': 0.07,
  phone: 0.3,
};
