import { createSimulatedMeter, type SimulatedMeter, type SimulatedWorld } from '../../core/things/meter/simulatedMeter';

/** Meters that lie on the desk of the server, by their id; the longest unused go first. */
export interface MeterDesk {
  put(world: SimulatedWorld): string;
  get(id: string): SimulatedMeter | undefined;
}

/** As many as are kept: every one holds a settled room. */
const MOST = 24;

export function createMeterDesk(newId: () => string = () => crypto.randomUUID()): MeterDesk {
  const meters = new Map<string, SimulatedMeter>();
  return {
    put(world) {
      const id = newId();
      meters.set(id, createSimulatedMeter(world));
      if (meters.size > MOST) meters.delete(meters.keys().next().value!);
      return id;
    },
    get(id) {
      const meter = meters.get(id);
      if (meter) {
        meters.delete(id);
        meters.set(id, meter);
      }
      return meter;
    },
  };
}
