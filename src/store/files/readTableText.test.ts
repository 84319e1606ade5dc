import { MOST_COLUMNS } from '../../core/measure/reading/readingTable';
import { MOST_READINGS } from '../../core/site/reading/Reading';
import { MAX_TABLE_BYTES, readTableText } from './readTableText';

const faultOf = (text: string) => {
  const read = readTableText(text);
  return read.ok ? null : read.problems[0]!;
};
const cellsOf = (text: string) => {
  const read = readTableText(text);
  return read.ok ? read.value : null;
};

test.each([',', ';', '\t', '|'])('cells between %j, quoted or not, empty lines left out', (between) => {
  const text = `\uFEFFx${between}lux\n"1${between}5"${between}2\n\n3${between}4\n`;
  expect(cellsOf(text)).toEqual([
    ['x', 'lux'],
    [`1${between}5`, '2'],
    ['3', '4'],
  ]);
});

test('as many lines as a tier holds readings, with room for a head, and not one more', () => {
  const lines = (n: number) => Array.from({ length: n }, () => '1,2').join('\n');
  expect(cellsOf(lines(MOST_READINGS + 50))).toHaveLength(MOST_READINGS + 50);
  expect(faultOf(lines(MOST_READINGS + 51))).toMatchObject({ code: 'table/too-long', found: MOST_READINGS + 51 });
  expect(faultOf('1'.repeat(MAX_TABLE_BYTES + 1))?.code).toBe('table/too-long');
  expect(faultOf(' \n\t\n')?.code).toBe('table/empty');
});

test('rows that are too wide and quotes that never end are named by their line', () => {
  const wide = Array.from({ length: MOST_COLUMNS }, (_, i) => i).join(',');
  expect(cellsOf(`${wide}\n${wide}`)).toHaveLength(2);
  expect(faultOf(`${wide}\n${wide},1`)).toMatchObject({ code: 'table/too-wide', at: 'line 2', found: MOST_COLUMNS + 1 });
  expect(faultOf('a,b\n1,2\n"3,4\n')).toMatchObject({ code: 'table/quotes', at: 'line 3' });
  expect(faultOf('a,b\n\n"1\n1",2\n"3,4\n')).toMatchObject({ code: 'table/quotes', at: 'line 5' });
});
