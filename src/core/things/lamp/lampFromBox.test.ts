import fc from 'fast-check';
import { evenly } from '../../../../test/evenly';
import { lampLibrary } from './lampLibrary';
import { lightFieldOf } from '../../light/scene/LightField';
import { whiteLed } from '../../light/spectrum/models';
import { AS_NEW, maintenance, outputFor } from './ageing';
import { fadedTo } from './fading';
import { contradictions } from './boxClaims';
import { emittersOf } from './emittersOf';
import { fitToMap, readMapCells } from './fitToMap';
import { claimsOf, efficacyLimitOf, lampFromBox, spectrumIdFor, type LampBox, type BoxFigures } from './lampFromBox';

const none: BoxFigures = { lumens: null, ppf: null, efficacy: null, ppfd: null, ppfdDistance: 0.3 };
const box: LampBox = {
  name: 'Shelf bar',
  technology: 'led',
  shape: 'bar',
  length: 1.1,
  width: 0.03,
  emitters: 1,
  hole: 0,
  diodes: null,
  power: 20,
  cct: 4000,
  beam_deg: 120,
  figures: { ...none, lumens: 2000 },
  believe: 'lumens',
  map: null,
  measured: null,
  curve: null,
};
const made = (change: Partial<LampBox>) => lampFromBox({ ...box, ...change }, 'own');
const ppf = (change: Partial<LampBox>) => {
  const result = made(change);
  return result.ok ? result.value.ppf : null;
};
const problems = (change: Partial<LampBox>) => {
  const result = made(change);
  return result.ok ? [] : result.problems.map((p) => `${p.code} ${p.at}`);
};

test('lumens become photons by the spectrum, efficacy by the watts, PPF is itself', () => {
  expect(ppf({})).toBeWithin(2000 / 71, { relative: 0.01 }); // 4000 K white LED: 71 lx/µmol
  expect(ppf({ figures: { ...none, efficacy: 2.5 }, believe: 'efficacy' })).toBeWithin(50, { relative: 1e-9 }); // 20 W × 2.5 µmol/J
  expect(ppf({ figures: { ...none, ppf: 31 }, believe: 'ppf' })).toBe(31);
});

test('its own spectrum converts its lumens instead of the usual one', () => {
  expect(ppf({ curve: whiteLed(4000, 90) })).toBeGreaterThan(1.05 * ppf({})!); // 67 instead of 71 lx/µmol
});

test('one PPFD at a distance gives the flux that gives that PPFD back', () => {
  fc.assert(
    fc.property(evenly(20, 60), evenly(0.1, 0.6), (ppfd, ppfdDistance) => {
      const lamp = made({ figures: { ...none, ppfd, ppfdDistance }, believe: 'ppfd', power: 200 });
      if (!lamp.ok) throw new Error(JSON.stringify(lamp.problems));
      const emitters = emittersOf(lamp.value, { x: 0, y: 0, face: ppfdDistance, turn: 0 });
      expect(lightFieldOf({ lamps: [{ id: 'l', emitters }], rooms: [], obstructions: [] }).ppfdAt(0, 0, 0)).toBeWithin(ppfd, {
        relative: 1e-9,
      });
    }),
  );
});

test('a published map is fitted, flux and beam', () => {
  const truth = {
    ...lampLibrary.find((l) => l.beamFwhm !== null && l.shape === 'bulb-reflector')!,
    beamFwhm: (70 * Math.PI) / 180,
    ppf: 33,
  };
  const field = lightFieldOf({
    lamps: [{ id: 'l', emitters: emittersOf(truth, { x: 0, y: 0, face: 0.4, turn: 0 }) }],
    rooms: [],
    obstructions: [],
  });
  const at = (i: number, n: number) => ((i + 0.5) / n - 0.5) * 0.6;
  const rows = Array.from({ length: 5 }, (_, j) => Array.from({ length: 7 }, (_, i) => field.ppfdAt(at(i, 7), at(j, 5), 0)));
  const fit = fitToMap({ ...truth, beamFwhm: 1.9, ppf: 1 }, { distance: 0.4, width: 0.6, depth: 0.6, rows });
  expect(fit.ppf).toBeWithin(33, { relative: 0.01 });
  expect(fit.beamFwhm).toBeWithin(truth.beamFwhm, { relative: 0.01 });
  expect(fit.leftOver).toBeLessThan(0.01);
});

test('cells of a map are read however they are parted, and uneven or foreign ones refused by line', () => {
  expect(readMapCells('1 2\t3\n4,5;6\n')).toEqual({ ok: true, value: [[1, 2, 3], [4, 5, 6]] }); // prettier-ignore
  for (const bad of ['1 -2\n3 4', '1 2\n3 x', '1 2\n3 20001'])
    expect(readMapCells(bad)).toMatchObject({ ok: false, problems: [{ code: 'map/not-numbers' }] });
  expect(readMapCells('1 2\n3')).toMatchObject({ ok: false, problems: [{ code: 'map/uneven', at: 'line 2' }] });
  expect(readMapCells('1 2\nx 3')).toMatchObject({ ok: false, problems: [{ code: 'map/not-numbers', at: 'line 2' }] });
  expect(readMapCells('0 0')).toMatchObject({ ok: false, problems: [{ code: 'map/empty' }] });
});

