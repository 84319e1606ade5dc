import Papa from 'papaparse';
import { changeFittings } from '../../core/site/stand/change';
import { tables } from '../../core/things/tables/libraryTables';
import { dayFrom, isoOf } from '../../core/units/day';
import { demoSite } from '../site/demoSite';
import { tablesCsv } from './tablesCsv';
import { trialCsv, trialJson } from './trialText';

const demo = demoSite('en-GB', dayFrom(2027, 2, 20));
const rack = demo.stands.find((s) => s.id === 'demo-rack')!;
const turned = rack.tiers[0]!.fittings[0]!.id;
const site = changeFittings(rack.tiers[0]!.id, [turned], () => ({ turn: Math.PI / 2, tilt: -Math.PI / 6, x: 1 / 3 }))(demo);
const all = tablesCsv(site);
const rowsOf = (name: string) => Papa.parse<Record<string, string>>(all[name]!.trim(), { header: true }).data;
const placed = site.stands.flatMap((stand) => stand.tiers.map((tier, i) => ({ stand, tier, number: String(i + 1) })));
const micro = (v: number) => String(Math.round(v * 1e6) / 1e6);

test('lamps stand in their table where they hang, in metres and degrees, by the name that people know', () => {
  const rows = rowsOf('lamps-hung.csv');
  const hung = placed.flatMap(({ stand, tier, number }) => tier.fittings.map((f) => ({ stand, f, number })));
  hung.forEach(({ stand, f, number }, i) => {
    const row = rows[i]!;
    expect([row.stand, row.tier, row.lamp_id, row.hangs_by]).toEqual([stand.name, number, f.lampId, f.hanger.kind]);
    expect([row.x_m, row.y_m, row.face_m]).toEqual([micro(f.x), micro(f.y), micro(f.face)]);
    expect(row.lamp).toBe(site.lamps.find((l) => l.id === f.lampId)?.name ?? tables.lamp(f.lampId)!.name);
  });
  const own = rows[hung.findIndex(({ f }) => f.id === turned)]!;
  expect([own.turn_deg, own.tilt_deg, own.x_m]).toEqual(['90', '-30', '0.333333']);
});

test('tiers, trays and readings have their sizes and places', () => {
  const tiers = rowsOf('tiers.csv');
  placed.forEach(({ stand, tier, number }, i) => {
    const { width_m, depth_m, height_m, ...row } = tiers[i]!;
    expect([width_m, depth_m, height_m]).toEqual([micro(tier.width), micro(tier.depth), micro(tier.enclosure.height)]);
    expect(row).toMatchObject({ stand: stand.name, kind: stand.kind, tier: number, timer: tier.timerId, ...tier.enclosure.faces });
  });
  const trays = rowsOf('trays.csv');
  const stood = placed.flatMap(({ tier }) => tier.trays);
  stood.forEach((y, i) => {
    expect(trays[i]).toMatchObject({ tray: y.label || y.id, x_m: micro(y.x), y_m: micro(y.y), length_m: micro(y.length), width_m: micro(y.width), risers: String(y.risers), batch: y.batchId }); // prettier-ignore
  });
  const readings = rowsOf('readings.csv');
  const taken = placed.flatMap(({ tier }) => tier.readings);
  expect(readings).toHaveLength(taken.length);
  taken.forEach((r, i) => {
    const row = readings[i]!;
    expect(row.taken).toBe(new Date(r.taken_ms).toISOString());
    expect([row.meter, row.value, row.unit, row.dark]).toEqual([r.kindId, String(r.value), r.unit, String(r.dark)]);
    expect([row.from_middle_x_m, row.from_middle_y_m, row.z_m]).toEqual([micro(r.dx), micro(r.dy), micro(r.z)]);
    expect([row.lamps_lit, row.left_out]).toEqual([String(r.lit.length), String(r.leftOut)]);
  });
});

test('days are written as days, what is not known stays empty', () => {
  const batches = rowsOf('batches.csv');
  site.batches.forEach((b, i) => {
    const row = batches[i]!;
    expect([row.sown, row.leaves]).toEqual([b.sown, b.leaves].map((d) => (d === null ? '' : isoOf(d))));
    expect(row.height_m).toBe(b.height === null ? '' : micro(b.height));
    expect([row.stage, row.hours_plan]).toEqual([b.stage, b.plan.kind]);
  });
  expect(batches.some((r) => r.sown === '')).toBe(true);
  expect(batches.some((r) => r.height_m !== '')).toBe(true);
  const timers = rowsOf('timers.csv');
  site.timers.forEach((t, i) => expect(timers[i]).toMatchObject({ timer: t.id, on_min: String(t.on_min), lit_min: String(t.lit_min), pause_from_min: String(t.pause?.from_min ?? '') })); // prettier-ignore
  const season = rowsOf('season.csv');
  site.season!.batches.forEach((b, i) => expect(season[i]).toMatchObject({ label: b.label, sown: isoOf(b.sown), out: b.out === null ? '' : isoOf(b.out), cells: String(b.cells) })); // prettier-ignore
});

test('a trial as a table has every value under the name of its arm, and as JSON all of it', () => {
  const trial = site.trials.find((t) => t.trays.some((y) => y.values.length > 0))!;
  const rows = Papa.parse<Record<string, string>>(trialCsv(trial).trim(), { header: true }).data;
  const values = trial.trays.flatMap((y) => y.values.map((value, i) => ({ y, value, plant: i + 1 })));
  expect(rows).toHaveLength(values.length);
  values.forEach(({ y, value, plant }, i) => {
    const arm = trial.arms.find((a) => a.id === y.arm)!;
    expect(rows[i]).toMatchObject({ tray: y.code, arm: arm.id, arm_name: arm.name, plant: String(plant), value: String(value ?? ''), unit: trial.outcome.unit }); // prettier-ignore
  });
  expect(new Set(rows.map((r) => r.arm_name)).size).toBe(trial.arms.length);
  expect(JSON.parse(trialJson(trial))).toMatchObject({ format: 'copper-noon/trial', version: 1, name: trial.name });
});
