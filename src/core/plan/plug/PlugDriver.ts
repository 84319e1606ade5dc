import type { LitTimes } from '../../units/LitTimes';
import type { Day } from '../../units/day';

/** Hours that a plug keeps from a day on, until the next entry. */
export interface PlugEntry extends LitTimes {
  readonly from: Day;
}

/** How a timer plug is now. */
export interface PlugState {
  /** What its own clock says. */
  readonly day: Day;
  readonly minute: number;
  /** Whether its outlet is live. */
  readonly on: boolean;
  /** Whether it has power itself. */
  readonly powered: boolean;
  /** Its clock was lost in a power failure: it counts from midnight of the day on which power came back. */
  readonly clockLost: boolean;
  /** Whether its clock goes on without power. */
  readonly remembers: boolean;
  /** How many times faster than the world it runs. */
  readonly speed: number;
  readonly schedule: readonly PlugEntry[];
  /** The entry that it keeps to now; null: none yet. */
  readonly entry: PlugEntry | null;
}

/**
 * What a driver for a timer plug must provide. A real one talks to its device; the simulated one that ships with the
 * application behaves as such a device would. The screen knows a plug by this alone.
 */
export interface PlugDriver {
  state(): Promise<PlugState>;
  /** Takes a schedule, as dated entries; what was there before is gone. */
  setSchedule(schedule: readonly PlugEntry[]): Promise<void>;
  /** Sets its clock to the time of the household. */
  setClock(day: Day, minute: number): Promise<void>;
  close(): Promise<void>;
}
