import { fail, ok, type Problem, type Result } from '../../units/result';
import { isDark, type Spectrum } from './Spectrum';

const MOST_CHARACTERS = 500_000;
const MOST_LINES = 5000;
/** What a spectrum must cover to be worth anything to a plant. */
const MUST_COVER = { from: 400, to: 700 } as const;

/**
 * Reads a spectrum as text of two columns, wavelength in nm and relative power for each nanometre, and puts it on even
 * steps of 5 nm (of 1 nm where it is finer). Columns may be parted by comma, semicolon, tab or blanks; with semicolon or tab
 * a comma may be the decimal sign. Lines before the first two numbers are its head.
 *
 * @returns a spectrum from 380 to 780 nm at the widest, its greatest power 1; or every line that cannot be read
 */
export function readSpectrumCsv(text: string): Result<Spectrum> {
  if (text.length > MOST_CHARACTERS)
    return fail({ code: 'spectrum/too-large', at: '', found: text.length, expected: String(MOST_CHARACTERS) });
  const lines = text.replace(/^\uFEFF/, '').split(/\r\n|\n|\r/);
  if (lines.length > MOST_LINES)
    return fail({ code: 'spectrum/too-many-lines', at: '', found: lines.length, expected: String(MOST_LINES) });
  const problems: Problem[] = [];
  const rows: [number, number][] = [];
  lines.forEach((line, i) => {
    const clean = line.trim();
    if (!clean || clean.startsWith('#')) return;
    const row = numbersOf(clean);
    if (!row) {
      if (rows.length > 0) problems.push({ code: 'spectrum/not-numbers', at: `line ${i + 1}`, found: clean.slice(0, 60) });
      return;
    }
    const [nm, power] = row;
    if (!(nm > 0 && nm < 5000)) problems.push({ code: 'spectrum/wavelength', at: `line ${i + 1}`, found: nm });
    else if (rows.length > 0 && nm <= rows[rows.length - 1]![0])
      problems.push({ code: 'spectrum/not-rising', at: `line ${i + 1}`, found: nm });
    else if (power < 0 && power > -0.01) rows.push([nm, 0]);
    else if (!(power >= 0 && power < 1e12)) problems.push({ code: 'spectrum/power', at: `line ${i + 1}`, found: power });
    else rows.push([nm, power]);
  });
  if (problems.length > 0) return fail(...problems.slice(0, 20));
  const [first, last] = [rows[0]?.[0] ?? Infinity, rows[rows.length - 1]?.[0] ?? -Infinity];
  if (rows.length < 10 || first > MUST_COVER.from || last < MUST_COVER.to) {
    return fail({
      code: 'spectrum/does-not-cover',
      at: '',
      found: rows.length < 10 ? `${rows.length} lines` : `${first}–${last} nm`,
      expected: '400–700 nm',
    });
  }
  const gaps = rows.slice(1).map(([nm], i) => nm - rows[i]![0]);
  const step = Math.min(...gaps) < 2.5 ? 1 : 5;
  const even = (nm: number) => between(rows, nm);
  const n = Math.floor((780 - 380) / step) + 1;
  const power = Array.from({ length: n }, (_, i) => even(380 + i * step));
  const most = Math.max(...power);
  const spectrum: Spectrum = { start: 380, step, power: power.map((p) => (most > 0 ? Math.round((p / most) * 1e6) / 1e6 : 0)) };
  return isDark(spectrum) ? fail({ code: 'spectrum/dark', at: '' }) : ok(spectrum);
}

function numbersOf(line: string): [number, number] | null {
  const parts = /[;\t]/.test(line) ? line.split(/\s*[;\t]\s*/).map((p) => p.replace(',', '.')) : line.split(/\s*,\s*|\s+/);
  const [a, b] = parts.filter((p) => p !== '');
  if (a === undefined || b === undefined) return null;
  const [nm, power] = [Number(a), Number(b)];
  return Number.isFinite(nm) && Number.isFinite(power) ? [nm, power] : null;
}

/** By straight lines between the rows; nothing beyond them. */
function between(rows: readonly (readonly [number, number])[], nm: number): number {
  if (nm < rows[0]![0] || nm > rows[rows.length - 1]![0]) return 0;
  let low = 0, high = rows.length - 1; // prettier-ignore
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if (rows[middle]![0] <= nm) low = middle;
    else high = middle;
  }
  const [a, b] = [rows[low]!, rows[high]!];
  return b[0] > a[0] ? a[1] + ((b[1] - a[1]) * (nm - a[0])) / (b[0] - a[0]) : a[1];
}
