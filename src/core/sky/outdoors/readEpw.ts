import { fail, ok, type Problem, type Result } from '../../units/result';
import { outdoorsOver, type Place } from './outdoorsAt';
import type { Climate } from './climates';

/** What a weather file says of a place. */
export interface WeatherFile {
  readonly place: Place;
  readonly climate: Climate;
  /** Mean of the nights' minima by month, °C; null where the file states no temperatures. */
  readonly nights: readonly number[] | null;
}

const RAD = Math.PI / 180;
const HEADER = 8;
const HOURS = [8760, 8784];
const MOST_LETTERS = 4_000_000;
const COLUMNS = { month: 1, day: 2, hour: 3, dryBulb: 6, global: 13 } as const;
/** More than this no hour brings on level ground, Wh m⁻²; beyond it a file is in another unit. */
const MOST_GLOBAL = 1400;

/**
 * Reads a year of hours in EPW, the open weather format of building simulation, and turns its global light into shares of sunshine by
 * month: as many clear days among overcast ones as bring the same sum.
 *
 * @returns every problem with its line; months without any light get a share of a half, which does nothing
 * Source: EnergyPlus Auxiliary Programs, "EnergyPlus Weather File (EPW) Data Dictionary".
 */
export function readEpw(text: string): Result<WeatherFile> {
  if (text.length > MOST_LETTERS) return fail({ code: 'epw/too-long', at: '', expected: String(MOST_LETTERS) });
  const lines = text.replace(/\r\n?/g, '\n').trimEnd().split('\n');
  const head = lines[0]?.split(',') ?? [];
  if (head[0] !== 'LOCATION') return fail({ code: 'epw/no-location', at: 'line 1' });
  const [latitude, longitude, zone] = [6, 7, 8].map((i) => numberIn(head[i]));
  const problems: Problem[] = [];
  const within = (value: number | undefined, most: number, at: string) => {
    if (value === undefined || !(Math.abs(value) <= most)) problems.push({ code: 'epw/not-a-number', at, found: value });
  };
  within(latitude, 90, 'line 1, latitude');
  within(longitude, 180, 'line 1, longitude');
  within(zone, 14, 'line 1, time zone');
  const rows = lines.slice(HEADER);
  if (!HOURS.includes(rows.length)) problems.push({ code: 'epw/hours', at: '', found: rows.length, expected: '8760' });
  if (problems.length > 0) return fail(...problems);
  const place: Place = { latitude: latitude! * RAD, longitude: longitude! * RAD };
  const [seen, clear, overcast] = [twelve(), twelve(), twelve()];
  const coldest = new Map<string, number>();
  for (let i = 0; i < rows.length; i++) {
    const cells = rows[i]!.split(',');
    const at = `line ${HEADER + i + 1}`;
    const [month, day, global] = [COLUMNS.month, COLUMNS.day, COLUMNS.global].map((c) => numberIn(cells[c]));
    if (month === undefined || !(Number.isInteger(month) && month >= 1 && month <= 12) || day === undefined || !(day >= 1 && day <= 31)) {
      problems.push({ code: 'epw/not-a-date', at });
    } else if (global === undefined || !(global >= 0 && global < 9999))
      problems.push({ code: 'epw/no-light', at, found: cells[COLUMNS.global] });
    else if (global > MOST_GLOBAL) problems.push({ code: 'epw/too-bright', at, found: global, expected: String(MOST_GLOBAL) });
    else {
      seen[month - 1]! += global;
      const dryBulb = numberIn(cells[COLUMNS.dryBulb]);
      // Missing temperatures are written as 99.9.
      if (dryBulb !== undefined && dryBulb > -70 && dryBulb < 70) {
        const date = `${month} ${day}`;
        coldest.set(date, Math.min(coldest.get(date) ?? Infinity, dryBulb));
      }
    }
    if (problems.length >= 20) break;
  }
  if (problems.length > 0) return fail(...problems);
  // Any year will do for what a sky without a cloud would have brought.
  for (let day = 0; day < 365; day++) {
    const start = Date.UTC(2027, 0, 1) + day * 86_400_000 - zone! * 3_600_000;
    const month = new Date(Date.UTC(2027, 0, 1 + day)).getUTCMonth();
    for (const m of outdoorsOver(start, 24, place)) {
      clear[month]! += m.clear.global;
      overcast[month]! += m.overcast.global;
    }
  }
  const sunshine = seen.map((sum, m) =>
    clear[m]! > 1 ? Math.min(1, Math.max(0, (sum - overcast[m]!) / (clear[m]! - overcast[m]!))) : 0.5,
  );
  const name = (head[1] ?? '').trim().slice(0, 80);
  return ok({ place, climate: { kind: 'file', name, sunshine }, nights: nightsOf(coldest) });
}

/** Means by month of the coldest hours of each day; null where a month has none. */
function nightsOf(coldest: ReadonlyMap<string, number>): number[] | null {
  const months = twelve().map((_, m) => [...coldest].filter(([date]) => date.startsWith(`${m + 1} `)).map(([, t]) => t));
  if (months.some((days) => days.length < 20)) return null;
  return months.map((days) => Math.round((days.reduce((a, b) => a + b, 0) / days.length) * 10) / 10);
}

const twelve = (): number[] => new Array<number>(12).fill(0);

function numberIn(cell: string | undefined): number | undefined {
  const value = cell === undefined || cell.trim() === '' ? NaN : Number(cell);
  return Number.isFinite(value) ? value : undefined;
}
