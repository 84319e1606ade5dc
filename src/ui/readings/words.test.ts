import { tables } from '@/core/things/tables/libraryTables';
import { meterLibrary } from '@/core/things/meter/meterLibrary';
import { compare } from '@/core/measure/reading/calibrate';
import { PLAIN_READING, type Reading } from '@/core/site/reading/Reading';
import { placeNow } from '@/core/measure/reading/takeReading';
import { changeTrays } from '@/core/site/stand/change';
import { benchStandOf } from '@/core/answer/stand/benchStand';
import { planWalk, type WalkPoint } from '@/core/answer/walk/planWalk';
import { demoSite } from '@/store/site/demoSite';
import { conversionWords, kindWords, offWords, placeWords, pointWords, showReading, signedPercent, suspicionWords } from './words';
import { readShown } from './readShown';
import { tableProblemWords } from './tableWords';

const site = demoSite('en-GB');
const rack = benchStandOf(
  site,
  site.stands.find((s) => s.id === 'demo-rack')!,
  tables,
);
const [top, notches, , white] = rack.tiers;

test('every point of every walk has words of its own that a person at the rack can follow', () => {
  for (const tier of rack.tiers) {
    const words = planWalk(tier, 13).map((p) => pointWords(tier, p));
    for (const w of words)
      expect(w).toMatch(
        /^(middle|(front|back|left|right) edge|(front|back) (left|right) corner|between the middle and the |near the lamp)/,
      );
  }
});

test('corners and edges are named by the side they are on, trays of one name by their place from the left', () => {
  const tray = white!.trays[0]!;
  const at = (u: number, v: number, where: WalkPoint['where']): WalkPoint => ({
    x: tray.tray.x + (u - 0.5) * tray.tray.length,
    y: tray.tray.y + (v - 0.5) * tray.tray.width,
    z: tray.canopy,
    trayId: tray.tray.id,
    where,
  });
  expect(pointWords(white!, at(0.5, 0.5, 'middle'))).toBe('middle, Sage');
  expect(pointWords(white!, at(0.95, 0.95, 'corner'))).toBe('back right corner, Sage');
  expect(pointWords(white!, at(0.03, 0.5, 'edge'))).toBe('left edge, Sage');
  expect(pointWords(white!, at(0.2, 0.97, 'edge'))).toBe('back edge, towards the left, Sage');
  expect(pointWords(white!, { ...at(0.5, 0.5, 'near-lamp'), trayId: null })).toBe('near the lamp, away from the plants');
  const labelled = changeTrays(white!.tier.id, white!.trays.map((t) => t.tray.id), () => ({ label: 'sage' }))(site); // prettier-ignore
  const twins = benchStandOf(
    labelled,
    labelled.stands.find((s) => s.id === 'demo-rack')!,
    tables,
  ).tiers.find((t) => t.tier.id === white!.tier.id)!;
  expect(pointWords(twins, { ...at(0.5, 0.5, 'middle'), trayId: twins.trays[1]!.tray.id })).toBe('middle, sage, right');
});

test('a conversion says each of its steps, in order, and what the plain factor would have said', () => {
  const place = placeNow(notches!.tier, { x: 0.4, y: 0.2, z: 0.09 });
  const reading: Reading = {
    id: 'r',
    ...PLAIN_READING,
    kindId: 'fc-digital',
    ...place,
    taken_ms: 0,
    value: 820,
    dark: 20,
    factor: 1.06,
    unit: 'fc',
  };
  const [c] = compare([reading], (id) => tables.lamp(id));
  const words = conversionWords(reading, c!.converted);
  expect(words).toMatch(
    /^\d+ µmol\/m²\/s, \d+–\d+ by the colour alone: 20 fc of daylight taken away; times 1.06, the meter’s own factor; 1 fc is 10.76 lx; \d+/,
  );
  expect(words).toMatch(/put back for slanting light.* The plain factor for white lamps \(74 lx\) would have said \d+ µmol\.$/);
  const photons = compare([{ ...reading, kindId: 'quantum-par', unit: 'umol', value: 140, dark: 0, factor: 1 }], (id) =>
    tables.lamp(id),
  )[0]!;
  expect(conversionWords(photons.reading, photons.converted)).not.toMatch(/plain factor|by the colour/);
  expect(placeWords(notches!, reading, 'cm')).toBe('40 cm from the left, 20 cm from the front (Celery, early), 11 cm below the lamp');
  expect(placeWords(top!, { ...reading, dy: 0.2 }, 'in')).toMatch(/in from the left/);
});

test('numbers as people read them', () => {
  expect([8430.4, 118.26, 12.345, 0.4567].map(showReading)).toEqual(['8,430', '118', '12.3', '0.457']);
  expect([0.123, -0.02, 0.001, 25].map(signedPercent)).toEqual(['+12 %', '−2 %', '0 %', '+999 %']);
  expect([0.04, -0.2, 0, 9].map(offWords)).toEqual(['4 % over the plan', '20 % under the plan', 'as planned', '10 times the plan']);
  expect(suspicionWords({ why: 'range-reads-high', multiply: 0.01, weight: 1 })).toBe('the range switch: it shows too much, by 100 times');
  for (const m of meterLibrary) expect(kindWords(m.id)).not.toBe(m.name);
});

test.each([
  ['850', 'lx', 850],
  ['1.2klx', 'fc', 1200],
  ['120 µmol', 'lx', 120],
] as const)('%s off a meter that shows %s is %d', (text, unit, value) => expect(readShown(text, unit)).toMatchObject({ shown: { value } }));

test.each([
  ['', /What the meter shows/],
  ['bright', /What the meter shows/],
  ['0', /The value must be above 0/],
  ['9e9', /What the meter shows/],
  ['99999999', /above the range of every known meter/],
])('%j is no reading, and it says why', (text, problem) =>
  expect(readShown(text, 'lx')).toMatchObject({ problem: expect.stringMatching(problem) as string }),
);

test('what is wrong with a table is said with its line and how to mend it', () => {
  expect(tableProblemWords({ code: 'table/no-light', at: 'line 3', found: 'bright' })).toBe(
    'Line 3: “bright” is no reading. A number, such as 850, 850 lx, 1.2klx or 120 µmol.',
  );
  expect(tableProblemWords({ code: 'table/too-long', at: '', found: 100_000, expected: '2000' })).toMatch(
    '100,000 lines; a tier holds 2,000',
  );
  for (const code of ['no-value', 'too-wide', 'quotes', 'empty', 'too-much', 'nothing', 'no-unit', 'no-dark', 'no-length', 'no-time'])
    expect(tableProblemWords({ code: `table/${code}`, at: 'line 2', found: 7, expected: '40' })).not.toMatch(/table\//);
});
