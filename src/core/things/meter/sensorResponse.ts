import { integral, visible } from '../../light/spectrum/figures';
import type { Spectrum } from '../../light/spectrum/Spectrum';
import type { Meter } from './meterLibrary';

export const SENSORS = ['sound', 'cheap'] as const;
/** How well the filter before a sensor follows the eye, or the count of photons. */
export type SensorFilter = (typeof SENSORS)[number];

/** A cheap lux filter takes so much too much of what is below 500 nm. */
const BLUE_LOST = 0.2; // 10–30 % in the meter table, growers' consensus
/** A cheap quantum sensor falls away from here, to half of it at 700 nm. */
const RED_FALLS_FROM = 650; // 650–680 nm in the meter table, growers' consensus

/**
 * What a meter of a kind makes of a light, over what a sound one of its kind would make: its own spectral response.
 *
 * @returns 1 for a sound one; under 1 where a cheap filter loses blue (lux, foot-candles) or deep red (photons)
 */
export function sensorResponse(meter: Pick<Meter, 'counts'>, filter: SensorFilter, spectrum: Spectrum): number {
  if (filter === 'sound') return 1;
  if (meter.counts === 'lux' || meter.counts === 'foot-candles') {
    const whole = integral(spectrum, 380, 780, visible);
    return integral(spectrum, 380, 780, (nm) => visible(nm) * (nm < 500 ? 1 - BLUE_LOST : 1)) / whole;
  }
  const end = meter.counts === 'photons-and-far-red' ? 750 : 700;
  const falls = (nm: number) => (nm <= RED_FALLS_FROM ? 1 : 1 - (0.5 * (nm - RED_FALLS_FROM)) / (end - RED_FALLS_FROM));
  return integral(spectrum, 400, end, (nm) => nm * falls(nm)) / integral(spectrum, 400, end, (nm) => nm);
}
