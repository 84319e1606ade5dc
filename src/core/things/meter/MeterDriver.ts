import type { LightUnit } from '../../units/light';

/** One look at a meter's display. */
export interface MeterSample {
  /** Milliseconds since 1970. */
  readonly at_ms: number;
  /** What it shows; null: beyond its range. */
  readonly value: number | null;
  readonly unit: LightUnit;
  /** Top of the range that it is on. */
  readonly range: number;
  /** The range was chosen by the meter itself. */
  readonly auto: boolean;
}

/**
 * What a driver for a meter must provide. A real one talks to its device; the simulated one that ships with the application
 * computes what such a device would show. Everything else (the stream, the screen) knows a meter by this alone.
 */
export interface MeterDriver {
  /** Kind of meter, of the meter table: its unit, its ranges, how it misreads. */
  readonly kindId: string;
  /** Looks at the display now. Rejects when the device does not answer. */
  sample(at_ms: number): Promise<MeterSample>;
  /** Turns the range switch; null: the meter chooses. Devices without a switch ignore it. */
  setRange(range: number | null): Promise<void>;
  /** Lets go of the device. */
  close(): Promise<void>;
}
