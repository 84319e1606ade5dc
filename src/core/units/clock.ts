import { fail, ok, type Result } from './result';

export const MINUTES_PER_DAY = 1440; // exact

/** How times of day are told: from 0 to 24, or twice from 12 to 12. */
export type ClockForm = '24' | '12';

/**
 * Reads a time of day: `6`, `6:30`, `0630`, `6.30`, `6 pm`, `6:30am`, `6:30 p.m.`.
 *
 * @param form  by a clock to 12, `7:30` is refused: it may be either, and lamps would burn at night; `07:30` and `19:30` are not
 * @returns minutes after midnight, 0 … 1439
 */
export function readClock(text: string, form: ClockForm): Result<number> {
  const parts = /^(\d{1,2})(?:[:.h]?(\d{2}))?\s*(?:([ap])\.?m\.?)?$/.exec(text.trim().toLowerCase());
  if (!parts) return fail({ code: 'clock/not-a-time', at: '', found: text });
  let hour = Number(parts[1]);
  const minute = Number(parts[2] ?? 0);
  if (parts[3] && (hour < 1 || hour > 12)) return fail({ code: 'clock/not-a-time', at: '', found: text });
  if (form === '12' && !parts[3] && hour >= 1 && hour <= 12 && !parts[1]!.startsWith('0'))
    return fail({ code: 'clock/which-half', at: '', found: text });
  if (parts[3]) hour = (hour % 12) + (parts[3] === 'p' ? 12 : 0);
  if (hour > 24 || minute > 59 || (hour === 24 && minute > 0)) return fail({ code: 'clock/not-a-time', at: '', found: text });
  return ok((hour * 60 + minute) % MINUTES_PER_DAY);
}

/** `06:30` or `6:30 am`, of any number of minutes, wrapped into the day. */
export function showClock(minutes: number, form: ClockForm): string {
  const m = ((Math.round(minutes) % MINUTES_PER_DAY) + MINUTES_PER_DAY) % MINUTES_PER_DAY;
  const [hour, minute] = [Math.floor(m / 60), String(m % 60).padStart(2, '0')];
  if (form === '24') return `${String(hour).padStart(2, '0')}:${minute}`;
  return `${hour % 12 || 12}:${minute}${UNBROKEN}${hour < 12 ? 'am' : 'pm'}`;
}

/** An hour on the scale of a drawing, 0 to 24: `06`, or `6 am`. */
export const showHourOfDay = (hour: number, form: ClockForm): string =>
  form === '24' ? String(hour).padStart(2, '0') : `${hour % 12 || 12}${UNBROKEN}${hour % 24 < 12 ? 'am' : 'pm'}`;

/** A time stays on one line. */
const UNBROKEN = '\u00a0';

/** `15 h` or `15 h 30`. */
export function showHours(minutes: number): string {
  const all = Math.round(minutes);
  const whole = Math.floor(all / 60);
  const rest = all - whole * 60;
  return rest ? `${whole} h ${String(rest).padStart(2, '0')}` : `${whole} h`;
}
