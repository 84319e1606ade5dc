import { createStore, type StoreApi } from 'zustand/vanilla';
import { dayAt, type Day } from '../../core/units/day';

/** Which day it is. */
export interface DayState {
  readonly today: Day;
}
export type DayStore = StoreApi<DayState>;

export const createDayStore = (): DayStore => createStore(() => ({ today: dayAt(Date.now()) }));

/** How often it is asked whether the day has changed. */
const EVERY_MS = 60_000;

/** Keeps the day up to date, in the time zone of the household; also after a machine has slept. Returns the end of it. */
export function followDay(days: DayStore, timeZone: () => string | null): () => void {
  const look = () => {
    const today = dayAt(Date.now(), timeZone() ?? undefined);
    if (today !== days.getState().today) days.setState({ today });
  };
  look();
  const every = setInterval(look, EVERY_MS);
  document.addEventListener('visibilitychange', look);
  return () => {
    clearInterval(every);
    document.removeEventListener('visibilitychange', look);
  };
}
