import type { SensorFilter } from '../../things/meter/sensorResponse';
import type { Share } from '../../units/quantities';

/** How a practice stand really is: what a person is to find out. */
export interface Truth {
  /** Light of each kind of lamp over what its box says; kinds that are left out give what they say. */
  readonly lamps: Readonly<Record<string, number>>;
  /** What the upright sides really send back; null: as their material says. */
  readonly sides: Share | null;
  /** The meter that lies there, what it shows over what it should, and how well its filter follows. */
  readonly meter: { readonly kindId: string; readonly factor: number; readonly filter: SensorFilter };
  /** What the clock of the timers loses each day, minutes; below zero: it gains. */
  readonly lag_min: number;
  /** Days by which seeds come up later than the middle of their days; below zero: sooner. By batch; left out: in the middle. */
  readonly late: Readonly<Record<string, number>>;
}

export const AS_SAID: Truth = {
  lamps: {},
  sides: null,
  meter: { kindId: 'lux-basic', factor: 1, filter: 'sound' },
  lag_min: 0,
  late: {},
};
