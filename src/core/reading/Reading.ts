import type { Metres } from '../quantities';
import type { LampRow } from '../stand/LampRow';
import type { LightReading } from '../units/light';

/** The kinds of meter that a reading may come from. */
export type MeterKind = 'lux-meter' | 'foot-candle-meter' | 'quantum-meter' | 'phone';

/** What a meter showed, where, under what; enough to be understood when the set-up has changed since. */
export interface Reading extends LightReading {
  readonly id: string;
  readonly meter: MeterKind;
  /** Place of the sensor from the middle of the tier. */
  readonly dx: Metres;
  readonly dy: Metres;
  /** From the lamps' face down to the sensor. */
  readonly distance: Metres;
  /** The lamps that were lit. */
  readonly lampId: string;
  readonly row: LampRow;
  /** Seen and kept, but not believed. */
  readonly leftOut: boolean;
  /** When it was taken, milliseconds since 1970 (UTC). */
  readonly taken_ms: number;
}