test('a box that promises more photons than joules can carry is refused, by the field; the limit is that of its colour', () => {
  expect(problems({ figures: { ...none, ppf: 300 }, believe: 'ppf' })).toEqual(['box/impossible ppf']);
  // White light carries about 4.6 µmol for each joule radiated, deep red 5.5.
  expect(efficacyLimitOf(box)).toBeWithin(4.64, { relative: 0.01 });
  expect(efficacyLimitOf({ ...box, technology: 'led-red-blue' })).toBeGreaterThan(5);
  expect(problems({ figures: { ...none, ppf: 97 }, believe: 'ppf' })).toEqual(['box/impossible ppf']); // 4.85 µmol/J
  expect(problems({ figures: { ...none, ppf: 97 }, believe: 'ppf', technology: 'led-red-blue' })).toEqual([]);
});

test('every field that cannot be right is named at once, and a figure that is missing', () => {
  expect(problems({ name: ' ', power: 0, length: 9, beam_deg: 200 })).toEqual([
    'box/empty name',
    'box/range length',
    'box/range power',
    'box/range beam_deg',
  ]);
  expect(problems({ believe: 'ppf' })).toEqual(['box/no-figure ppf']);
  expect(problems({ believe: 'map' })).toEqual(['box/no-figure map']);
  expect(problems({ shape: 'measured', believe: 'photometry' })).toEqual(['box/no-file photometry']);
  expect(problems({ shape: 'coil', width: 0.2, hole: 0.3 })).toEqual(['box/range hole']);
  expect(problems({ shape: 'coil', width: 0.2, hole: -0.1 })).toEqual(['box/range hole']);
  // A hole is a matter of coils alone.
  expect(problems({ width: 0.2, hole: 0.3 })).toEqual([]);
});

test('figures of one box that contradict each other are named, with how much', () => {
  const claims = claimsOf({ ...box, figures: { ...none, lumens: 2000, ppf: 56, efficacy: 1.4 } });
  expect(contradictions(claims)).toEqual([
    expect.objectContaining({ higher: 'ppf', lower: 'efficacy', times: 2 }),
    expect.objectContaining({ higher: 'ppf', lower: 'lumens' }),
  ]);
  expect(contradictions(claimsOf({ ...box, figures: { ...none, lumens: 2000, ppf: 28 } }))).toEqual([]);
});

test('a panel of diodes is brighter under a diode than between them, and far away as an even one', () => {
  const panel: Partial<LampBox> = { shape: 'panel', length: 0.4, width: 0.2, figures: { ...none, ppf: 20 }, believe: 'ppf' };
  const at = (diodes: LampBox['diodes'], x: number, face: number) => {
    const lamp = made({ ...panel, diodes });
    if (!lamp.ok) throw new Error(JSON.stringify(lamp.problems));
    const emitters = emittersOf(lamp.value, { x: 0, y: 0, face, turn: 0 });
    return lightFieldOf({ lamps: [{ id: 'l', emitters }], rooms: [], obstructions: [] }).ppfdAt(x, 0.025, 0);
  };
  const diodes = { columns: 8, rows: 4 };
  expect(at(diodes, 0.025, 0.01)).toBeGreaterThan(3 * at(diodes, 0, 0.01));
  expect(at(diodes, 0, 0.7)).toBeWithin(at(null, 0, 0.7), { relative: 1e-9 });
});

test('a coil is a disc less its hole: dark in the middle close by, and all its light goes down', () => {
  const lamp = made({ shape: 'coil', width: 0.3, length: 0.3, hole: 0.2, figures: { ...none, ppf: 20 }, believe: 'ppf' });
  if (!lamp.ok) throw new Error(JSON.stringify(lamp.problems));
  const emitters = emittersOf(lamp.value, { x: 0, y: 0, face: 0.02, turn: 0 });
  const field = lightFieldOf({ lamps: [{ id: 'l', emitters }], rooms: [], obstructions: [] });
  expect(field.ppfdAt(0, 0, 0)).toBeLessThan(0.1 * field.ppfdAt(0.125, 0, 0));
  expect(emitters.reduce((sum, e) => sum + e.ppf, 0)).toBeWithin(20, { relative: 1e-9 });
});

test.each([
  ['led', 2700, 'led-2700'],
  ['led', 6500, 'led-6500'],
  ['fluorescent', 4000, 'fl-840'],
  ['led-red-blue', 4000, 'led-blurple'],
  ['discharge', 2000, 'hps'],
] as const)('%s at %d K has the spectrum %s', (technology, cct, id) => expect(spectrumIdFor(technology, cct)).toBe(id));

