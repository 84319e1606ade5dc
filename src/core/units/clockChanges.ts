import { MINUTES_PER_DAY } from './clock';
import { noonOf, type Day } from './day';

/** A day before whose noon the clocks of a place were put forward (above zero) or back. */
export interface ClockChange {
  readonly day: Day;
  readonly by_min: number;
}

/** How far the clocks of a place are ahead of the world's at noon UTC of a day, min. */
function offsetOn(format: Intl.DateTimeFormat, day: Day): number {
  const at = noonOf(day);
  const parts = Object.fromEntries(format.formatToParts(at).map((p) => [p.type, Number(p.value)]));
  const local = Date.UTC(parts.year!, parts.month! - 1, parts.day, parts.hour! % 24, parts.minute);
  return Math.round((local - at.getTime()) / 60_000);
}

const numeric = { year: 'numeric', month: 'numeric', day: 'numeric', hour: 'numeric', minute: 'numeric' } as const;
const clockOf = (timeZone: string | null) =>
  new Intl.DateTimeFormat('en-GB', { timeZone: timeZone ?? undefined, hourCycle: 'h23', ...numeric });

/** How far the clocks of a place are ahead of the world's, by the day, min. @param timeZone null: the machine's own */
export function minutesAhead(timeZone: string | null): (day: Day) => number {
  const format = clockOf(timeZone);
  return (day) => offsetOn(format, day);
}

/** How far the machine's own clocks are ahead of the world's while they are not put forward for summer, min. */
export function winterAhead(day: Day): number {
  const ahead = minutesAhead(null);
  return Math.min(ahead(day), ahead(day + 182));
}

/**
 * The days from one to another on which clocks change. Plug timers do not know of it: they have to be set.
 *
 * @param timeZone  such as `Europe/Lisbon`; null: the machine's own
 */
export function clockChanges(timeZone: string | null, from: Day, until: Day): ClockChange[] {
  const format = clockOf(timeZone);
  const changes: ClockChange[] = [];
  let before = offsetOn(format, from - 1);
  for (let day = from; day <= until; day++) {
    const now = offsetOn(format, day);
    // A place that changes the side of the date line has skipped a day, not changed its clocks.
    if (now !== before && Math.abs(now - before) < MINUTES_PER_DAY / 2) changes.push({ day, by_min: now - before });
    before = now;
  }
  return changes;
}
