import { meterOf, unitOfMeter } from './meterLibrary';
import type { MeterDriver, MeterSample } from './MeterDriver';

/** A wire on which lines of text go to and fro: a serial port, a socket, or a double in a test. */
export interface LineWire {
  send(line: string): Promise<void>;
  /** The next line that comes. Rejects when none comes for so long. */
  receive(patience_ms: number): Promise<string>;
  close(): Promise<void>;
}

/** A device that does not answer for so long is silent. */
const PATIENCE_MS = 1500;

/**
 * The worked example of a driver for a real device: a meter that answers `READ` with `VALUE 8130 RANGE 20000 AUTO`, with `OVER` for
 * the value beyond its range, and takes `RANGE 2000` or `RANGE AUTO`. Everything else of the application knows it as a MeterDriver.
 *
 * Its double is in lineMeter.test.ts.
 */
export function createLineMeter(kindId: string, wire: LineWire): MeterDriver {
  const meter = meterOf(kindId);
  const unit = unitOfMeter(meter);
  return {
    kindId,
    async sample(at_ms): Promise<MeterSample> {
      await wire.send('READ');
      const line = await wire.receive(PATIENCE_MS);
      const said = /^VALUE (OVER|\d+(?:\.\d+)?) RANGE (\d+(?:\.\d+)?)( AUTO)?$/.exec(line.trim());
      if (!said) throw new Error(`the meter said ${JSON.stringify(line.slice(0, 60))}, which is no reading`);
      const range = Number(said[2]);
      // A range that its kind does not have means a wrong kind: then every reading would be off.
      if (!meter.ranges.includes(range)) throw new Error(`the meter is on a range of ${range}, which a ${meter.name} does not have`);
      return { at_ms, unit, range, auto: said[3] !== undefined, value: said[1] === 'OVER' ? null : Number(said[1]) };
    },
    async setRange(range) {
      if (range !== null && !meter.ranges.includes(range)) throw new RangeError(`no range of ${range}; it has ${meter.ranges.join(', ')}`);
      await wire.send(`RANGE ${range ?? 'AUTO'}`);
    },
    close: () => wire.close(),
  };
}
