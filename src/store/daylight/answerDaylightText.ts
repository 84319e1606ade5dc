import { plainToInstance } from 'class-transformer';
import { validateSync } from 'class-validator';
import { leanOf } from '../../core/answer/daylight/leanOf';
import { askedAt } from '../../core/answer/daylight/sillsOf';
import { daylightYear, type DaylightQuestion } from '../../core/plan/daylight/daylightYear';
import { showClock } from '../../core/units/clock';
import { isoOf } from '../../core/units/day';
import { fail, ok, type Problem, type Result } from '../../core/units/result';
import { problemsOf } from '../form/problemsOf';
import { listInList, readJson } from '../form/readJson';
import { placeOfFile, windowOfFile } from '../form/WindowFile';
import { DaylightFile } from './DaylightFile';

/** The longest question that is read. */
export const MAX_WINDOW_BYTES = 200_000;
const MAX_DEPTH = 8;
const PARTS = 144;

/** A month at a place, as it goes out. */
export interface MonthReply {
  readonly month: number;
  readonly mean_mol_per_m2_d: number;
  readonly low_mol_per_m2_d: number;
  readonly high_mol_per_m2_d: number;
  readonly sun_h: number;
  readonly strongest_umol_per_m2_s: number;
  readonly strongest_at: string;
  readonly lean: number | null;
}

/** The answer as it goes out at both doors. */
export type DaylightReply = { readonly format: 'copper-noon/daylight'; readonly version: 1 } & (
  | {
      readonly ok: true;
      readonly places: readonly { readonly months: readonly MonthReply[]; readonly days_mol_per_m2_d: readonly number[] }[];
    }
  | { readonly ok: false; readonly problems: readonly Problem[] }
);

/** Reads a question about a window as text: JSON, not too large, not too deep, every field checked. */
export function readDaylightText(text: string): Result<DaylightQuestion> {
  if (text.length > MAX_WINDOW_BYTES)
    return fail({ code: 'file/too-large', at: '', found: text.length, expected: String(MAX_WINDOW_BYTES) });
  const json = readJson(text, MAX_DEPTH);
  if (!json.ok) return json;
  const data = json.value;
  if (typeof data !== 'object' || data === null || Array.isArray(data))
    return fail({ code: 'window/not-an-object', at: '', found: typeof data });
  const nested = listInList(data, '');
  if (nested !== null) return fail({ code: 'file/list-in-list', at: nested });
  const file = plainToInstance(DaylightFile, withUsual(data as Record<string, unknown>));
  const errors = validateSync(file, { whitelist: true, forbidNonWhitelisted: true, forbidUnknownValues: true });
  if (errors.length > 0) return fail(...errors.flatMap((e) => problemsOf(e, 'window')));
  const { horizon } = file.window;
  const falling = horizon.findIndex((p, i) => i > 0 && p.azimuth_deg < horizon[i - 1]!.azimuth_deg);
  if (falling >= 0) return fail({ code: 'window/not-rising', at: `window.horizon[${falling}].azimuth_deg` });
  const window = windowOfFile(file.window);
  const place = placeOfFile(file.place);
  return ok({
    year: file.year,
    place,
    climate: { kind: file.climate.kind, name: file.climate.name, sunshine: file.climate.sunshine },
    timeZone: file.timeZone ?? 'UTC',
    parts: PARTS,
    sills: file.at.map((a) => askedAt(window, { depth: a.depth_m, along: a.along_m, over: a.over_m }, place)),
    timer: null,
  });
}

/** What a window need not say: as a bare one. */
function withUsual(data: Record<string, unknown>): Record<string, unknown> {
  const window = typeof data.window === 'object' && data.window !== null ? data.window : null;
  return {
    ...data,
    window: window && { id: 'window', name: 'window', sill_m: 0.9, reveal_m: 0, dirt: 'usual', frame: 0.2, curtain: 1, overhang: null, blind: null, horizon: [], inside: null, readings: [], ...window }, // prettier-ignore
  };
}

/** The door for scripts: text in, a year of daylight out; what it says does not depend on who asks. */
export function answerDaylightText(text: string): DaylightReply {
  const head = { format: 'copper-noon/daylight', version: 1 } as const;
  const question = readDaylightText(text);
  if (!question.ok) return { ...head, ok: false, problems: question.problems };
  const { year } = daylightYear(question.value);
  return {
    ...head,
    ok: true,
    places: year.places.map((p) => ({
      months: p.months.map((m, i) => ({
        month: i + 1,
        mean_mol_per_m2_d: m.mean,
        low_mol_per_m2_d: m.low,
        high_mol_per_m2_d: m.high,
        sun_h: m.sunHours,
        strongest_umol_per_m2_s: m.strongest.ppfd,
        strongest_at: m.strongest.ppfd > 0 ? `${isoOf(m.strongest.day)} ${showClock(m.strongest.minute, '24')}` : '',
        lean: leanOf(m),
      })),
      days_mol_per_m2_d: [...p.mean],
    })),
  };
}
