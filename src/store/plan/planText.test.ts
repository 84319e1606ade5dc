import 'reflect-metadata';
import { RANDOM_DAY, randomSite } from '../../../test/randomSite';
import { isoOf } from '../../core/units/day';
import { exportSite } from '../files/exportSite';
import { planText, type PlanReply } from './planText';

type Plan = Extract<PlanReply, { ok: true }>;
const day = isoOf(RANDOM_DAY);
async function planOf(text: string, ...more: string[]): Promise<Plan> {
  const said = await planText(text, ['--day', day, ...more], 0);
  if (!said.ok) throw new Error(JSON.stringify(said.problems));
  return said;
}
const near = (a: number, b: number, within = 0.01) => expect(a).toBeWithin(b, { absolute: Math.max(1e-3, within * Math.abs(b)) });

/** What a household might have; the odd ones are in exhaustive.test.ts. */
const seeds = [3, 8, 21, 34, 55];

test('every promise is kept: offers applied, read back and judged again give what was said, on every tray', async () => {
  let offers = 0;
  for (const seed of seeds) {
    const [stand] = (await planOf(exportSite(randomSite(seed)), '--only', 'trays,offers')).stands;
    const limits = new Map(stand!.trays.map((t) => [t.trayId, t]));
    for (const { offers: all } of stand!.advice)
      for (const o of all.slice(0, 4)) {
        offers++;
        const after = (await planOf(JSON.stringify(o.site), '--only', 'trays')).stands[0]!;
        for (const promised of o.promised.trays) {
          const found = after.trays.find((t) => t.trayId === promised.trayId)!;
          for (const spot of ['weakest', 'mean', 'strongest'] as const)
            near(promised.dli_mol_per_m2_d[spot], found.dli_mol_per_m2_d[spot].value);
          near(promised.photoperiod_h, found.photoperiod_h, 1e-6);
          near(promised.shareInBand, found.shareInBand);
          expect(promised.says).toBe(found.says);
          // No limit is broken that was kept.
          const was = limits.get(promised.trayId)!;
          expect(found.photoperiod_h).toBeLessThanOrEqual(Math.max(was.limits.longestDay_h, was.photoperiod_h) + 1 / 59);
          const most = Math.max(was.limits.strongestPpfd_umol_per_m2_s, was.litPpfd_umol_per_m2_s);
          expect(found.litPpfd_umol_per_m2_s).toBeLessThanOrEqual(most * 1.001);
        }
      }
  }
  expect(offers).toBeGreaterThan(5);
});

test('the best hours of a timer, once set, give each tray what was said, and no tray a longer day than it may have', async () => {
  for (const seed of [...seeds, 89, 144]) {
    const site = randomSite(seed);
    const [stand] = (await planOf(exportSite(site), '--only', 'trays')).stands;
    const best = new Map(stand!.timers.map((t) => [t.programmeId, t.best]));
    const set = {
      ...site,
      timers: site.timers.map((p) => ({ ...p, on_min: best.get(p.id)!.on_min, lit_min: best.get(p.id)!.lit_min })),
    };
    const after = (await planOf(exportSite(set), '--only', 'trays')).stands[0]!;
    for (const timer of stand!.timers)
      for (const t of timer.best.trays) {
        const found = after.trays.find((y) => y.trayId === t.trayId)!;
        near(t.photoperiod_h, found.photoperiod_h, 1e-6);
        // Light from other tiers counts by the hours of its own timer, which may have changed too.
        if (stand!.timers.length === 1) near(t.dli_mol_per_m2_d.mean, found.dli_mol_per_m2_d.mean.value);
        const daylight = site.stands[0]!.tiers.find((x) => x.id === found.tierId)!.daylight;
        const byDay = daylight ? (daylight.to_min - daylight.from_min) / 60 : 0;
        if (timer.tierIds.every((id) => !site.stands[0]!.tiers.find((x) => x.id === id)!.daylight) || byDay <= found.limits.longestDay_h)
          expect(found.photoperiod_h).toBeLessThanOrEqual(Math.max(found.limits.longestDay_h, ...overlong(site, timer.tierIds)) + 1 / 59);
      }
  }
});

/** Days that daylight alone makes on the tiers of a timer: what no lamp can shorten. */
const overlong = (site: ReturnType<typeof randomSite>, tierIds: readonly string[]): number[] =>
  site.stands[0]!.tiers.flatMap((t) => (tierIds.includes(t.id) && t.daylight ? [(t.daylight.to_min - t.daylight.from_min) / 60] : []));

test('the chart breaks no limit that can be kept, on any visit', async () => {
  let visits = 0;
  for (const seed of [3, 8, 21, 34, 55, 90]) {
    const site = randomSite(seed);
    const [stand] = (await planOf(exportSite(site), '--only', 'trays,chart')).stands;
    for (const v of stand!.chart!.visits)
      for (const t of v.after) {
        visits++;
        if (t.says === 'rest' || t.says === 'hot') continue;
        const daylit = site.stands[0]!.tiers.some((x) => x.daylight);
        if (!daylit) expect(t.says).not.toBe('long');
      }
  }
  expect(visits).toBeGreaterThan(0);
});

test('options and files that can’t be are refused by name, and nothing is answered by half', async () => {
  const problems = async (text: string, ...args: string[]) => {
    const said = await planText(text, args, 0);
    return said.ok ? [] : said.problems.map((p) => `${p.code} ${p.at}`);
  };
  const text = exportSite(randomSite(3));
  expect(await problems(text, '--day', '2027-02-30')).toEqual(['plan/not-a-day --day']);
  expect(await problems(text, '--step', '7')).toEqual(['plan/not-a-step --step']);
  expect(await problems(text, '--seed', 'x')).toEqual(['plan/not-a-seed --seed']);
  expect(await problems(text, '--only', 'all')).toEqual(['plan/unknown-part --only']);
  expect(await problems(text, '--speed', '3')).toEqual(['plan/unknown-option --speed']);
  expect(await problems(text, '--day')).toEqual(['plan/no-value --day']);
  expect(await problems('{')).toEqual(['file/not-json the end']);
  expect(await problems('{"format":"else"}')).toEqual(['site/foreign format']);
});
