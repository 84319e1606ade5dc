import { demoSite } from '../../../store/site/demoSite';
import { readTableText } from '../../../store/files/readTableText';
import { tables } from '../../things/tables/libraryTables';
import { guessColumns, readTable } from '../../measure/reading/readingTable';
import { benchStandOf } from '../../answer/stand/benchStand';
import { readingsCsv } from './readingsCsv';

const site = demoSite('en-GB');
const tier = benchStandOf(
  site,
  site.stands.find((s) => s.id === 'demo-rack')!,
  tables,
).tiers[3]!;

test('what goes out as CSV comes in again: places, times and numbers are the same', () => {
  const text = readingsCsv(tier.tier, tier.known.compared, () => 'Yellow lux meter');
  const rows = readTableText(text);
  if (!rows.ok) throw new Error(rows.problems[0]!.code);
  const plan = guessColumns(rows.value);
  expect(plan.columns.slice(0, 5)).toEqual(['time', 'nothing', 'value', 'unit', 'dark']);
  const read = readTable(rows.value, plan);
  if (!read.ok) throw new Error(read.problems[0]!.code);
  expect(read.value.problems).toEqual([]);
  expect(read.value.readings.map(({ x, y, z, value, taken_ms }) => [x, y, z, value, taken_ms])).toEqual(
    tier.tier.readings.map((r) => [
      expect.closeTo(r.dx + tier.tier.width / 2, 3),
      expect.closeTo(r.dy + tier.tier.depth / 2, 3),
      expect.closeTo(r.z, 3),
      r.value,
      r.taken_ms,
    ]),
  );
});

test('a meter’s name is no formula for a spreadsheet, and quotes are doubled', () => {
  const text = readingsCsv(tier.tier, tier.known.compared.slice(0, 1), () => '=cmd|"x"');
  expect(text.split('\r\n')[1]).toContain(`,"'=cmd|""x""",`);
});
