import 'reflect-metadata';
import { parse } from 'papaparse';
import { coursesOf } from '../../core/plan/season/seasonLook';
import type { SeasonPlan } from '../../core/site/season/SeasonPlan';
import { tables } from '../../core/things/tables/libraryTables';
import { dayFrom, isoOf } from '../../core/units/day';
import { demoSite } from '../site/demoSite';
import { seasonCsv } from './seasonCsv';
import { readSeasonText, seasonJson } from './seasonText';

const site = demoSite('en-GB', dayFrom(2026, 11, 20));
const season = site.season!;
const read = (text: string) => readSeasonText(text, site);
/** The codes and places of what is wrong after a change to the file. */
const faults = (change: (file: { version: number; format: string; season: Record<string, unknown> }) => void): string[] => {
  const file = JSON.parse(seasonJson(season)) as Parameters<typeof change>[0];
  change(file);
  const result = read(JSON.stringify(file));
  return result.ok ? [] : result.problems.map((p) => `${p.code} ${p.at}`);
};

test('a season comes back from its file as it was, whatever is known of its frosts', () => {
  const frosts: SeasonPlan['lastFrost'][] = [
    { kind: 'unknown' },
    { kind: 'day', month: 5, day: 12 },
    { kind: 'table', rows: [{ month: 4, day: 20, laterPercent: 50 }, { month: 5, day: 14, laterPercent: 10 }], riskPercent: 10 }, // prettier-ignore
  ];
  for (const lastFrost of frosts)
    for (const firstFrost of [null, { month: 10, day: 3 }])
      for (const nights of [null, [-2, -1, 1, 3, 7, 10, 12, 12, 9, 6, 2, 0]]) {
        const batches = season.batches.map((b, i) => ({
          ...b,
          lost: i === 0 ? b.sown + 9 : null,
          keepAtMost: i === 1 ? 12 : null,
          tierId: i === 2 ? null : 'demo-rack-1',
        }));
        const wanted = { ...season, lastFrost, firstFrost, nights, batches };
        expect(read(seasonJson(wanted))).toEqual({ ok: true, value: wanted });
      }
});

test('what is no season, of a newer version, too large or too deep is refused by name', () => {
  expect(faults((f) => (f.format = 'copper-noon/site'))).toEqual(['season/foreign format']);
  expect(faults((f) => (f.version = 2))).toEqual(['season/newer version']);
  expect(faults((f) => ((f as { season: unknown }).season = []))).toEqual(['site/missing season']);
  expect(faults((f) => ((f as { season: unknown }).season = null))).toEqual(['site/missing season']);
  const code = (text: string) => {
    const result = read(text);
    return result.ok ? null : result.problems[0]!.code;
  };
  expect(code('null')).toBe('season/foreign');
  expect(code('12')).toBe('season/foreign');
  expect(code(`"${'x'.repeat(2_000_000)}"`)).toBe('file/too-large');
  expect(code(`${'['.repeat(9)}${']'.repeat(9)}`)).toMatch(/deep/);
});

test('each thing that contradicts itself is named with its place', () => {
  type Row = Record<string, unknown> & { containers: { containerId: string; fromDay: number }[] };
  const rows = (f: { season: Record<string, unknown> }) => f.season.batches as Row[];
  expect(faults((f) => (rows(f)[1]!.id = rows(f)[0]!.id))).toEqual(['site/id-twice season.batches[1].id']);
  expect(faults((f) => (rows(f)[0]!.cropId = 'no-such'))).toEqual(['site/missing season.batches[0].cropId']);
  expect(faults((f) => (rows(f)[0]!.out = rows(f)[0]!.sown))).toEqual(['site/not-rising season.batches[0].out']);
  expect(faults((f) => (rows(f)[0]!.containers[0]!.containerId = 'no-such'))).toEqual([
    'site/missing season.batches[0].containers[0].containerId',
  ]);
  expect(
    faults((f) => rows(f)[0]!.containers.splice(0, 9, { containerId: 'cell-72', fromDay: 5 }, { containerId: 'pot-9', fromDay: 5 })),
  ).toEqual(['site/not-rising season.batches[0].containers[1].fromDay']);
  expect(faults((f) => (f.season.firstFrost = { month: 2, day: 30 }))).toEqual(['site/isDay season.firstFrost.day']);
  expect(faults((f) => (f.season.firstFrost = { month: 2, day: 29 }))).toEqual([]);
  const frost = (lastFrost: unknown) => faults((f) => (f.season.lastFrost = lastFrost));
  const none = { day: null, rows: [], risk_percent: null };
  expect(frost({ kind: 'day', ...none })).toEqual(['site/missing season.lastFrost.day']);
  expect(frost({ kind: 'day', ...none, day: { month: 4, day: 31 } })).toEqual(['site/isDay season.lastFrost.day.day']);
  expect(frost({ kind: 'table', ...none, rows: [{ month: 4, day: 31, later_percent: 10 }], risk_percent: 10 })).toEqual([
    'site/isDay season.lastFrost.rows[0].day',
  ]);
  expect(frost({ kind: 'table', ...none })).toEqual(['site/missing season.lastFrost.risk_percent']);
  expect(faults((f) => (f.season.more = 1))[0]).toMatch(/season\.more|more/);
});

test('the dates stand as rows in order, and no name is taken for a formula', () => {
  const named = { ...season, batches: season.batches.map((b, i) => (i === 0 ? { ...b, label: '=1+1' } : b)) };
  const text = seasonCsv(coursesOf(site, named, tables));
  const { data, meta } = parse<Record<string, string>>(text.trimEnd(), { header: true });
  expect(meta.fields).toEqual(['day', 'until', 'what', 'batch', 'crop', 'container', 'trays', 'plants']);
  const days = data.map((r) => r.day!);
  expect(days).toEqual([...days].sort());
  expect(text).toContain("'=1+1");
  const sown = data.filter((r) => r.what === 'sow');
  const coming = season.batches.filter((b) => b.batchId === null);
  expect(coming.length).toBeGreaterThan(0);
  expect(sown.map((r) => r.day)).toEqual(coming.map((b) => isoOf(b.sown)).sort());
  for (const r of data) expect(r.until! >= r.day!).toBe(true);
});
