import { createSimulatedPlug, type SimulatedPlug } from '../../core/plan/plug/simulatedPlug';
import { dayOf } from '../../core/units/day';
import type { PlugClockFile } from './PlugFiles';

/** Simulated plugs of this server by their id; the longest unused go first. */
export interface PlugDesk {
  put(clock: PlugClockFile): string;
  get(id: string): SimulatedPlug | undefined;
}

const MOST = 200;

export function createPlugDesk(newId: () => string = () => crypto.randomUUID(), now_ms: () => number = Date.now): PlugDesk {
  const plugs = new Map<string, SimulatedPlug>();
  return {
    put({ day, minute }) {
      const id = newId();
      plugs.set(id, createSimulatedPlug(dayOf(day), minute, now_ms));
      if (plugs.size > MOST) plugs.delete(plugs.keys().next().value!);
      return id;
    },
    get(id) {
      const plug = plugs.get(id);
      if (plug) {
        plugs.delete(id);
        plugs.set(id, plug);
      }
      return plug;
    },
  };
}
