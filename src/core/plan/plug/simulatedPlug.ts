import { blocksOf } from '../../units/LitTimes';
import { MINUTES_PER_DAY } from '../../units/clock';
import type { Day } from '../../units/day';
import type { PlugDriver, PlugEntry, PlugState } from './PlugDriver';

/** A plug that can be played with: its power pulled, its time let run. */
export interface SimulatedPlug extends PlugDriver {
  /** How many times faster than the world; 1 … 10 000. */
  setSpeed(speed: number): Promise<void>;
  /** Takes its power away, or gives it back. */
  setPower(powered: boolean): Promise<void>;
  setRemembers(remembers: boolean): Promise<void>;
}

export const MOST_SPEED = 10_000;

/**
 * A timer plug as such devices are: it has a clock of its own, keeps dated hours, and in a power failure either goes on counting
 * (a battery) or stops, and then begins again at midnight, which shifts its hours until somebody sets its clock.
 *
 * @param now_ms  the world's clock, asked whenever something is done
 */
export function createSimulatedPlug(day: Day, minute: number, now_ms: () => number): SimulatedPlug {
  /** Minutes since the first day of the calendar on its own clock, and when that was in the world. */
  let clock = day * MINUTES_PER_DAY + minute;
  let since = now_ms();
  let speed = 1;
  let powered = true, remembers = true, clockLost = false; // prettier-ignore
  let schedule: readonly PlugEntry[] = [];
  /** The clock stood still since the power went. */
  let stopped = false;

  /** Lets the clock come up to now. */
  function tick(): void {
    const now = now_ms();
    if (!stopped) clock += ((now - since) / 60_000) * speed;
    since = now;
  }

  function state(): PlugState {
    tick();
    const today = Math.floor(clock / MINUTES_PER_DAY);
    const at = clock - today * MINUTES_PER_DAY;
    const entry = entryOn(schedule, today);
    return {
      day: today,
      minute: Math.floor(at),
      on: powered && isLit(schedule, today, at),
      powered,
      clockLost,
      remembers,
      speed,
      schedule,
      entry,
    };
  }

  return {
    state: async () => state(),
    async setSchedule(entries) {
      schedule = [...entries].sort((a, b) => a.from - b.from);
    },
    async setClock(to, at) {
      tick();
      clock = to * MINUTES_PER_DAY + at;
      clockLost = false;
    },
    async setSpeed(times) {
      if (!(times >= 1 && times <= MOST_SPEED)) throw new RangeError(`speed must be 1 … ${MOST_SPEED}, got ${times}`);
      tick();
      speed = times;
    },
    async setPower(on) {
      tick();
      if (on === powered) return;
      powered = on;
      if (on) {
        if (stopped) {
          // It does not know how long it was gone: midnight of the day that it last knew.
          clock = Math.floor(clock / MINUTES_PER_DAY) * MINUTES_PER_DAY;
          clockLost = true;
        }
        stopped = false;
      } else stopped = !remembers;
    },
    async setRemembers(does) {
      tick();
      remembers = does;
    },
    close: async () => undefined,
  };
}

/** The entry in force on a day: the last that has begun; before the first one the first. */
const entryOn = (schedule: readonly PlugEntry[], day: Day): PlugEntry | null =>
  schedule.findLast((e) => e.from <= day) ?? schedule[0] ?? null;

/** Whether a schedule has its lamps lit at a minute of a day; what was lit yesterday may burn past midnight. */
export function isLit(schedule: readonly PlugEntry[], day: Day, minute: number): boolean {
  const today = entryOn(schedule, day);
  const yesterday = entryOn(schedule, day - 1);
  const within = (e: PlugEntry | null, at: number) =>
    e !== null &&
    blocksOf(e).some((b) => {
      // Blocks that begin before the entry's own time are the next morning's.
      const from = b.on_min < e.on_min ? b.on_min + MINUTES_PER_DAY : b.on_min;
      return at >= from && at < from + b.lit_min;
    });
  return within(today, minute) || within(yesterday, minute + MINUTES_PER_DAY);
}
