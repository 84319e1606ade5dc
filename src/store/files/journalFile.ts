import 'reflect-metadata';
import { plainToInstance } from 'class-transformer';
import { validateSync } from 'class-validator';
import { parse } from 'papaparse';
import { lineAt } from '../form/lineAt';
import type { Logged } from '../../core/site/stand/Logged';
import type { Site } from '../../core/site/stand/Site';
import { isRepeatable, logIt, MOST_LOGGED } from '../../core/site/growth/changeGrowth';
import { fail, ok, type Problem, type Result } from '../../core/units/result';
import { problemsOf } from '../form/problemsOf';
import { readJson } from '../form/readJson';
import { logOf } from '../form/readSite';
import { LoggedFile } from '../form/SeasonFile';
import { writeLog } from '../form/writeSite';

/** The largest journal that is read, and its longest. */
export const MAX_JOURNAL_BYTES = 10_000_000;
const MOST_ROWS = 50_000;

/** An entry with the batch that it is of. */
interface Row {
  readonly batch: string;
  readonly crop: string;
  readonly entry: LoggedFile;
}

/** What an opened journal adds. */
export interface JournalRead {
  readonly added: readonly { readonly batchId: string; readonly entry: Logged }[];
  /** How many of it were there already. */
  readonly known: number;
}

/** Everything that was written down, as JSON: each entry as it stands in the file of set-ups, with its batch and crop. */
export function journalJson(site: Pick<Site, 'batches'>): string {
  const entries = site.batches.flatMap((b) => writeLog(b.log).map((entry) => ({ batch: b.id, crop: b.cropId, ...entry })));
  return `${JSON.stringify({ format: 'copper-noon/journal', version: 1, entries }, null, 2)}\n`;
}

/**
 * Reads a journal back, JSON or CSV as they are written here. Each entry goes to the batch of its id, else to the only batch of its crop;
 * what is there already, by its id or word by word, is left out; so is what a day has one of, such as a height, where it has one. Nothing is taken where anything is wrong, and every fault is named.
 *
 * @param newId  for entries without one
 */
