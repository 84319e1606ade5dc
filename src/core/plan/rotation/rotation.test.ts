import { demoSite } from '../../../store/site/demoSite';
import { answerBench } from '../../answer/bench/answerBench';
import { questionOfStand } from '../../answer/bench/questionOfStand';
import { benchStandOf } from '../../answer/stand/benchStand';
import type { LightMap } from '../../light/field/Grid';
import { changeBatch, changeFittings, withTier } from '../../site/stand/change';
import type { Site } from '../../site/stand/Site';
import { tables } from '../../things/tables/libraryTables';
import { dayFrom } from '../../units/day';
import { rotatedLight } from './rotationEffect';
import { jobsOn } from '../today/jobsOf';
import { exchangeableIn, isUnsafe, movedOn, rotateTier, roundOf } from './rotateTier';

const TODAY = dayFrom(2027, 2, 20);
const site = demoSite('en-GB', TODAY);
const rack = site.stands.find((s) => s.id === 'demo-rack')!;
const cells = rack.tiers[1]!; // two celery trays of one size, one of them out in the dark
const stand = benchStandOf(site, rack, tables);
const tier = stand.tiers[1]!;
const lightsOf = (turns: number) =>
  Array.from({ length: turns }, (_, n) => {
    const moved = withTier(cells.id, (t) => movedOn(t, n))(site);
    const answer = answerBench(
      questionOfStand(
        benchStandOf(
          moved,
          moved.stands.find((s) => s.id === rack.id)!,
          tables,
        ),
        null,
      ),
    );
    return Object.fromEntries(Object.entries(answer.tiers[cells.id]!.trays).map(([id, t]) => [id, t.map]));
  });

test('only trays of one size stand in for each other, and a round brings each back to its place', () => {
  expect(exchangeableIn(cells).map((g) => g.length)).toEqual([2]);
  expect(exchangeableIn(rack.tiers[0]!).map((g) => g.length)).toEqual([1, 1]);
  expect(movedOn(cells, 2)).toEqual(cells);
  expect(movedOn(cells, 1).trays.map((y) => y.x)).toEqual([...cells.trays].reverse().map((y) => y.x));
  expect(rotateTier(cells.id, 'turn')(site)).toBe(site);
  expect([roundOf(cells, 'turn'), roundOf(cells, 'swap'), roundOf(cells, 'both'), roundOf(rack.tiers[0]!, 'swap')]).toEqual([2, 2, 2, 1]);
});

test('over a round trays that change places get the same, none more in all than before, and the dimmer one more', () => {
  const lights = lightsOf(2);
  const [stay, swap] = [rotatedLight(tier, null, lights), rotatedLight(tier, 'swap', lights)];
  const mean = (trays: typeof stay) => trays.reduce((sum, t) => sum + t.received.mean, 0) / trays.length;
  const weakest = (trays: typeof stay) => Math.min(...trays.map((t) => t.received.weakest));
  // The two are equally tall: what one gains the other gives.
  expect(mean(swap)).toBeWithin(mean(stay), { relative: 0.03 });
  expect(Math.abs(swap[0]!.received.mean - swap[1]!.received.mean)).toBeLessThan(
    0.1 * Math.abs(stay[0]!.received.mean - stay[1]!.received.mean),
  );
  expect(weakest(swap)).toBeGreaterThan(weakest(stay));
});

test('a tray turned half round: each spot has the mean of two opposite ones, worked out by hand', () => {
  const map = lightsOf(1)[0]![tier.trays[0]!.tray.id]!;
  // Light that rises evenly from left to right: turned, it is the same everywhere.
  const { columns, rows } = map;
  const ramp: LightMap = {
    ...map,
    ppfd: Float64Array.from({ length: columns * rows }, (_, k) => 100 + (k % columns)) as never,
  };
  const lights = [Object.fromEntries(tier.trays.map((y) => [y.tray.id, ramp]))];
  const [stay] = rotatedLight(tier, null, lights);
  const [turned] = rotatedLight(tier, 'turn', lights);
  expect(stay!.evenness).toBeLessThan(0.85);
  expect(turned!.evenness).toBeGreaterThan(0.98);
  expect(turned!.received.mean).toBeWithin(stay!.received.mean, { relative: 0.01 });
  expect(turned!.peak).toBe(stay!.peak);
});

test('turned at every move in a round of two places, a tray meets each place in one way only: no better than it is', () => {
  const lights = lightsOf(2);
  const both = rotatedLight(tier, 'both', lights);
  const by = (n: number, i: number) => lights[n]![tier.trays[i]!.tray.id]!;
  // By hand: half of the time here as it stands, half of the time there turned round.
  const meanOf = (m: LightMap) => m.ppfd.reduce((a, b) => a + b, 0) / m.ppfd.length;
  const expected = (meanOf(by(0, 0)) + meanOf(by(1, 0))) / 2;
  expect((both[0]!.received.mean * 1e6) / 3600 / tier.hours).toBeWithin(expected, { relative: 0.05 });
});

test('trays do not change places where that would put leaves into the heat of a lamp; nobody is asked to', () => {
  const { id, trays, fittings } = rack.tiers[2]!; // a tall and a short place under clamp lamps
  const [tall, short] = trays;
  const grown = [
    changeBatch(tall!.batchId, { sown: null, height: 0.14 }),
    changeBatch(short!.batchId, { sown: null, height: 0.01 }),
    changeFittings(id, [fittings[2]!.id], () => ({ face: 0.17 })),
  ].reduce((now, change) => change(now), site);
  expect(isUnsafe(site, rack.id, id, 1, tables)).toBe(false);
  expect(isUnsafe(grown, rack.id, id, 1, tables)).toBe(true);
  expect(isUnsafe(grown, rack.id, id, 2, tables)).toBe(false);
  const asked = (s: Site) =>
    jobsOn(withTier(id, (t) => ({ ...t, rotation: { kind: 'swap', every: 3, from: TODAY - 3 } }))(s), [], TODAY, tables).filter(
      (j) => j.what.kind === 'rotate',
    );
  expect([asked(site).length, asked(grown).length]).toEqual([1, 0]);
});
