import { demoSite } from '../../../store/site/demoSite';
import type { Lamp } from '../../things/lamp/Lamp';
import { maintenance } from '../../things/lamp/ageing';
import { tables } from '../../things/tables/libraryTables';
import { lightThere } from '../reading/lightThere';
import { litOf, type Reading } from '../../site/reading/Reading';
import { takeReading } from '../reading/takeReading';
import { benchStandOf } from '../../answer/stand/benchStand';
import { dropFit, dropReadings, keepFit, keepMeter, keepReading, keepReadings } from '../../site/stand/changeReadings';
import { knownOf } from '../../answer/stand/knownOf';
import { aroundOf } from '../../site/stand/roomOf';
import type { Tier } from '../../site/stand/Site';
import { planWalk } from '../../answer/walk/planWalk';
import { compare } from '../reading/calibrate';
import { distanceLaws } from './distanceLaw';
import { fitTier, type TierFit } from './fitTier';
import { measureAgain } from './measureAgain';
import { burnedBetween, fadedSince, staleOf } from './staleOf';

const site = demoSite('en-GB');
const rack = site.stands.find((s) => s.id === 'demo-rack')!;
const bench = benchStandOf(site, rack, tables);
const lampOf = (id: string): Lamp | undefined => tables.lamp(id);
const NOW = Date.UTC(2026, 10, 1);
const quantum = { kindId: 'quantum-par', meterId: null, factor: 1 };
/** Scatter that is the same every time. */
const jitter = (i: number) => 1 + 0.035 * Math.sin(12.9898 * (i + 1));

/** A tier with readings as they would be if its lamps and sides were really so. */
function readTier(index: number, lamps: number, sides: Record<string, number> = {}, count = 13): { tier: Tier; readings: Reading[] } {
  const tier = { ...rack.tiers[index]!, readings: [], fits: [] };
  const dimmed = (id: string) => (lampOf(id) ? { ...lampOf(id)!, ppf: lampOf(id)!.ppf * lamps } : undefined);
  const readings = planWalk(bench.tiers[index]!, count).map((p, i) => {
    const taken = takeReading(tier, p, quantum, { value: 1, unit: 'umol' }, { id: `r${i}`, now_ms: NOW - 60_000 * (count - i) });
    const there = lightThere(taken, dimmed, sides);
    return { ...taken, value: there.ppfd * (1 - 0.1 * there.slant) * jitter(i) };
  });
  return { tier: { ...tier, readings }, readings };
}

const fitted = (tier: Tier): TierFit => {
  const others = rack.tiers.filter((t) => t.id !== tier.id).map((t) => ({ lit: litOf(t), around: aroundOf(t) }));
  const found = fitTier(tier, lampOf, others, 'fit', NOW);
  if (typeof found === 'string') throw new Error(found);
  return found;
};

test('a tier’s fit finds what its lamps give; after it the light at each reading is what was read', () => {
  const { tier } = readTier(1, 0.77);
  const { fit, answer } = fitted(tier);
  expect(fit.lamps[0]!.scale).toBeWithin(0.77, { relative: 0.04 });
  expect(answer.readings.every((r) => r.honest > 0.5)).toBe(true);
  const looked = jest.fn(() => compare(tier.readings, lampOf));
  const known = knownOf({ ...tier, fits: [fit] }, looked, []);
  const lamp = lampOf(tier.fittings[0]!.lampId)!;
  expect(known.of(lamp).calibration).toMatchObject({ fitted: true, scale: fit.lamps[0]!.scale });
  expect(known.of(lamp).real.ppf).toBeWithin(lamp.ppf * fit.lamps[0]!.scale, { relative: 1e-9 });
  // The fit says it all: readings are held against their lamps when somebody looks at them, and once.
  expect(looked).not.toHaveBeenCalled();
  expect(known.of(lamp).calibration!.used.map((c) => c.reading.id)).toEqual(fit.readingIds);
  expect(known.of(lamp).calibration!.used).toBe(known.of(lamp).calibration!.used);
  expect(looked).toHaveBeenCalledTimes(1);
});

