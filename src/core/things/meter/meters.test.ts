import { meterErrorOf, meterLibrary, meterOf, unitOfMeter } from './meterLibrary';
import { ppfdFromPoint } from '../../light/emitters/ppfdFromPoint';
import { LUX_PER_FOOT_CANDLE } from '../../units/light';
import { inUnit, matchMeter, noonHeight_deg, noonSun } from './matchMeter';
import { lampSpectrumOf } from '../../light/spectrum/lampSpectra';
import { sensorResponse } from './sensorResponse';
import { createSimulatedMeter, type SimulatedWorld } from './simulatedMeter';

const bulb = { kind: 'point' as const, x: 0, y: 0, z: 1, ppf: 200, cosinePower: null };
const world = (change: Partial<SimulatedWorld> = {}): SimulatedWorld => ({
  kindId: 'quantum-par',
  scene: { lamps: [{ id: 'bulb', emitters: [bulb], spectrumId: 'led-4000' }], rooms: [], obstructions: [] },
  filter: 'sound',
  meterFactor: 1,
  daylight: 0,
  noise: 0,
  sway: 0,
  seed: 7,
  ...change,
});
const shown = async (change: Partial<SimulatedWorld>, place = { x: 0, y: 0, z: 0 }, range: number | null = null, at_ms = 1000) => {
  const meter = createSimulatedMeter(world(change));
  meter.moveTo(place.x, place.y, place.z);
  await meter.setRange(range);
  return meter.sample(at_ms);
};

test('straight below a bulb a steady quantum meter shows Φ/4πd², a lux meter its colour’s lux, a foot-candle meter a tenth', async () => {
  const ppfd = 200 / (4 * Math.PI);
  expect(ppfdFromPoint(bulb)(0, 0, 0)).toBeWithin(ppfd, { relative: 1e-9 });
  expect((await shown({})).value).toBeWithin(ppfd, { absolute: 1.1 });
  const lux = (await shown({ kindId: 'lux-calibrated' })).value!;
  expect(lux).toBeWithin(71 * ppfd, { relative: 0.002 });
  expect((await shown({ kindId: 'fc-digital' })).value).toBeWithin(lux / LUX_PER_FOOT_CANDLE, { relative: 0.002 });
});

test('light from the side is missed by as much as the kind misses at 60°', async () => {
  const side = { x: Math.tan(Math.PI / 3), y: 0, z: 0 }; // 60° off the upright
  const full = ppfdFromPoint(bulb)(side.x, 0, 0) * 71;
  const basic = (await shown({ kindId: 'fc-analogue' }, side)).value!;
  expect(basic * LUX_PER_FOOT_CANDLE).toBeWithin(0.75 * full, { relative: 0.06 });
});

test('a range too small shows nothing, a larger one coarser digits; left to itself the meter chooses', async () => {
  const kindId = 'lux-basic';
  expect((await shown({ kindId }, undefined, 200)).value).toBeNull();
  const fine = (await shown({ kindId }, undefined, 2000)).value!;
  const coarse = (await shown({ kindId }, undefined, 200_000)).value!;
  expect(coarse % 100).toBe(0);
  expect(coarse).toBeWithin(fine, { absolute: 50 });
  expect(await shown({ kindId })).toMatchObject({ range: 2000, auto: true, value: fine });
});

test('a cheap filter loses blue before the eye’s curve and deep red before the count of photons, little of white and much of pink', () => {
  const seen = (kindId: string, spectrumId: string) => sensorResponse(meterOf(kindId), 'cheap', lampSpectrumOf(spectrumId).spectrum);
  expect(sensorResponse(meterOf('lux-basic'), 'sound', lampSpectrumOf('led-blurple').spectrum)).toBe(1);
  expect(seen('lux-basic', 'led-4000')).toBeWithin(0.99, { absolute: 0.01 });
  expect(seen('lux-basic', 'led-blurple')).toBeLessThan(seen('lux-basic', 'led-4000') - 0.005);
  // A cheap quantum meter reads lamps of 660 nm 5–20 % low (meter table).
  expect(seen('quantum-par', 'led-blurple')).toBeWithin(0.9, { absolute: 0.08 });
  expect(seen('quantum-par', 'led-4000')).toBeGreaterThan(0.97);
});

test('in a mixture each lamp is seen by its own colour', async () => {
  const pink = { id: 'pink', emitters: [{ ...bulb, x: 0.1 }], spectrumId: 'led-blurple' };
  const scene = { lamps: [...world().scene.lamps, pink], rooms: [], obstructions: [] };
  const sound = (await shown({ scene })).value!;
  const cheap = (await shown({ scene, filter: 'cheap' })).value!;
  const each = ['led-4000', 'led-blurple'].map((id) => sensorResponse(meterOf('quantum-par'), 'cheap', lampSpectrumOf(id).spectrum));
  expect(cheap / sound).toBeWithin((each[0]! + each[1]!) / 2, { absolute: 0.04 });
});

