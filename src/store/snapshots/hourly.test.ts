/** @jest-environment jsdom */
import '../../../test/indexedDb';
import { dayFrom } from '../../core/units/day';
import { demoSite } from '../site/demoSite';
import { emptySite } from '../site/newSite';
import { openSnapshots } from './snapshots';

const HOUR = 3_600_000;
const site = demoSite('en-GB', dayFrom(2027, 2, 20));
let house = 0;

function opened(name = `hourly-${house++}`) {
  let now = 1_800_000_000_000;
  return { name, snapshots: openSnapshots(name, () => now), pass: (ms: number) => (now += ms) };
}

test('the first is taken at once, the next an hour later, also by another page', async () => {
  const { name, snapshots, pass } = opened();
  expect(await snapshots.takeHourly(site)).toBe(true);
  pass(HOUR - 1);
  expect(await snapshots.takeHourly(site)).toBe(false);
  const other = openSnapshots(name, () => 1_800_000_000_000 + HOUR - 1);
  expect(await other.takeHourly(site)).toBe(false);
  pass(1);
  expect(await snapshots.takeHourly(site)).toBe(true);
  const lines = await snapshots.lines();
  expect(lines.map((l) => [l.why, l.taken_ms - 1_800_000_000_000])).toEqual([
    ['hourly', HOUR],
    ['hourly', 0],
  ]);
  const tiers = site.stands.flatMap((s) => s.tiers);
  expect(lines[0]).toMatchObject({
    stands: site.stands.map((s) => s.name),
    trays: tiers.flatMap((t) => t.trays).length,
    readings: tiers.flatMap((t) => t.readings).length,
    batches: site.batches.length,
  });
});

test('of nothing there is no copy; one taken by hand counts for the hour', async () => {
  const { snapshots } = opened();
  expect(await snapshots.takeHourly({ ...emptySite('en-GB'), stands: [] })).toBe(false);
  await snapshots.take(site, 'before');
  expect(await snapshots.takeHourly(site)).toBe(false);
  expect((await snapshots.lines()).map((l) => l.why)).toEqual(['before']);
});

test('one that is gone says so', async () => {
  const { snapshots } = opened();
  expect(await snapshots.text('nowhere')).toBeNull();
  expect(await snapshots.read('nowhere')).toEqual({ ok: false, problems: [{ code: 'kept/gone', at: '' }] });
});
