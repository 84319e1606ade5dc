import { parse } from 'papaparse';
import { lineAt } from '../form/lineAt';
import { fail, ok, type Result } from '../../core/units/result';
import { MOST_READINGS } from '../../core/site/reading/Reading';
import { MOST_COLUMNS } from '../../core/measure/reading/readingTable';

/** The largest table that is read: two thousand lines of two hundred letters. */
export const MAX_TABLE_BYTES = 400_000;

/**
 * Cuts the text of a table into its cells: commas, semicolons or tabs, quoted or not. Longer and wider tables than a tier can
 * hold are refused before they are cut up.
 */
export function readTableText(text: string): Result<string[][]> {
  if (text.trim() === '') return fail({ code: 'table/empty', at: '' });
  const lines = (text.match(/\n/g)?.length ?? 0) + 1;
  if (text.length > MAX_TABLE_BYTES || lines > MOST_READINGS + 50)
    return fail({ code: 'table/too-long', at: '', found: lines, expected: String(MOST_READINGS) });
  const plain = text.replace(/^\uFEFF/, '');
  const { data, errors } = parse<string[]>(plain, {
    skipEmptyLines: 'greedy',
    delimitersToGuess: [',', ';', '\t', '|'],
  });
  const broken = errors.find((e) => e.type === 'Quotes');
  if (broken) return fail({ code: 'table/quotes', at: `line ${lineAt(plain, broken.index ?? 0)}` });
  const wide = data.findIndex((row) => row.length > MOST_COLUMNS);
  if (wide >= 0) return fail({ code: 'table/too-wide', at: `line ${wide + 1}`, found: data[wide]!.length, expected: String(MOST_COLUMNS) });
  if (data.length === 0) return fail({ code: 'table/empty', at: '' });
  return ok(data);
}
