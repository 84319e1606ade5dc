import { unparse } from 'papaparse';
import { cropOf } from '../../core/site/crop/cropOf';
import type { Site } from '../../core/site/stand/Site';
import { tables } from '../../core/things/tables/libraryTables';
import { isoOf } from '../../core/units/day';
import { journalCsv } from './journalCsv';

type Row = Readonly<Record<string, string | number | boolean | null>>;

/** A table as CSV, with its columns even where it is empty. No text is left that a spreadsheet would take for a formula. */
const csv = (columns: readonly string[], rows: readonly Row[]): string =>
  `${unparse([...rows], { columns: [...columns], newline: '\r\n', escapeFormulae: true })}\r\n`;

const degrees = (angle: number): number => Math.round((angle * 180e4) / Math.PI) / 1e4;
const tidy = (v: number): number => Math.round(v * 1e6) / 1e6;
const day = (d: number | null): string => (d === null ? '' : isoOf(d));

/** Everything of a site as tables, by file name: what a spreadsheet can do something with. The whole is in the site file. */
export function tablesCsv(site: Site): Readonly<Record<string, string>> {
  const tiers = site.stands.flatMap((stand) => stand.tiers.map((tier, i) => ({ stand, tier, number: i + 1 })));
  const lampName = (id: string) => site.lamps.find((l) => l.id === id)?.name ?? tables.lamp(id)?.name ?? id;
  const cropName = (id: string) => cropOf(site, id, tables)?.name ?? id;
  return {
    'tiers.csv': csv(
      ['stand', 'kind', 'tier', 'width_m', 'depth_m', 'height_m', 'floor', 'ceiling', 'left', 'right', 'front', 'back', 'timer'],
      tiers.map(({ stand, tier, number }) => ({ stand: stand.name, kind: stand.kind, tier: number, width_m: tidy(tier.width), depth_m: tidy(tier.depth), height_m: tidy(tier.enclosure.height), ...tier.enclosure.faces, timer: tier.timerId })), // prettier-ignore
    ),
    'lamps-hung.csv': csv(
      ['stand', 'tier', 'lamp', 'lamp_id', 'x_m', 'y_m', 'face_m', 'turn_deg', 'tilt_deg', 'travels', 'travel_m', 'hangs_by'],
      tiers.flatMap(({ stand, tier, number }) => tier.fittings.map((f) => ({ stand: stand.name, tier: number, lamp: lampName(f.lampId), lamp_id: f.lampId, x_m: tidy(f.x), y_m: tidy(f.y), face_m: tidy(f.face), turn_deg: degrees(f.turn), tilt_deg: degrees(f.tilt ?? 0), travels: f.travel?.along ?? '', travel_m: tidy(f.travel?.length ?? 0), hangs_by: f.hanger.kind }))), // prettier-ignore
    ),
    'trays.csv': csv(
      ['stand', 'tier', 'tray', 'container', 'x_m', 'y_m', 'length_m', 'width_m', 'risers', 'batch'],
      tiers.flatMap(({ stand, tier, number }) => tier.trays.map((y) => ({ stand: stand.name, tier: number, tray: y.label || y.id, container: y.containerId, x_m: tidy(y.x), y_m: tidy(y.y), length_m: tidy(y.length), width_m: tidy(y.width), risers: y.risers, batch: y.batchId }))), // prettier-ignore
    ),
    'batches.csv': csv(
      ['batch', 'crop', 'stage', 'sown', 'leaves', 'height_m', 'hours_plan'],
      site.batches.map((b) => ({ batch: b.id, crop: cropName(b.cropId), stage: b.stage, sown: day(b.sown), leaves: day(b.leaves), height_m: b.height === null ? '' : tidy(b.height), hours_plan: b.plan.kind })), // prettier-ignore
    ),
    'timers.csv': csv(
      ['timer', 'on_min', 'lit_min', 'pause_from_min', 'pause_to_min', 'rating_W'],
      site.timers.map((p) => ({
        timer: p.id,
        on_min: p.on_min,
        lit_min: p.lit_min,
        pause_from_min: p.pause?.from_min ?? '',
        pause_to_min: p.pause?.to_min ?? '',
        rating_W: p.rating,
      })),
    ),
    'readings.csv': csv(
      [
        'stand',
        'tier',
        'taken',
        'meter',
        'value',
        'unit',
        'factor',
        'dark',
        'from_middle_x_m',
        'from_middle_y_m',
        'z_m',
        'lamps_lit',
        'left_out',
      ],
      tiers.flatMap(({ stand, tier, number }) => tier.readings.map((r) => ({ stand: stand.name, tier: number, taken: new Date(r.taken_ms).toISOString(), meter: r.kindId, value: r.value, unit: r.unit, factor: r.factor, dark: r.dark, from_middle_x_m: tidy(r.dx), from_middle_y_m: tidy(r.dy), z_m: tidy(r.z), lamps_lit: r.lit.length, left_out: r.leftOut }))), // prettier-ignore
    ),
    'season.csv': csv(
      ['crop', 'label', 'sown', 'out', 'goal', 'cells', 'batch', 'lost'],
      (site.season?.batches ?? []).map((b) => ({ crop: cropName(b.cropId), label: b.label, sown: day(b.sown), out: day(b.out), goal: b.goal, cells: b.cells, batch: b.batchId, lost: day(b.lost) })), // prettier-ignore
    ),
    'own-lamps.csv': csv(
      ['lamp_id', 'name', 'family', 'shape', 'length_m', 'width_m', 'power_W', 'ppf_umol_per_s', 'known_from', 'cct_K', 'life_h'],
      site.lamps.map((l) => ({ lamp_id: l.id, name: l.name, family: l.family, shape: l.shape, length_m: tidy(l.length), width_m: tidy(l.width), power_W: l.power, ppf_umol_per_s: tidy(l.ppf), known_from: l.fluxBasis, cct_K: l.cct, life_h: l.life_h })), // prettier-ignore
    ),
    'my-lamps.csv': csv(
      ['lamp', 'kind', 'bought', 'paid', 'hours', 'hours_on', 'drawn_W', 'drawn_VA', 'noise', 'fault', 'retired'],
      site.ownLamps.map((o) => ({ lamp: o.name, kind: lampName(o.lampId), bought: day(o.bought), paid: o.paid, hours: o.counted?.hours ?? null, hours_on: day(o.counted?.on ?? null), drawn_W: o.drawn?.power ?? null, drawn_VA: o.drawn?.load ?? null, noise: o.noise, fault: o.fault, retired: day(o.retired) })), // prettier-ignore
    ),
    'lamp-prices.csv': csv(
      ['lamp_id', 'lamp', 'price', 'currency', 'day'],
      site.lampPrices.map((p) => ({
        lamp_id: p.lampId,
        lamp: lampName(p.lampId),
        price: p.price,
        currency: site.currency,
        day: isoOf(p.day),
      })),
    ),
    'clinic.csv': csv(
      ['batch', 'opened', 'closed', 'places', 'signs', 'tests'],
      site.clinic.map((c) => ({ batch: c.batchId, opened: day(c.opened), closed: day(c.closed), places: c.places.join(' '), signs: c.signs.join(' '), tests: c.tests.map((t) => `${t.test}: ${t.outcome ?? 'running'}`).join('; ') })), // prettier-ignore
    ),
    'trials.csv': csv(
      ['trial', 'factor', 'outcome', 'unit', 'tray', 'arm', 'block', 'plant', 'value'],
      site.trials.flatMap((t) =>
        t.trays.flatMap(
          (y) =>
          y.values.map((value, i) => ({ trial: t.name, factor: t.factor, outcome: t.outcome.name, unit: t.outcome.unit, tray: y.code, arm: y.arm, block: y.block, plant: i + 1, value })), // prettier-ignore
        ),
      ),
    ),
    'journal.csv': journalCsv(site),
  };
}