test('with the lamps off the daylight is left; its own error multiplies everything', async () => {
  const meter = createSimulatedMeter(world({ kindId: 'lux-basic', daylight: 340, meterFactor: 0.9 }));
  meter.moveTo(0, 0, 0);
  const on = (await meter.sample(0)).value!;
  meter.setLamps(false);
  const off = (await meter.sample(0)).value!;
  expect(off).toBeWithin(0.9 * 340, { absolute: 1 });
  expect(on - off).toBeWithin(0.9 * 71 * (200 / (4 * Math.PI)), { relative: 0.005 });
  await expect(meter.close()).resolves.toBeUndefined();
});

test('the hand strays and the display flickers by as much as is said, the same for the same seed', async () => {
  const samples = async (seed: number) => {
    const meter = createSimulatedMeter(world({ kindId: 'lux-calibrated', noise: 0.02, sway: 0.004, seed }));
    meter.moveTo(0, 0, 0.5);
    return Promise.all(Array.from({ length: 400 }, (_, i) => meter.sample(1000 * i).then((s) => s.value!)));
  };
  const one = await samples(3);
  expect(await samples(3)).toEqual(one);
  expect(await samples(4)).not.toEqual(one);
  const mean = one.reduce((a, b) => a + b, 0) / one.length;
  const sd = Math.sqrt(one.reduce((s, v) => s + (v / mean - 1) ** 2, 0) / one.length);
  // 2 % of flicker, and 4 mm of height at half a metre: 2 · 0.004 / 0.5 of the light.
  expect(sd).toBeWithin(Math.hypot(0.02, 0.016 * 0.8), { relative: 0.25 });
});

test('matched pairs give their factor, whatever the strength; the doubt shrinks with their number', () => {
  const pairs = [120, 850, 2300, 9100].map((own) => ({ own, known: 1.3 * own }));
  const all = matchMeter(pairs, 0.04);
  const one = matchMeter(pairs.slice(0, 1), 0.04);
  if (!all.ok || !one.ok) throw new Error();
  expect(all.value.factor).toBeWithin(1.3, { relative: 1e-9 });
  expect(all.value.uncertainty).toBeLessThan(one.value.uncertainty);
  expect(all.value.uncertainty).toBeGreaterThan(0.04);
});

test.each([
  ['no pair', [], 'match/no-pairs'],
  ['nothing shown', [{ own: 0, known: 5 }], 'match/no-pairs'],
  ['a wrong range', [{ own: 85, known: 850 }], 'match/not-sane'],
  [
    'a contradiction',
    [
      { own: 100, known: 100 },
      { own: 100, known: 105 },
      { own: 100, known: 390 },
    ],
    'match/contradict',
  ],
])('%s is no match', (_, pairs, code) => {
  const result = matchMeter(pairs, 0.05);
  expect(result.ok ? [] : result.problems.map((p) => p.code)).toEqual([code]);
});

test('noon sun: some 100 klx at 60°, and the sun’s height by latitude and day as almanacs have it', () => {
  expect(noonSun(90, 'lx').value).toBe(127_500);
  expect(noonSun(60, 'lx').value).toBeWithin(108_000, { relative: 0.03 });
  expect(noonSun(30, 'lx').value).toBeWithin(57_000, { relative: 0.05 });
  expect(noonSun(60, 'umol').value).toBeWithin(2000, { relative: 0.03 }); // full summer sun
  expect(() => noonSun(10, 'lx')).toThrow('15° and 90°');
  expect(noonHeight_deg(51.5, 172)).toBeWithin(61.95, { absolute: 0.2 }); // the summer solstice
  expect(noonHeight_deg(51.5, 355)).toBeWithin(15.05, { absolute: 0.3 }); // the winter one
  expect(noonHeight_deg(-33, 355)).toBeWithin(80.4, { absolute: 0.4 });
});

test('units of meters go into each other and back', () => {
  for (const unit of ['lx', 'fc', 'umol'] as const)
    for (const other of ['lx', 'fc', 'umol'] as const) {
      const there = inUnit({ value: 321, unit }, other, 54);
      expect(inUnit({ value: there, unit: other }, unit, 54)).toBeWithin(321, { relative: 1e-12 });
    }
});

test('every kind of the table has a unit and an error; an unknown kind is a mistake of the caller', () => {
  for (const m of meterLibrary) {
    expect(['lx', 'fc', 'umol']).toContain(unitOfMeter(m));
    expect(meterErrorOf(m)).toBeGreaterThan(0.03);
  }
  expect(meterErrorOf(meterOf('phone-sensor'))).toBeGreaterThan(meterErrorOf(meterOf('lux-basic')));
  expect(meterOf('fc-analogue').multipliers).toEqual([1, 10, 100]);
  expect(() => meterOf('dowsing-rod')).toThrow('no kind of meter');
});
