import { readTableText } from '../../../store/files/readTableText';
import { guessColumns, headOf, readTable, type ColumnPlan } from './readingTable';

const rowsOf = (text: string) => {
  const cut = readTableText(text);
  if (!cut.ok) throw new Error(cut.problems[0]!.code);
  return cut.value;
};
const codes = (text: string) => {
  const cut = readTableText(text);
  return cut.ok ? [] : cut.problems.map((p) => p.code);
};
function read(text: string, change: Partial<ColumnPlan> = {}) {
  const rows = rowsOf(text);
  const result = readTable(rows, { ...guessColumns(rows), ...change });
  if (!result.ok) throw new Error(result.problems[0]!.code);
  return result.value;
}

test.each([
  ['x cm,y cm,height cm,lux\n30,22,12,8400', { x: 0.3, y: 0.22, z: 0.12, value: 8400, unit: 'lx' }],
  ['Left (in);Front (in);PPFD\n12;6;151', { x: 0.3048, y: 0.1524, z: null, value: 151, unit: 'umol' }],
  ['x_m\ty_m\tfc\n0.5\t0.25\t780', { x: 0.5, y: 0.25, z: null, value: 780, unit: 'fc' }],
  ['x mm,lux\n305,"8,400"', { x: 0.305, y: null, z: null, value: 8400, unit: 'lx' }],
  ['time,lux\n2026-03-14T19:10:00Z,1.2klx', { value: 1200, taken_ms: Date.UTC(2026, 2, 14, 19, 10) }],
  ['30,20,850 lx\n31,20,860 lx', { x: 0.3, y: 0.2, value: 850, unit: 'lx' }],
  ['850\n860\n870', { x: null, value: 850, unit: 'lx' }],
])('%j is understood without asking', (text, first) => {
  const found: object = read(text).readings[0]!;
  for (const [key, value] of Object.entries(first))
    expect(found).toMatchObject({ [key]: typeof value === 'number' ? expect.closeTo(value, 9) : value });
});

test('lines that can’t be are named by their number and reason, the others come back', () => {
  const { readings, problems } = read('x cm,lux\n10,800\nten,900\n20,=HYPERLINK("x")\n30,1e9\n\n40,0\n-9999,5\n50,700');
  expect(readings.map((r) => [r.line, r.value])).toEqual([
    [2, 800],
    [8, 700],
  ]);
  expect(problems.map((p) => `${p.code} ${p.at}`)).toEqual([
    'table/no-length line 3',
    'table/no-light line 4',
    'table/no-light line 5',
    'table/nothing line 6',
    'table/no-length line 7',
  ]);
});

test('a time that is none, and a table without a column of values, are refused', () => {
  expect(read('time,lux\nyesterday,800').problems[0]).toMatchObject({ code: 'table/no-time', found: 'yesterday' });
  const rows = rowsOf('a,b\n1,2');
  const none = readTable(rows, { columns: ['nothing', 'nothing'], unit: 'lx', length: 'cm', headed: true });
  expect(none.ok ? '' : none.problems[0]!.code).toBe('table/no-value');
});

test.each([
  ['', 'table/empty'],
  ['  \n ', 'table/empty'],
  ['1,2\n'.repeat(100_000), 'table/too-long'],
  ['9'.repeat(500_000), 'table/too-long'],
  [`${'1,'.repeat(200)}1`, 'table/too-wide'],
  ['x,lux\n"never closed,850\n1,2', 'table/quotes'],
])('hostile or hopeless text is refused before it is cut up', (text, code) => {
  expect(codes(text)).toEqual([code]);
});

test('more lines than a tier holds are refused with the number', () => {
  const rows = Array.from({ length: 2001 }, () => ['850']);
  const result = readTable(rows, { columns: ['value'], unit: 'lx', length: 'cm', headed: false });
  expect(result.ok ? null : result.problems[0]).toMatchObject({ code: 'table/too-long', found: 2001 });
});

test('a unit in a column of its own, and what the lamps off left, are understood; what is no unit is named', () => {
  const { readings, problems } = read('lux,unit,daylight\n780,fc,20\n151,umol,\n900,candles,\n800,lx,900');
  expect(readings.map(({ value, unit, dark }) => [value, unit, dark])).toEqual([
    [780, 'fc', 20],
    [151, 'umol', 0],
  ]);
  expect(problems.map((p) => p.code)).toEqual(['table/no-unit', 'table/no-dark']);
});

test('a table is known again by its head, whatever the case', () => {
  expect(headOf([['X cm', ' Lux ']])).toBe(headOf([['x CM', 'lux']]));
  expect(headOf([['a'.repeat(900)]]).length).toBeLessThanOrEqual(400);
});
