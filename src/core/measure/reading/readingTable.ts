import { MOST_READINGS } from '../../site/reading/Reading';
import { fail, ok, type Problem, type Result } from '../../units/result';
import type { Metres } from '../../units/quantities';
import { readLength } from '../../units/length';
import { readLight, type LightReading, type LightUnit } from '../../units/light';

/** What a column of a table of readings may hold. */
export const COLUMNS = ['value', 'unit', 'dark', 'x', 'y', 'z', 'time', 'nothing'] as const;
export type Column = (typeof COLUMNS)[number];

/** How the columns of a table are to be read; remembered for tables with the same head. */
export interface ColumnPlan {
  readonly columns: readonly Column[];
  /** The unit of values and lengths that state none. */
  readonly unit: LightUnit;
  readonly length: 'm' | 'cm' | 'mm' | 'in';
  /** The first line names the columns. */
  readonly headed: boolean;
}

/** One line of a table, understood. */
export interface TableReading extends LightReading {
  readonly line: number;
  /** With the lamps off. */
  readonly dark: number;
  /** From the left front corner of the tier and its floor; null: not stated. */
  readonly x: Metres | null;
  readonly y: Metres | null;
  readonly z: Metres | null;
  readonly taken_ms: number | null;
}

/** More columns than this are another kind of table. */
export const MOST_COLUMNS = 40;
/** Beyond this no meter shows anything, no sensor is held, and no clock was right. */
const MOST_LIGHT = 1e7;
const PLACES = { x: [-5, 10], y: [-5, 10], z: [0, 3] } as const; // m, about the largest tier
const TIMES = [Date.UTC(1990, 0), Date.UTC(2100, 0)] as const;

const HEADS: readonly (readonly [RegExp, Column])[] = [
  [/^(x|left|from left|width)(\b|_)/, 'x'],
  [/^(y|front|from front|depth)(\b|_)/, 'y'],
  [/^(z|height|above)(\b|_)/, 'z'],
  [/^(time|date|taken|when)\b/, 'time'],
  [/^unit$/, 'unit'],
  [/^(daylight|dark|lamps? off)\b/, 'dark'],
  [/(lux|lx|fc|foot|ppfd|par|[uµμ]mol|reading|value|light)/, 'value'],
];

/** Guesses what the columns of a table hold: by their heads where there are any, else by what is in them. */
export function guessColumns(rows: readonly (readonly string[])[]): ColumnPlan {
  const first = rows[0] ?? [];
  const headed = first.some((cell) => /[a-zµμ]/i.test(cell)) && !first.some((cell) => readLight(cell, 'lx').ok);
  const heads = headed ? first.map((c) => c.trim().toLowerCase()) : [];
  const width = Math.max(0, ...rows.slice(0, 50).map((r) => r.length));
  const taken = new Set<Column>();
  const columns = Array.from({ length: Math.min(width, MOST_COLUMNS) }, (_, i): Column => {
    const named = HEADS.find(([pattern, column]) => !taken.has(column) && pattern.test(heads[i] ?? ''))?.[1];
    if (named) taken.add(named);
    return named ?? 'nothing';
  });
  if (!headed) {
    const filled = rows.slice(0, 50);
    const withUnit = columns.findIndex((_, i) => filled.some((r) => /(lx|lux|fc|mol|ppfd)/i.test(r[i] ?? '')));
    const numbers = columns.map((_, i) => filled.every((r) => readLight(r[i] ?? '', 'lx').ok));
    const value = withUnit >= 0 ? withUnit : numbers.lastIndexOf(true);
    if (value >= 0) columns[value] = 'value';
    const places: Column[] = ['x', 'y', 'z'];
    columns.forEach((c, i) => {
      if (c === 'nothing' && numbers[i] && i < value && places.length > 0) columns[i] = places.shift()!;
    });
  }
  const sample = `${heads[columns.indexOf('value')] ?? ''} ${rows[1]?.[columns.indexOf('value')] ?? ''}`;
  const unit: LightUnit = /mol|ppfd|par/.test(sample) ? 'umol' : /fc|foot/.test(sample) ? 'fc' : 'lx';
  const places = heads.filter((_, i) => ['x', 'y', 'z'].includes(columns[i]!)).join(' ');
  const length = /mm/.test(places) ? 'mm' : /\bin(ch)?/.test(places) ? 'in' : /[(_ ]m\)?($|\s)/.test(places) ? 'm' : 'cm';
  return { columns, unit, length, headed };
}

/** The head of a table by which its plan is remembered. */
export const headOf = (rows: readonly (readonly string[])[]): string =>
  (rows[0] ?? [])
    .map((c) => c.trim().toLowerCase())
    .join('|')
    .slice(0, 400);

/**
 * Reads the lines of a table. Every line that can't be read is named; the others come back all the same, so that a person may
 * take them and mend the rest.
 *
 * @returns refused as a whole without a column of values, or with more lines than a tier holds
 */
export function readTable(
  rows: readonly (readonly string[])[],
  plan: ColumnPlan,
): Result<{ readings: TableReading[]; problems: Problem[] }> {
  const at = (column: Column) => plan.columns.indexOf(column);
  if (at('value') < 0) return fail({ code: 'table/no-value', at: '' });
  const lines = plan.headed ? rows.slice(1) : rows;
  if (lines.length > MOST_READINGS) return fail({ code: 'table/too-long', at: '', found: lines.length, expected: String(MOST_READINGS) });
  const readings: TableReading[] = [];
  const problems: Problem[] = [];
  lines.forEach((row, i) => {
    const line = i + (plan.headed ? 2 : 1);
    if (row.every((c) => c.trim() === '')) return;
    const bad = (code: string, found: unknown) => problems.push({ code, at: `line ${line}`, found });
    const cell = (column: Column) => (at(column) < 0 ? '' : (row[at(column)] ?? '').trim());
    const named = cell('unit') === '' ? null : readLight(`1 ${cell('unit')}`, plan.unit);
    if (named && !named.ok) return bad('table/no-unit', cell('unit').slice(0, 40));
    const bare = named?.ok ? named.value.unit : plan.unit;
    const light = readLight(cell('value'), bare);
    if (!light.ok) return bad('table/no-light', cell('value').slice(0, 40));
    if (light.value.value > MOST_LIGHT) return bad('table/too-much', light.value.value);
    if (light.value.value === 0) return bad('table/nothing', 0);
    const dark = cell('dark') === '' ? null : readLight(cell('dark'), light.value.unit);
    if (dark && (!dark.ok || dark.value.value >= light.value.value)) return bad('table/no-dark', cell('dark').slice(0, 40));
    const places: (Metres | null)[] = [];
    for (const axis of ['x', 'y', 'z'] as const) {
      const text = cell(axis);
      if (text === '') {
        places.push(null);
        continue;
      }
      const length = readLength(/^-?[\d.,]+$/.test(text) ? `${text} ${plan.length}` : text, 'cm');
      const [least, most] = PLACES[axis];
      if (!length.ok || length.value < least || length.value > most) return bad('table/no-length', `${axis}: ${text.slice(0, 40)}`);
      places.push(length.value);
    }
    const time = cell('time');
    const taken = time === '' ? null : Date.parse(time);
    if (taken !== null && !(taken >= TIMES[0] && taken < TIMES[1])) return bad('table/no-time', time.slice(0, 40));
    readings.push({
      line,
      ...light.value,
      dark: dark?.ok ? dark.value.value : 0,
      x: places[0]!,
      y: places[1]!,
      z: places[2]!,
      taken_ms: taken,
    });
  });
  return ok({ readings, problems });
}
