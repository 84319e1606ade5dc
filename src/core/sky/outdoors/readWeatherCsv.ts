import { fail, ok, type Problem, type Result } from '../../units/result';
import type { Share } from '../../units/quantities';
import { outdoorsOver, type Place } from './outdoorsAt';

const MOST_LETTERS = 4_000_000;
const MOST_LINES = 40_000;
/** More than this no hour brings on level ground, Wh m⁻². */
const MOST_GLOBAL = 1400;
/** Fewer whole days say nothing of a month. */
const FEWEST_DAYS = 10; // our choice
const DAY_ms = 86_400_000;

/** What hours of a weather station say of the months that they are of. */
export interface HourlyWeather {
  /** Share of sunshine by month; null: too few whole days. */
  readonly sunshine: readonly (Share | null)[];
  /** Whole days that counted. */
  readonly days: number;
}

/**
 * Reads hourly global light as CSV: a head line with the columns `time` (ISO 8601; without a zone it counts as UTC; the beginning of the hour) and
 * `global_Wh_per_m2` (mean W/m² of the hour are the same number), in any order, commas or semicolons between. Days of 24 hours count; each
 * month becomes the mixture of clear and overcast skies that brings as much at the place, over just these days.
 *
 * @param place  where it was measured
 * @returns every problem with its line, at most twenty
 */
export function readWeatherCsv(text: string, place: Place): Result<HourlyWeather> {
  if (text.length > MOST_LETTERS) return fail({ code: 'epw/too-long', at: '', expected: String(MOST_LETTERS) });
  const lines = text
    .replace(/^\uFEFF/, '')
    .replace(/\r\n?/g, '\n')
    .trimEnd()
    .split('\n');
  if (lines.length > MOST_LINES) return fail({ code: 'epw/too-long', at: '', expected: String(MOST_LINES) });
  const mark = lines[0]!.includes(';') ? ';' : ',';
  const head = lines[0]!.split(mark).map((c) => c.trim().toLowerCase());
  const [time, global] = [head.indexOf('time'), head.indexOf('global_wh_per_m2')];
  if (time < 0 || global < 0) return fail({ code: 'weather/no-column', at: 'line 1', found: time < 0 ? 'time' : 'global_Wh_per_m2' });
  const problems: Problem[] = [];
  const byDay = new Map<number, (number | undefined)[]>();
  for (let i = 1; i < lines.length && problems.length < 20; i++) {
    if (lines[i]!.trim() === '') continue;
    const cells = lines[i]!.split(mark).map((c) => c.trim());
    const at = `line ${i + 1}`;
    const ms = instantOf(cells[time] ?? '');
    const value =
      cells[global] === undefined || cells[global] === '' ? NaN : Number(cells[global]!.replace(mark === ';' ? ',' : '\0', '.'));
    if (ms === null) problems.push({ code: 'weather/not-a-time', at, found: cells[time] });
    else if (!(value >= 0)) problems.push({ code: 'epw/no-light', at, found: cells[global] });
    else if (value > MOST_GLOBAL) problems.push({ code: 'epw/too-bright', at, found: value, expected: String(MOST_GLOBAL) });
    else {
      const day = Math.floor(ms / DAY_ms);
      const hours = byDay.get(day) ?? new Array<number | undefined>(24).fill(undefined);
      hours[Math.floor((ms - day * DAY_ms) / 3_600_000)] = value;
      byDay.set(day, hours);
    }
  }
  if (problems.length > 0) return fail(...problems);
  const sums = Array.from({ length: 12 }, () => ({ days: 0, seen: 0, clear: 0, overcast: 0 }));
  for (const [day, hours] of byDay) {
    if (hours.some((h) => h === undefined)) continue;
    const sum = sums[new Date(day * DAY_ms).getUTCMonth()]!;
    sum.days++;
    hours.forEach((h) => (sum.seen += h!));
    for (const m of outdoorsOver(day * DAY_ms, 24, place)) {
      sum.clear += m.clear.global;
      sum.overcast += m.overcast.global;
    }
  }
  const days = sums.reduce((n, s) => n + s.days, 0);
  const sunshine = sums.map(({ days: n, seen, clear, overcast }) =>
    n < FEWEST_DAYS || clear - overcast < 1 ? null : Math.min(1, Math.max(0, (seen - overcast) / (clear - overcast))),
  );
  if (sunshine.every((s) => s === null)) return fail({ code: 'weather/too-few-days', at: '', found: days, expected: String(FEWEST_DAYS) });
  return ok({ sunshine, days });
}

/** Milliseconds since 1970; null: no time of a real day. */
function instantOf(text: string): number | null {
  const match = /^(\d{4})-(\d\d)-(\d\d)[T ](\d\d)(?::(\d\d)(?::\d\d(?:\.\d+)?)?)?\s*(Z|[+-]\d\d:?\d\d)?$/.exec(text);
  if (!match) return null;
  const [y, mo, d, h, mi] = match.slice(1, 6).map((p) => Number(p ?? 0)) as [number, number, number, number, number];
  const zone = match[6] && match[6] !== 'Z' ? match[6].replace(':', '') : '+0000';
  const ahead_min = (zone[0] === '-' ? -1 : 1) * (60 * Number(zone.slice(1, 3)) + Number(zone.slice(3, 5)));
  const ms = Date.UTC(y, mo - 1, d, h, mi);
  const back = new Date(ms);
  if (h > 23 || mi > 59 || back.getUTCMonth() !== mo - 1 || back.getUTCDate() !== d || y < 1950 || y > 2100) return null;
  return ms - ahead_min * 60_000;
}
