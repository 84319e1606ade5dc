/** @jest-environment jsdom */
import '../../../test/indexedDb';
import type { ChartAsked, HangChart } from '../../core/plan/hang/HangChart';
import { logIt } from '../../core/site/growth/changeGrowth';
import { dayFrom } from '../../core/units/day';
import { asOf } from '../../core/answer/stand/asOf';
import { tables } from '../../core/things/tables/libraryTables';
import { readSite } from '../form/readSite';
import { writeSite } from '../form/writeSite';
import { demoSite } from '../site/demoSite';
import { chartKeyOf, openKeptCharts } from './keptCharts';

const from = dayFrom(2027, 2, 20);
const site = demoSite('en-GB', from);
const [rack, sill] = site.stands;
const question: ChartAsked = { site, standId: rack!.id, from, timerStep_min: 15 };
const note = { id: 'n', day: from, what: 'height', height: 0.2, stage: null } as const;
const batchOf = (stand: typeof rack) => stand!.tiers.flatMap((t) => t.trays)[0]!.batchId;

test('a chart is found again for the same question only', async () => {
  const charts = openKeptCharts('b1');
  const chart = { standId: rack!.id, from, until: from + 9, visits: [] } as unknown as HangChart;
  expect(await charts.find(question)).toBeNull();
  await charts.keep(question, chart);
  expect(await charts.find({ ...question, site: structuredClone(site) })).toEqual(chart);
  const read = readSite(JSON.parse(JSON.stringify(writeSite(site))));
  if (!read.ok) throw new Error('not read');
  expect(await charts.find({ ...question, site: asOf(read.value, from, tables) })).toEqual(chart);
  for (const other of [
    { ...question, from: from + 1 },
    { ...question, timerStep_min: 1 },
    { ...question, site: { ...site, quiet: { from_min: 1, to_min: 2 } } },
    { ...question, site: logIt(batchOf(rack), note)(site) },
  ])
    expect(await charts.find(other)).toBeNull();
  expect(await openKeptCharts('b2').find(question)).toBeNull();
});

test('what happens to other stands, or in the clinic, changes nothing of it', () => {
  const key = chartKeyOf(question, 'b');
  expect(chartKeyOf({ ...question, site: logIt(batchOf(sill), note)(site) }, 'b')).toBe(key);
  expect(chartKeyOf({ ...question, site: { ...site, clinic: [], trials: [] } }, 'b')).toBe(key);
});