test('between white sides lamps and sides are found apart, with readings near a lamp', () => {
  const closed = { ...rack.tiers[3]!.enclosure, faces: { ...rack.tiers[3]!.enclosure.faces, front: 'white-card' } };
  const plan = { ...rack.tiers[3]!, enclosure: closed, readings: [], fits: [] };
  const dimmed = (id: string) => (lampOf(id) ? { ...lampOf(id)!, ppf: lampOf(id)!.ppf * 0.9 } : undefined);
  const spots = [0.05, 0.3, 0.6, 0.9, 1.15].flatMap((x) => [0.04, 0.225, 0.41].flatMap((y) => [0.05, 0.19].map((z) => ({ x, y, z }))));
  const readings = spots.map((p, i) => {
    const taken = takeReading(plan, p, quantum, { value: 1, unit: 'umol' }, { id: `r${i}`, now_ms: NOW });
    const there = lightThere(taken, dimmed, { 'white-card': 0.55 });
    return { ...taken, value: there.ppfd * (1 - 0.1 * there.slant) * jitter(i) };
  });
  const { fit } = fitted({ ...plan, readings });
  expect(fit.sides).not.toBeNull();
  expect(Math.abs(fit.sides!.reflectances['white-card']! - 0.55)).toBeLessThan(0.1);
  expect(fit.lamps[0]!.scale).toBeWithin(0.9, { relative: 0.05 });
  // And the room of every later answer has them.
  expect(knownOf({ ...plan, readings, fits: [fit] }, () => compare(readings, lampOf), []).room!.faces.left.reflectance).toBe(
    fit.sides!.reflectances['white-card'],
  );
});

test('a reading on the wrong range and one taken on another tier are named, and the fit hardly notices', () => {
  const { tier, readings } = readTier(1, 0.85);
  const bad = readings.map((r, i) => (i === 2 ? { ...r, kindId: 'lux-basic', unit: 'lx' as const, value: (r.value * 74) / 10 } : r));
  const { fit, answer } = fitted({ ...tier, readings: bad });
  expect(answer.readings.filter((r) => r.honest < 0.5).map((r) => r.id)).toEqual(['r2']);
  expect(answer.readings[2]!.suspicions[0]).toMatchObject({ why: 'range-reads-low', multiply: 10 });
  expect(answer.readings[2]!.suspicions[0]!.weight).toBeGreaterThan(0.8);
  expect(fit.lamps[0]!.scale).toBeWithin(0.85, { relative: 0.04 });
  expect(fit.leftOut).toBe(1);
  expect(fit.readingIds).not.toContain('r2');
});

test('old readings, and those between other sides, are not mixed with new ones', () => {
  const { tier, readings } = readTier(1, 0.85);
  const old = { ...readings[0]!, id: 'old', taken_ms: NOW - 200 * 86_400_000, value: readings[0]!.value * 1.5 };
  const faces = { ...readings[1]!.around.faces, back: 'white-card' };
  const other = { ...readings[1]!, id: 'other', around: { ...readings[1]!.around, faces }, taken_ms: NOW - 90_000_000 };
  const { notUsed } = fitted({ ...tier, readings: [old, other, ...readings] });
  expect(notUsed).toEqual(['old', 'other']);
  expect(fitTier({ ...tier, readings: [] }, lampOf, [], 'f', NOW)).toBe('no-readings');
  expect(fitTier({ ...tier, fittings: [] }, lampOf, [], 'f', NOW)).toBe('no-lamps');
});

test('a fit grows stale when lamps are moved or changed, sides replaced, newer readings taken, or the lamps have faded', () => {
  const { tier } = readTier(3, 0.85);
  const { fit } = fitted(tier);
  const now = { ...tier, fits: [fit] };
  expect(staleOf(now, fit, lampOf, 0)).toEqual([]);
  const [first, ...rest] = now.fittings;
  expect(staleOf({ ...now, fittings: [{ ...first!, face: first!.face + 0.05 }, ...rest] }, fit, lampOf, 0)).toEqual(['moved']);
  expect(staleOf({ ...now, fittings: rest }, fit, lampOf, 0)).toEqual(['other-lamps']);
  const later = { ...now.readings[0]!, id: 'later', taken_ms: fit.made_ms + 1 };
  expect(staleOf({ ...now, readings: [...now.readings, later] }, fit, lampOf, 0)).toEqual(['new-readings']);
  expect(staleOf(now, fit, lampOf, 40_000)).toEqual(['aged']);
  const told = { ...fit, sides: { reflectances: { foil: 0.6 }, error: 0.05 } };
  expect(staleOf(now, told, lampOf, 0)).toEqual(['other-sides']);
  expect(burnedBetween(0, 10 * 86_400_000, 16)).toBe(160);
  expect(burnedBetween(10, 0, 16)).toBe(0);
});

