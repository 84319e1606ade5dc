import 'reflect-metadata';
import { deflateSync, strToU8 } from 'fflate';
import Papa from 'papaparse';
import { dayFrom } from '../../core/units/day';
import { logIt } from '../../core/site/growth/changeGrowth';
import { demoSite } from '../site/demoSite';
import { exportSite } from './exportSite';
import { linkOf, readLink } from './showLink';
import { tablesCsv } from './tablesCsv';

const site = demoSite('en-GB', dayFrom(2027, 3, 15));
const hashOf = (link: string) => new URL(link).hash;
const packed = (bytes: Uint8Array) => `#1.${Buffer.from(bytes).toString('base64url')}`;
const codeOf = (hash: string) => {
  const read = readLink(hash);
  return read.ok ? null : read.problems[0]!.code;
};

test.each(site.stands.map((s) => [s.name, s.id] as const))('a link to %s holds the stand and nothing of the rest', (_, id) => {
  const link = linkOf(site, id, 'http://localhost:3000');
  if (!link.ok) throw new Error(`${link.problems[0]!.code} ${String(link.problems[0]!.found)}`);
  expect(new URL(link.value).pathname).toBe('/show');
  expect(new URL(link.value).search).toBe('');
  const read = readLink(hashOf(link.value));
  if (!read.ok) throw new Error(JSON.stringify(read.problems));
  const shown = read.value;
  expect(shown.stands.map((s) => s.id)).toEqual([id]);
  expect([shown.clinic, shown.trials, shown.jobMarks, shown.lampPrices, shown.season]).toEqual([[], [], [], [], null]);
  const was = site.stands.find((s) => s.id === id)!;
  expect(shown.stands[0]!.tiers.map((t) => [t.fittings, t.trays])).toEqual(was.tiers.map((t) => [t.fittings, t.trays]));
});

test('words of the journal and the street do not go with it', () => {
  const secret = logIt(site.stands.find((s) => s.id === 'demo-sill')!.tiers[0]!.trays[0]!.batchId, { id: 'x', day: 20_000, what: 'note', height: null, stage: null, text: 'key under the mat' })(site); // prettier-ignore
  const link = linkOf(secret, 'demo-sill', 'http://localhost');
  const read = link.ok && readLink(hashOf(link.value));
  if (!read || !read.ok) throw new Error('no link');
  expect(JSON.stringify(read.value)).not.toContain('key under');
  expect((read.value.place!.latitude * 180) / Math.PI).toBeCloseTo(Math.round((site.place!.latitude * 1800) / Math.PI) / 10, 9);
});

test('what is no link of ours is refused by name', () => {
  expect(codeOf('')).toBe('link/not-ours');
  expect(codeOf('#2.abc')).toBe('link/not-ours');
  expect(codeOf('#1.!!!')).toBe('link/not-ours');
  expect(codeOf('#1.abcd')).toBe('link/damaged');
  const whole = linkOf(site, 'demo-sill', 'http://localhost');
  const hash = whole.ok ? hashOf(whole.value) : '';
  for (const cut of [5, 100, 900]) expect(codeOf(hash.slice(0, -cut))).toBe('link/damaged');
  expect(codeOf(`#1.${'A'.repeat(40_000)}`)).toBe('link/too-long');
  // A bomb: small in the address, large when unrolled.
  expect(codeOf(packed(deflateSync(new Uint8Array(5_000_000), { level: 9 })))).toBe('file/too-large');
  expect(codeOf(packed(deflateSync(strToU8('{"format":"another"}'))))).toBe('site/foreign');
  expect(codeOf(packed(deflateSync(strToU8(exportSite(site).replace('"width_m": 1.2', '"width_m": -4')))))).not.toBeNull();
});

test('every table has its heads, as many rows as there are things, and no formula', () => {
  const odd = { ...site, stands: site.stands.map((s, i) => (i === 0 ? { ...s, name: '=SUM(A1)' } : s)) };
  const all = tablesCsv(odd);
  const rows = (name: string) => Papa.parse<Record<string, string>>(all[name]!.trim(), { header: true }).data;
  const tiers = site.stands.flatMap((s) => s.tiers);
  expect(rows('tiers.csv')).toHaveLength(tiers.length);
  expect(rows('lamps-hung.csv')).toHaveLength(tiers.flatMap((t) => t.fittings).length);
  expect(rows('trays.csv')).toHaveLength(tiers.flatMap((t) => t.trays).length);
  expect(rows('readings.csv')).toHaveLength(tiers.flatMap((t) => t.readings).length);
  expect(rows('batches.csv')).toHaveLength(site.batches.length);
  expect(rows('season.csv')).toHaveLength(site.season!.batches.length);
  expect(rows('my-lamps.csv').map((r) => r.lamp)).toEqual(site.ownLamps.map((o) => o.name));
  expect(rows('trials.csv').length).toBeGreaterThan(5);
  expect(rows('tiers.csv')[0]!.stand).toBe("'=SUM(A1)");
  expect(Number(rows('tiers.csv')[0]!.width_m)).toBeCloseTo(tiers[0]!.width, 6);
  for (const [name, text] of Object.entries(all)) expect([name, text.split('\r\n')[0]!.length > 10]).toEqual([name, true]);
});
