import 'reflect-metadata';
import type { Lamp } from '../../core/lamp/Lamp';
import { lampLibrary } from '../../core/library/lampLibrary';
import { whiteLed } from '../../core/spectrum/models';
import { demoSite } from '../site/demoSite';
import { keepLamp } from '../site/setUpVerbs';
import { keep } from './keep';
import { readSite } from './readSite';
import { writeSite } from './writeSite';

const own: Lamp = {
  ...lampLibrary.find((l) => l.id === 'led-bar-12-white-24')!,
  id: 'own-1',
  name: 'My bar',
  common: false,
  shape: 'measured',
  diodes: { columns: 3, rows: 2 },
  curve: whiteLed(4000),
  farField: { round: false, table: { gamma: [0, 1, Math.PI / 2], c: [0, 3], perFlux: [0.3, 0.2, 0, 0.3, 0.1, 0] } },
};
const site = keepLamp('demo-leek', own)(demoSite('en-GB'));
const plain = () => JSON.parse(JSON.stringify(writeSite(site)));
const problemsOf = (data: unknown) => {
  const result = readSite(data);
  return result.ok ? [] : result.problems.map((p) => `${p.code} ${p.at}`);
};

test('what is written reads back the same', () => {
  const result = readSite(plain());
  if (!result.ok) throw new Error(JSON.stringify(result.problems));
  const { lamps, ...rest } = result.value;
  const { lamps: before, ...restBefore } = site;
  expect(rest).toEqual(restBefore);
  expect(lamps[0]).toMatchObject({
    ...before[0],
    beamFwhm: expect.closeTo(before[0]!.beamFwhm!, 9),
    distrust: [],
    sources: expect.anything(),
  });
});

test.each([
  ['nothing', null, 'site/not-an-object '],
  ['a list', [], 'site/not-an-object '],
  ['another program’s file', { format: 'else', version: 1 }, 'site/foreign format'],
  ['a newer file', { format: 'copper-noon/site', version: 6 }, 'site/newer version'],
])('%s is refused', (_, data, problem) => expect(problemsOf(data)).toEqual([problem]));

test('every broken field is named with its place', () => {
  const file = plain();
  file.price_per_kWh = 'cheap';
  file.stands[1].tiers[0].fittings[0].face_m = -3;
  file.batches[0].stage = 'flying';
  file.surprise = 1;
  expect(problemsOf(file)).toEqual(
    expect.arrayContaining([
      'site/isNumber price_per_kWh',
      'site/min stands[1].tiers[0].fittings[0].face_m',
      'site/isIn batches[0].stage',
      'site/whitelistValidation surprise',
    ]),
  );
});

test('sides, age, spectrum and far field of a lamp are checked as well', () => {
  const file = plain();
  file.stands[0].tiers[0].enclosure.faces.left = 'gold';
  file.stands[0].tiers[0].ageing.view = 'yesterday';
  delete file.stands[1].tiers[0].enclosure;
  file.lamps[0].curve.power[3] = -1;
  expect(problemsOf(file)).toEqual([
    'site/isIn stands[0].tiers[0].enclosure.faces.left',
    'site/isIn stands[0].tiers[0].ageing.view',
    'site/isDefined stands[1].tiers[0].enclosure',
    'site/min lamps[0].curve.power',
  ]);
  const other = plain();
  other.lamps[0].farField.gamma_rad = [0, 2, 1];
  other.lamps[0].farField.perFlux_per_sr.pop();
  expect(problemsOf(other)).toEqual(['site/not-rising lamps[0].farField.gamma_rad', 'site/count lamps[0].farField.perFlux_per_sr']);
});

test('what refers to nothing, and what is there twice, is named', () => {
  const file = plain();
  file.stands[0].tiers[0].fittings[0].lampId = 'lost';
  file.stands[0].tiers[0].trays[0].batchId = 'lost';
  file.programmes[1].id = file.programmes[0].id;
  expect(problemsOf(file)).toEqual(
    expect.arrayContaining([
      'site/missing stands[0].tiers[0].fittings[0].lampId',
      'site/missing stands[0].tiers[0].trays[0].batchId',
      'site/id-twice programmes[1].id',
    ]),
  );
});

test('a hostile key does not reach the prototype', () => {
  const file = JSON.parse(`{"__proto__": {"polluted": true}, ${JSON.stringify(plain()).slice(1)}`);
  readSite(file);
  expect(({} as Record<string, unknown>).polluted).toBeUndefined();
});

test('many changes make few writes, the last of them the newest', async () => {
  let value = 0;
  const written: number[] = [];
  const keeper = keep(
    async () => {
      const now = value;
      await new Promise((done) => setTimeout(done, 5));
      written.push(now);
    },
    (reason) => {
      throw reason;
    },
    5,
  );
  for (value = 1; value <= 20; value++) keeper.soon();
  void keeper.now();
  value = 99;
  keeper.soon();
  await keeper.flush();
  await keeper.flush();
  expect(written[written.length - 1]).toBe(99);
  expect(written.length).toBeLessThanOrEqual(3);
});
