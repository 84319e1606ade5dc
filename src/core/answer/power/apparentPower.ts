import type { Lamp } from '../../things/lamp/Lamp';
import type { Share, VoltAmperes } from '../../units/quantities';
import type { Plugged } from '../../site/stand/Site';

/**
 * Power factors where none was measured: the lower end of what is usual, so that wires are not overrated. W ÷ power factor = VA.
 * Source: IEC 61000-3-2 and ENERGY STAR luminaires 2.1 for what drivers must reach (small bulbs 0.5–0.7, larger ones 0.9);
 * Rea 2000 for ballasts, choke ballasts without a capacitor about 0.5; rounded by us.
 */
const BY_FAMILY: Readonly<Record<string, Share>> = {
  incandescent: 1,
  halogen: 1,
  CFL: 0.6,
  'LED-bulb': 0.6,
  'LED-grow': 0.6,
  'LED-tube': 0.9,
  T5: 0.9,
  T5HO: 0.9,
  T8: 0.9,
  T12: 0.6,
  MH: 0.9,
  CMH: 0.9,
  HPS: 0.9,
};
/** Bars, shop lights, boards and tape with drivers of their own. */
const OTHER_LED: Share = 0.9;
const BY_KIND: Readonly<Record<Plugged['kind'], Share>> = { mat: 1, fan: 0.6, pump: 0.6, other: 1 };

/** Power factor of a lamp of a family, 0–1. */
export const powerFactorOf = ({ family }: Pick<Lamp, 'family'>): Share => BY_FAMILY[family] ?? OTHER_LED;

/** What a lamp asks of wires, strips and timers. Added up as if all were in phase, which is never too little. */
export const apparentPowerOf = (lamp: Pick<Lamp, 'family' | 'power'>): VoltAmperes => lamp.power / powerFactorOf(lamp);

/** The same of another thing with a plug. */
export const apparentPowerOfThing = ({ kind, power }: Pick<Plugged, 'kind' | 'power'>): VoltAmperes => power / BY_KIND[kind];

/** Whether a lamp draws a surge when it is switched on: all that have a driver or ballast. */
export const surges = ({ family }: Pick<Lamp, 'family'>): boolean => family !== 'incandescent' && family !== 'halogen';
