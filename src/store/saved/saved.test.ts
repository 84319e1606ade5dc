import 'reflect-metadata';
import { copyOf, freshCrop, keepCrop, noteCrop } from '../../core/site/crop/changeCrops';
import { tables } from '../../core/things/tables/libraryTables';
import type { Site } from '../../core/site/stand/Site';
import { dayFrom } from '../../core/units/day';
import type { Lamp } from '../../core/things/lamp/Lamp';
import { lampLibrary } from '../../core/things/lamp/lampLibrary';
import { whiteLed } from '../../core/light/spectrum/models';
import { demoSite } from '../site/demoSite';
import { keepLamp } from '../site/setUpVerbs';
import { keep } from './keep';
import { readSite } from '../form/readSite';
import { writeSite } from '../form/writeSite';
import { VERSION } from '../form/migrate';

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
/** With everything in it that a site can have: a season, crops and notes of one's own, a chart that is put up. */
const TODAY = dayFrom(2027, 2, 28);
const withCrops = [
  keepCrop({ ...copyOf(tables.crop('celery')!, 'own-celery', 'Our celery'), own: { basedOn: 'celery', why: 'cooler here' } }),
  keepCrop(freshCrop(tables.crop('fern')!, 'own-fern', 'Fern of the stairs')),
  noteCrop({ id: 'note-1', cropId: 'own-celery', day: TODAY, outcome: 'good', text: 'Stayed short.' }),
].reduce((s, change) => change(s), keepLamp('demo-leek', own)(demoSite('en-GB', TODAY)));
const site: Site = {
  ...withCrops,
  timeZone: 'Europe/Lisbon',
  stands: withCrops.stands.map((s) =>
    s.id === 'demo-rack'
      ? {
          ...s,
          chart: {
            made: TODAY,
            visits: [
              {
                day: TODAY + 3,
                lamps: [{ tierId: s.tiers[0]!.id, fittingId: s.tiers[0]!.fittings[0]!.id, steps: -2, face: 0.31 }],
                dims: [{ tierId: s.tiers[0]!.id, fittingId: s.tiers[0]!.fittings[0]!.id, from: 1, to: 0.5 }],
                risers: [{ tierId: s.tiers[0]!.id, trayId: s.tiers[0]!.trays[0]!.id, from: 2, to: 1 }],
                hours: [{ timerId: s.tiers[0]!.timerId, on_min: 300, lit_min: 720 }],
              },
            ],
          },
        }
      : s,
  ),
};
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
  // How old a batch is follows from its dates, and is not kept.
  const kept = { ...restBefore, batches: restBefore.batches.map((b) => ({ ...b, age: undefined })) };
  expect(rest).toEqual(kept);
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
  ['a newer file', { format: 'copper-noon/site', version: VERSION + 1 }, 'site/newer version'],
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
    'site/isObject stands[1].tiers[0].enclosure',
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

test('days, plans, plugs, crops and visits are checked as well', () => {
  const file = plain();
  const dated = file.batches.findIndex((b: { sown: string | null }) => b.sown !== null);
  file.batches[dated].sown = '2027-02-30';
  file.batches[dated].log[0].what = 'flew away';
  file.batches[dated].plan.kind = 'whenever';
  file.crops[0].stages[0].dliMin = -1;
  file.visits.rhythm = 'now and then';
  file.timeZone = 'Europe/Nowhere';
  file.stands[0].plugged[0].power_W = 1e9;
  file.stands[0].chart.visits[0].day = 'soon';
  expect(problemsOf(file)).toEqual(
    expect.arrayContaining([
      `site/isDay batches[${dated}].sown`,
      `site/isIn batches[${dated}].log[0].what`,
      `site/isIn batches[${dated}].plan.kind`,
      'site/min crops[0].stages[0].dliMin',
      'site/isIn visits.rhythm',
      'site/isTimeZone timeZone',
      'site/max stands[0].plugged[0].power_W',
      'site/isDay stands[0].chart.visits[0].day',
    ]),
  );
});

test('crops that contradict themselves, trips that end before they begin and plugs on no timer are named', () => {
  const file = plain();
  file.crops[0].stages[1].hoursMax = 1;
  file.crops[1].heightByDay = [{ day: 5, height_m: 0.1 }, { day: 5, height_m: 0.2 }]; // prettier-ignore
  file.visits.away = [{ from: '2027-03-09', to: '2027-03-01' }];
  file.stands[0].plugged[0].programmeId = 'none';
  file.cropNotes[0].cropId = 'moonflower';
  expect(problemsOf(file)).toEqual(
    expect.arrayContaining([
      'site/not-rising crops[0].stages[1].hoursMax',
      'site/not-rising crops[1].heightByDay[1].day',
      'site/not-rising visits.away[0].to',
      'site/missing stands[0].plugged[0].programmeId',
      'site/missing cropNotes[0].cropId',
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
    { quiet_ms: 5, latest_ms: 50, again_ms: 50 },
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