test('every lamp fades from all to what its life leaves, tubes early and diodes evenly', () => {
  for (const lamp of lampLibrary) {
    expect(maintenance(lamp, 0)).toBe(1);
    expect(maintenance(lamp, lamp.life_h)).toBeWithin(lamp.maintenanceAtEnd, { relative: 1e-9 });
  }
  const at = (family: string) => maintenance({ family, life_h: 100, maintenanceAtEnd: 0.8 }, 25);
  expect(at('T8')).toBeLessThan(at('LED-bar'));
  // TM-21: L = exp(−αt); a quarter of the way to 0.8 is 0.8 to the quarter.
  expect(at('LED-bar')).toBeWithin(Math.exp(0.25 * Math.log(0.8)), { relative: 1e-12 });
});

test('the day that is shown: new, now by hours and dust, end; readings are of today', () => {
  const lamp = { family: 'LED-bar', life_h: 100, maintenanceAtEnd: 0.7 };
  const age = { used_h: 100, dirt: 0.1 };
  expect(outputFor(lamp, { ...age, view: 'new' }, false)).toBe(1);
  expect(outputFor(lamp, { ...age, view: 'now' }, false)).toBeWithin(0.63, { relative: 1e-9 });
  expect(outputFor(lamp, { ...age, view: 'now' }, true)).toBe(1);
  expect(outputFor(lamp, { ...age, view: 'new' }, true)).toBeWithin(1 / 0.63, { relative: 1e-9 });
  // Of unknown age the expected lamp: half way through its life. A later day of the season is so many hours on.
  expect(outputFor(lamp, AS_NEW, false)).toBeWithin(Math.sqrt(0.7), { relative: 1e-12 });
  expect(outputFor(lamp, { ...AS_NEW, later_h: 10 }, false)).toBeWithin(0.7 ** 0.6, { relative: 1e-12 });
  expect(outputFor(lamp, { ...AS_NEW, later_h: 10 }, true)).toBeWithin(0.7 ** 0.1, { relative: 1e-12 });
  expect(fadedTo([{ lamp: { ...lamp, ppf: 5 } as never, ageing: AS_NEW }], 10)).toBeWithin(0.7 ** 0.1, { relative: 1e-12 });
});

test('what a box says of the light at a distance counts as a claim only where its size and beam can be reckoned with', () => {
  const told = { ...none, ppfd: 200, ppfdDistance: 0.3 };
  const claims = (change: Partial<LampBox>) => claimsOf({ ...box, ...change }).map((c) => c.what);
  expect(claims({ figures: told })).toEqual(['ppfd']);
  expect(claims({ figures: { ...told, ppfdDistance: 0 } })).toEqual([]);
  for (const odd of [{ length: -0.1 }, { width: -0.1 }, { emitters: 0 }, { beam_deg: 4 }, { beam_deg: 171 }])
    expect([odd, claims({ figures: told, ...odd })]).toEqual([odd, []]);
  for (const rim of [{ beam_deg: 5 }, { beam_deg: 170 }, { emitters: 1 }, { beam_deg: null }])
    expect([rim, claims({ figures: told, ...rim })]).toEqual([rim, ['ppfd']]);
  expect(claimsOf({ ...box, figures: { ...none, efficacy: 2 } })).toEqual([{ what: 'efficacy', ppf: 2 * box.power }]);
  expect(claims({ figures: { ...none, ppf: 0, lumens: 0 } })).toEqual([]);
});

test('how near leaves may come to a lamp from its box: whole centimetres, never less for more watts, a hot lamp farther than a cool one', () => {
  const clearance = (technology: LampBox['technology'], power: number): number => {
    const lamp = made({ technology, power, figures: { ...none, ppf: 0.2 * power }, believe: 'ppf' });
    if (!lamp.ok) throw new Error(JSON.stringify(lamp.problems));
    return lamp.value.heatClearance;
  };
  for (const technology of ['led', 'fluorescent', 'incandescent', 'discharge'] as const) {
    const all = [10, 25, 60, 150, 400].map((power) => clearance(technology, power));
    for (const [i, v] of all.entries()) {
      expect(100 * v).toBeWithin(Math.round(100 * v), { absolute: 1e-9 });
      expect(v).toBeGreaterThanOrEqual(i === 0 ? 0.01 : all[i - 1]!);
      expect(v).toBeLessThan(1.5);
    }
  }
  expect(clearance('incandescent', 100)).toBeGreaterThan(2 * clearance('led', 100));
});

test('a figure that is believed but not there is asked for by its name', () => {
  expect(problems({ believe: 'photometry', measured: null })).toEqual(['box/no-figure photometry']);
  expect(problems({ believe: 'map', map: null })).toEqual(['box/no-figure map']);
});