export function readJournal(text: string, site: Pick<Site, 'batches'>, newId: () => string): Result<JournalRead> {
  const rows = /^\s*\{/.test(text) ? rowsOfJson(text) : rowsOfCsv(text);
  if (!rows.ok) return rows;
  const problems: Problem[] = [];
  const added: { batchId: string; entry: Logged }[] = [];
  let known = 0;
  const ids = new Map(site.batches.map((b) => [b.id, new Set(b.log.map((l) => l.id))]));
  const words = new Map(site.batches.map((b) => [b.id, new Set(b.log.map(wordOf))]));
  const days = new Map(site.batches.map((b) => [b.id, new Set(b.log.map(dayWordOf))]));
  const named = new Set<string>();
  const room = new Map(site.batches.map((b) => [b.id, MOST_LOGGED - b.log.length]));
  rows.value.forEach(({ batch, crop, entry }, i) => {
    const at = `entries[${i}]`;
    const errors = validateSync(entry, { whitelist: true, forbidNonWhitelisted: true, forbidUnknownValues: true });
    if (errors.length > 0) return problems.push(...errors.flatMap((e) => problemsOf(e, 'journal', at)));
    const ofCrop = site.batches.filter((b) => b.cropId === crop);
    const batchId = ids.has(batch) ? batch : ofCrop.length === 1 ? ofCrop[0]!.id : null;
    if (batchId === null) return problems.push({ code: 'journal/no-batch', at: `${at}.batch`, found: batch || crop });
    // A name that two rows bear is that of the first.
    const isNamed = entry.id !== '' && !named.has(entry.id);
    named.add(entry.id);
    const [logged] = logOf([{ ...entry, id: isNamed ? entry.id : newId() }]);
    const word = wordOf(logged!);
    const isThere = !isRepeatable(logged!.what) && days.get(batchId)!.has(dayWordOf(logged!));
    if ((entry.id && ids.get(batchId)!.has(entry.id)) || words.get(batchId)!.has(word) || isThere) return known++;
    if (room.get(batchId)! <= 0) return problems.push({ code: 'journal/full', at, found: batch, expected: String(MOST_LOGGED) });
    room.set(batchId, room.get(batchId)! - 1);
    words.get(batchId)!.add(word);
    days.get(batchId)!.add(dayWordOf(logged!));
    // A photo that this browser does not have is no photo.
    const bare = { ...logged! };
    delete (bare as { photoId?: string }).photoId;
    return added.push({ batchId, entry: bare });
  });
  return problems.length > 0 ? fail(...problems.slice(0, 20)) : ok({ added, known });
}

/** The site with all entries of an opened journal. */
export const withJournal =
  ({ added }: JournalRead) =>
  (site: Site): Site =>
    added.reduce((now, { batchId, entry }) => logIt(batchId, entry)(now), site);

/** What makes two entries the same, whatever they are called. */
const wordOf = ({ day, what, text, height, weight_g, stage, air, solution, sign, place }: Logged): string =>
  JSON.stringify([day, what, text, height, weight_g, stage, air?.low, air?.high, air?.humidity, solution?.ec, solution?.ph, sign, place]);

/** Of most kinds a day has one. */
const dayWordOf = ({ day, what }: Logged): string => `${day} ${what}`;

function rowsOfJson(text: string): Result<Row[]> {
  const data = readJson(text, 8);
  if (!data.ok) return data;
  const { format, version, entries } = (data.value ?? {}) as Record<string, unknown>;
  if (format !== 'copper-noon/journal') return fail({ code: 'journal/foreign', at: 'format', found: format });
  if (version !== 1) return fail({ code: 'site/newer', at: 'version', found: version, expected: '1' });
  if (!Array.isArray(entries) || entries.length > MOST_ROWS)
    return fail({ code: 'journal/too-long', at: 'entries', expected: String(MOST_ROWS) });
  const broken = entries.findIndex((e) => typeof e !== 'object' || e === null || Array.isArray(e));
  if (broken >= 0) return fail({ code: 'journal/isObject', at: `entries[${broken}]`, expected: 'must be an object' });
  return ok(
    (entries as Record<string, unknown>[]).map(({ batch, crop, ...entry }) => ({
      batch: String(batch ?? ''),
      crop: String(crop ?? ''),
      entry: plainToInstance(LoggedFile, entry),
    })),
  );
}

function rowsOfCsv(text: string): Result<Row[]> {
  if (text.trim() === '') return fail({ code: 'table/empty', at: '' });
  const plain = text.replace(/^\uFEFF/, '');
  const { data, errors, meta } = parse<Record<string, string>>(plain, {
    header: true,
    skipEmptyLines: 'greedy',
    preview: MOST_ROWS + 1,
    delimitersToGuess: [',', ';', '\t'],
  });
  const quotes = errors.find((e) => e.type === 'Quotes');
  if (quotes) return fail({ code: 'table/quotes', at: `line ${lineAt(plain, quotes.index ?? 0)}` });
  for (const column of ['day', 'batch', 'what'])
    if (!meta.fields?.includes(column)) return fail({ code: 'journal/no-column', at: 'line 1', found: column });
  if (data.length > MOST_ROWS) return fail({ code: 'journal/too-long', at: 'line 1', expected: String(MOST_ROWS) });
  return ok(data.map(rowOfCells));
}

function rowOfCells(cells: Record<string, string>): Row {
  // A quote was put before what a spreadsheet would take for a formula.
  const text = (name: string) => (cells[name] ?? '').replace(/^'(?=[=+\-@\t\r])/, '').trim();
  const number = (name: string) => (text(name) === '' ? null : Number(text(name)));
  const [low_C, high_C, humidity_percent] = ['low_C', 'high_C', 'humidity_percent'].map(number);
  const [ec_mS_per_cm, ph] = ['ec_mS_per_cm', 'ph'].map(number);
  const what = text('what');
  return {
    batch: text('batch'),
    crop: text('crop'),
    entry: plainToInstance(LoggedFile, {
      id: text('id'),
      day: text('day'),
      what,
      height_m: number('height_m'),
      stage: text('stage') || null,
      ...(text('text') ? { text: text('text') } : {}),
      ...(number('weight_g') === null ? {} : { weight_g: number('weight_g') }),
      ...(text('sign') ? { sign: text('sign') } : {}),
      ...(number('place') === null ? {} : { place: number('place') }),
      ...(what === 'air' ? { air: { low_C, high_C, humidity_percent } } : {}),
      ...(what === 'solution' ? { solution: { ec_mS_per_cm, ph } } : {}),
    }),
  };
}
