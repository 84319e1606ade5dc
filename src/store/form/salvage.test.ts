import { dayFrom } from '../../core/units/day';
import { exportSite } from '../files/exportSite';
import { demoSite } from '../site/demoSite';
import { emptySite } from '../site/newSite';
import { mutateJson, randomFrom } from '../../../test/fuzz/mutations';
import { readSite } from './readSite';
import { salvage } from './salvage';
import { writeSite } from './writeSite';

const site = demoSite('en-GB', dayFrom(2027, 2, 20));
type Loose = Record<string, unknown> & { stands: Loose[]; tiers: Loose[]; trays: Loose[]; batches: Loose[] };
const broken = (change: (file: Loose) => void): Loose => {
  const file = JSON.parse(exportSite(site)) as Loose;
  change(file);
  return file;
};
const plain = writeSite(emptySite('en-GB')) as unknown as Record<string, unknown>;
const saved = (file: unknown) => salvage(file, plain, readSite);
const count = (s = site) => ({ stands: s.stands.length, trays: s.stands.flatMap((x) => x.tiers.flatMap((t) => t.trays)).length });

test('a sound document loses nothing', () => {
  const out = saved(broken(() => undefined))!;
  expect([exportSite(out.site), out.leftOut]).toEqual([exportSite(site), []]);
});

test('one broken tray takes nothing else with it', () => {
  const out = saved(broken((f) => void (f.stands[0]!.tiers[0]!.trays[0]!.length_m = 'long')))!;
  expect(count(out.site)).toEqual({ ...count(), trays: count().trays - 1 });
  expect(out.leftOut.map((p) => p.at)).toEqual(['stands[0].tiers[0].trays[0].length_m']);
});

test('several at once go by their own places', () => {
  const out = saved(
    broken((f) => {
      const trays = f.stands[0]!.tiers[0]!.trays;
      trays[0]!.length_m = null;
      trays[1]!.width_m = -1;
      f.stands[2]!.kind = 'boat';
    }),
  )!;
  expect(out.site.stands.map((s) => s.name)).toEqual(site.stands.filter((_, i) => i !== 2).map((s) => s.name));
  expect(out.site.stands[0]!.tiers[0]!.trays).toEqual(site.stands[0]!.tiers[0]!.trays.slice(2));
});

test('a batch that is gone takes its trays, and no other', () => {
  const id = site.stands[0]!.tiers[0]!.trays[0]!.batchId;
  const out = saved(broken((f) => void (f.batches = f.batches.filter((b) => b.id !== id))))!;
  const trays = (s: typeof site) => s.stands.flatMap((x) => x.tiers.flatMap((t) => t.trays.map((y) => y.batchId)));
  expect(trays(out.site)).toEqual(trays(site).filter((b) => b !== id));
});

test('single fields of the household fall back, and fields that are not ours go alone', () => {
  const out = saved(
    broken((f) => {
      f.price_per_kWh = 'cheap';
      f.quiet = [];
      f.extra = 1;
      f.stands[0]!.tiers[0]!.extra = 2;
    }),
  )!;
  expect(out.site.price_per_kWh).toBe(emptySite('en-GB').price_per_kWh);
  expect(count(out.site)).toEqual(count());
});

test('where nothing is left, nothing is offered', () => {
  for (const odd of [null, [], 'x', 7, {}, broken((f) => void (f.stands = 'none' as never)), broken((f) => void (f.stands = []))])
    expect(saved(odd)).toBeNull();
});

test('whatever was damaged, what is offered reads back', () => {
  const random = randomFrom(11);
  const file = JSON.parse(exportSite(site)) as unknown;
  let some = 0;
  for (let i = 0; i < 20; i++) {
    const out = saved(mutateJson(random, file));
    if (!out) continue;
    some++;
    expect(readSite(JSON.parse(exportSite(out.site))).ok).toBe(true);
  }
  expect(some).toBeGreaterThan(15);
});