test('readings are due again when the lamps will have faded by a twentieth, within a month and a year', () => {
  const led = lampOf('led-shop-12-twin-42')!;
  const tube = { family: 'T8', life_h: 8000, maintenanceAtEnd: 0.7 };
  const day = 86_400_000;
  expect((measureAgain(0, [led], 16, 0) - 0) / day).toBe(365);
  const due = measureAgain(0, [tube], 16, 1000) / day;
  expect(1 - maintenance(tube, 1000 + 16 * due) / maintenance(tube, 1000)).toBeWithin(0.05, { absolute: 0.002 });
  expect(measureAgain(0, [{ ...tube, life_h: 300 }], 24, 0) / day).toBe(30);
  expect(fadedSince(tube, null, 0)).toBe(1);
  expect(fadedSince(tube, 500, 1000)).toBeLessThan(1);
});

test('several heights over one spot have a law of their own: the inverse square of a point is found', () => {
  const { tier } = readTier(1, 1);
  const point: Lamp = { ...lampOf('led-a-14-clamp')!, shape: 'bulb-bare', width: 1e-6, length: 1e-6, beamFwhm: null };
  const lit = [{ lampId: point.id, dx: 0, dy: 0, face: 1.2, turn: 0 }];
  const around = { ...aroundOf(tier), faces: { floor: 'open', ceiling: 'open', left: 'open', right: 'open', front: 'open', back: 'open' } };
  const readings = [0.1, 0.2, 0.35, 0.6, 0.9].map((d, i): Reading => {
    const taken = {
      ...takeReading(tier, { x: 0, y: 0, z: 1.2 - d }, quantum, { value: 1, unit: 'umol' }, { id: `d${i}`, now_ms: 0 }),
      dx: 0,
      dy: 0,
      lit,
      around,
    };
    return { ...taken, value: lightThere(taken, () => point).ppfd };
  });
  const [law] = distanceLaws(compare(readings, () => point));
  expect(law!.exponent).toBeWithin(2, { absolute: 0.01 });
  expect(law!.readings.map((r) => r.id)).toEqual(['d0', 'd1', 'd2', 'd3', 'd4']);
  expect(distanceLaws(compare(readings.slice(0, 2), () => point))).toEqual([]);
});

test('readings, fits and meters are kept, put right and dropped, and nothing else changes', () => {
  const { tier, readings } = readTier(1, 0.8);
  const { fit } = fitted(tier);
  const tierIn = (s: typeof site) => s.stands.find((x) => x.id === 'demo-rack')!.tiers.find((t) => t.id === tier.id)!;
  const kept = keepReadings(tier.id, readings)(site);
  expect(tierIn(kept).readings).toHaveLength(readings.length);
  expect(tierIn(keepReading(tier.id, { ...readings[0]!, value: 7 })(kept)).readings[0]!.value).toBe(7);
  const withFit = keepFit(tier.id, fit, ['r1'])(kept);
  expect(tierIn(withFit).fits).toEqual([fit]);
  expect(tierIn(withFit).readings[1]!.leftOut).toBe(true);
  expect(tierIn(dropFit(tier.id, fit.id)(withFit)).fits).toEqual([]);
  expect(tierIn(dropReadings(tier.id, ['r0', 'r1'])(kept)).readings).toHaveLength(readings.length - 2);
  expect(kept.stands.find((x) => x.id === 'demo-rack')!.autoArranged).toBe(rack.autoArranged);
  expect(kept.stands.filter((x) => x.id !== 'demo-rack')).toEqual(site.stands.filter((x) => x.id !== 'demo-rack'));
  const meter = { ...site.meters[0]!, factor: 1.2 };
  expect(keepMeter(meter)(site).meters).toEqual([meter]);
});
