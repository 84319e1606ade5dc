import type { MeterKind } from '@/core/reading/Reading';
import type { Suspicion, Why } from '@/core/reading/question';
import type { LightUnit } from '@/core/units/light';

const METERS: Readonly<Record<MeterKind, string>> = {
  'lux-meter': 'lux meter',
  'foot-candle-meter': 'foot-candles',
  'quantum-meter': 'quantum',
  phone: 'phone',
};
export const meterWords = (kind: MeterKind): string => METERS[kind];

const UNITS: Readonly<Record<LightUnit, string>> = { lx: 'lx', fc: 'fc', umol: 'µmol' };
export const unitWords = (unit: LightUnit): string => UNITS[unit];

const WHY: Readonly<Record<Why, string>> = {
  'range-reads-low': 'the range switch: it shows too little',
  'range-reads-high': 'the range switch: it shows too much',
  'foot-candles-read-as-lux': 'the meter shows foot-candles, not lux',
  'lux-read-as-foot-candles': 'the meter shows lux, not foot-candles',
  'lux-read-as-umol': 'the meter shows lux, not µmol',
  'umol-read-as-lux': 'the meter shows µmol, not lux',
  daylight: 'daylight is mixed in, or the sensor was nearer than stated',
  'shaded-or-tilted': 'the sensor was shaded, tilted, or farther off than stated',
  'touching-the-lamp': 'the sensor all but touched the lamp and saw only part of it',
  'dimmed-or-old': 'the lamp is dimmed, dirty or near the end of its life',
};

export function suspicionWords({ why, multiply }: Suspicion): string {
  const times =
    why === 'range-reads-low' ? `, by ${multiply} times` : why === 'range-reads-high' ? `, by ${Math.round(1 / multiply!)} times` : '';
  return WHY[why] + times;
}
