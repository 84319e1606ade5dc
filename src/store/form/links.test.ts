import type { Site } from '../../core/site/stand/Site';
import { dayFrom } from '../../core/units/day';
import { exportSite } from '../files/exportSite';
import { demoSite } from '../site/demoSite';
import { copyOf, keepCrop, noteCrop } from '../../core/site/crop/changeCrops';
import { tables } from '../../core/things/tables/libraryTables';
import { readSite } from './readSite';

/** Whatever refers to something must find it, and ids are given once. */

const day = dayFrom(2027, 2, 20);
const base = demoSite('en-GB', day);
const rack = base.stands.find((s) => s.id === 'demo-rack')!;
const site = [
  keepCrop(copyOf(tables.crop('celery')!, 'own-celery', 'Our celery')),
  noteCrop({ id: 'note-1', cropId: 'own-celery', day, outcome: 'good', text: 'Short.' }),
  noteCrop({ id: 'note-2', cropId: 'leek', day, outcome: null, text: 'Late.' }),
].reduce<Site>((s, change) => change(s), { ...base, spares: [{ lampId: 'led-bar-12-white-24', count: 1 }] });

type Loose = Record<string, never> & Record<string, unknown>;
/* eslint-disable @typescript-eslint/no-explicit-any */
const file = (): any => JSON.parse(exportSite(site)) as Loose;
const R = site.stands.indexOf(site.stands.find((s) => s.id === rack.id)!);
const tier = (f: any) => f.stands[R].tiers[0];
const at = `stands[${R}].tiers[0]`;
const problems = (change: (f: any) => void): string[] => {
  const f = file();
  change(f);
  const read = readSite(f);
  return read.ok ? [] : read.problems.map((p) => `${p.code} ${p.at}`);
};

test('as it is, everything finds what it refers to', () => expect(problems(() => undefined)).toEqual([]));

test.each<[string, (f: any) => void]>([
  [`site/missing ${at}.programmeId`, (f) => (tier(f).programmeId = 'gone')],
  [`site/missing ${at}.fittings[0].lampId`, (f) => (tier(f).fittings[0].lampId = 'gone')],
  [`site/missing ${at}.trays[0].batchId`, (f) => (tier(f).trays[0].batchId = 'gone')],
  [`site/missing ${at}.trays[0].containerId`, (f) => (tier(f).trays[0].containerId = 'gone')],
  [`site/missing ${at}.trays[0].coverId`, (f) => (tier(f).trays[0].coverId = 'gone')],
  ['site/missing spares[0].lampId', (f) => (f.spares[0].lampId = 'gone')],
  ['site/missing cropNotes[1].cropId', (f) => (f.cropNotes[1].cropId = 'gone')],
  ['site/missing batches[0].cropId', (f) => (f.batches[0].cropId = 'gone')],
  ['site/missing batches[0].stage', (f) => (f.batches.find((b: any) => b.cropId === 'leek').stage = 'maintenance')],
  [`site/missing stands[${R}].plugged[0].programmeId`, (f) => (f.stands[R].plugged[0].programmeId = 'gone')],
  [`site/id-twice ${at}.id`, (f) => (tier(f).id = f.stands[0] === f.stands[R] ? f.batches[0].id : f.stands[0].id)],
  [`site/id-twice ${at}.fittings[1].id`, (f) => (tier(f).fittings[1].id = tier(f).fittings[0].id)],
  [`site/id-twice ${at}.trays[1].id`, (f) => (tier(f).trays[1].id = tier(f).trays[0].id)],
  ['site/id-twice batches[1].id', (f) => (f.batches[1].id = f.batches[0].id)],
  ['site/id-twice programmes[1].id', (f) => (f.programmes[1].id = f.programmes[0].id)],
  ['site/id-twice cropNotes[1].id', (f) => (f.cropNotes[1].id = f.cropNotes[0].id)],
  ['site/id-twice stands[1].id', (f) => (f.stands[1].id = f.stands[0].id)],
  ['site/not-rising visits.away[0].to', (f) => (f.visits.away = [{ from: '2027-03-02', to: '2027-03-01' }])],
  [`site/not-rising ${at}.daylight.to_min`, (f) => (tier(f).daylight = { dli_mol: 3, from_min: 600, to_min: 600 })],
])('%s', (problem, change) => {
  const found = problems(change);
  if (problem.includes('batches[0].stage')) expect(found.some((p) => /^site\/missing batches\[\d+\]\.stage$/.test(p))).toBe(true);
  else expect(found).toContain(problem);
});

test.each<[string, (f: any) => void]>([
  ['a trip of one day', (f) => (f.visits.away = [{ from: '2027-03-02', to: '2027-03-02' }])],
  ['daylight of a minute', (f) => (tier(f).daylight = { dli_mol: 3, from_min: 600, to_min: 601 })],
  ['a tray of no container, without a cover', (f) => Object.assign(tier(f).trays[0], { containerId: null, coverId: null })],
  ['a thing that is always plugged in', (f) => (f.stands[R].plugged[0].programmeId = null)],
  ['a tier without lamps and trays on a stand that is built', (f) => Object.assign(tier(f), { fittings: [], trays: [] })],
])('%s is sound', (_, change) => expect(problems(change)).toEqual([]));

test('what is laid out by numbers has lamps and trays', () => {
  const s = site.stands.findIndex((x) => x.autoArranged);
  for (const part of ['fittings', 'trays'])
    expect(problems((f) => (f.stands[s].tiers[0][part] = []))).toContain(`site/empty stands[${s}].tiers[0]`);
});
/* eslint-enable */
