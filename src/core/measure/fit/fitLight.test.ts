import cases from '../../../../test/cases/light-fit.json';
import type { Emitter } from '../../light/emitters/Emitter';
import type { FaceName, Room } from '../../light/room/Room';
import { lightFieldOf } from '../../light/scene/LightField';
import { basisOf } from './basis';
import { fitLight } from './fitLight';
import type { FitQuestion } from './FitQuestion';

const SIDES = ['left', 'right', 'front', 'back'] as const satisfies readonly FaceName[];
const closed = (reflectance: number) => ({ reflectance, transmittance: 0 });

function roomOf(box: (typeof cases.cases)[number]['scene']['box'], wall: number): Room {
  const { width, depth, height, rho } = box;
  const faces = { floor: closed(rho.floor), ceiling: closed(rho.ceiling), left: closed(wall), right: closed(wall), front: closed(wall), back: closed(wall) }; // prettier-ignore
  return { x: 0, y: 0, z: 0, width, depth, height, faces };
}

const emittersOf = (c: (typeof cases.cases)[number]): Emitter[] =>
  c.scene.luminaires.map((l) => ({
    kind: 'tube',
    x: l.center[0]!,
    y: l.center[1]!,
    z: l.center[2]!,
    length: l.length,
    turn: l.axis === 'x' ? 0 : Math.PI / 2,
    ppf: l.ppf,
  }));

function questionOf(c: (typeof cases.cases)[number], readings: readonly { x: number; y: number; z: number; ppfd: number }[]): FitQuestion {
  return {
    lamps: [{ id: 'tube', uncertainty: 0.5, beamFwhm: null }],
    scenes: [{ emitters: [emittersOf(c)] }],
    room: roomOf(c.scene.box, 0.5),
    sides: SIDES,
    sidesUncertainty: 2,
    hand: 0.05,
    readings: readings.map((r, i) => ({ id: String(i), scene: 0, ...r, place: 0, hypotheses: [] })),
  };
}

test.each(cases.cases.map((c) => [c.id, c] as const))('%s: output within 5 %%, sides within 0.1, the bad reading named', (_, c) => {
  const fit = fitLight(questionOf(c, c.readings));
  const [scale, rho, outlier] = c.expected as [number, number, number];
  expect(fit.scales[0]!.value).toBeWithin(scale, { relative: 0.05 });
  expect(Math.abs(fit.sides!.value - rho)).toBeLessThan(0.1);
  expect(fit.sides!.told).toBe(true);
  const bad = fit.readings.filter((r) => r.honest < 0.5).map((r) => Number(r.id));
  expect(bad).toEqual(outlier < 0 ? [] : [outlier]);
});

/** Even numbers in 0–1 from a seed, and normal ones from them (Box & Muller 1958). */
function randomOf(seed: number): () => number {
  let s = seed >>> 0;
  return () => {
    s = (Math.imul(s, 1664525) + 1013904223) >>> 0;
    return (s + 0.5) / 2 ** 32;
  };
}
const normal = (random: () => number) => Math.sqrt(-2 * Math.log(random())) * Math.cos(2 * Math.PI * random());

test('simulated evenings: the truth lies within its errors, bad readings are named, good ones are let be in 19 of 20', () => {
  const c = cases.cases[0]!;
  let clean = 0, within = 0, caught = 0; // prettier-ignore
  const runs = 20;
  for (let seed = 1; seed <= runs; seed++) {
    const random = randomOf(seed * 7919);
    for (let i = 0; i < 5; i++) random();
    const scale = 0.65 + 0.6 * random();
    const rho = 0.1 + 0.75 * random();
    const field = lightFieldOf({
      lamps: [{ id: 'l', emitters: emittersOf(c).map((e) => ({ ...e, ppf: e.ppf * scale })) }],
      rooms: [roomOf(c.scene.box, rho)],
      obstructions: [],
    });
    const bad = Math.floor(random() * c.readings.length);
    const factor = [0.1, 10, 0.5, 2.2][seed % 4]!;
    const readings = c.readings.map(({ x, y, z }, i) => ({
      x,
      y,
      z,
      ppfd: field.ppfdAt(x, y, z) * Math.exp(0.05 * normal(random)) * (i === bad ? factor : 1),
    }));
    const fit = fitLight(questionOf(c, readings));
    const named = fit.readings.filter((r) => r.honest < 0.5).map((r) => Number(r.id));
    if (named.includes(bad)) caught++;
    if (named.every((i) => i === bad)) clean++;
    const { value, error } = fit.scales[0]!;
    if (Math.abs(Math.log(value / scale)) < 2 * error && Math.abs(fit.sides!.value - rho) < 2 * fit.sides!.error) within++;
    expect(value).toBeWithin(scale, { relative: 0.06 });
    expect(Math.abs(fit.sides!.value - rho)).toBeLessThan(0.12);
  }
  expect(caught).toBe(runs);
  expect(clean).toBeGreaterThanOrEqual(19);
  expect(within).toBeGreaterThanOrEqual(16); // both within two errors: 0.95² of the time
});

test('readings at the leaves alone can’t tell a weak lamp from dark sides, and say so', () => {
  const c = cases.cases[0]!;
  const low = c.readings.filter((r, i) => r.z === 0 && i < 5);
  const fit = fitLight({ ...questionOf(c, low), sidesUncertainty: 0.6 });
  expect(fit.sides!.told).toBe(false);
  expect(fit.sides!.shift).toBe(0);
  expect(fit.scales[0]!.error).toBeGreaterThan(0.03);
});

test('a reading whose place is in doubt pulls less', () => {
  const c = cases.cases[0]!;
  const few = c.readings.slice(0, 4);
  const off = few.map((r, i) => ({ ...r, ppfd: i === 0 ? r.ppfd * 1.12 : r.ppfd }));
  const scale = (place: number) => {
    const q = questionOf(c, off);
    return fitLight({ ...q, sides: [], readings: q.readings.map((r, i) => ({ ...r, place: i === 0 ? place : 0 })) }).scales[0]!.value;
  };
  expect(scale(0.3)).toBeLessThan(scale(0) * 0.99);
});

test('a single reading bears a single unknown', () => {
  const c = cases.cases[0]!;
  const fit = fitLight(questionOf(c, [c.readings[0]!]));
  expect(fit.unknowns).toBe(1);
  expect(fit.scales[0]!.value * fit.readings[0]!.before).toBeWithin(c.readings[0]!.ppfd, { relative: 0.02 });
});

test('two kinds of lamp and a beam are told apart where readings bear it', () => {
  const room = null;
  const spot = { kind: 'disc', x: 0.3, y: 0.3, z: 0.5, radius: 0.03, cosinePower: 6, ppf: 20 } as const; // 55° wide
  const bar = { kind: 'rect', x: 0.9, y: 0.3, z: 0.5, length: 0.5, width: 0.03, cosinePower: 1, turn: 0, ppf: 20 } as const;
  const truth = lightFieldOf({
    lamps: [
      {
        id: 'l',
        emitters: [
          { ...spot, cosinePower: 9, ppf: 17 },
          { ...bar, ppf: 23 },
        ],
      },
    ],
    rooms: [],
    obstructions: [],
  });
  const places = [0.1, 0.2, 0.3, 0.4, 0.5, 0.65, 0.8, 0.9, 1, 1.1].flatMap((x) => [0.2, 0.3].map((y) => ({ x, y, z: 0.1 })));
  const fwhm = (n: number) => 2 * Math.acos(0.5 ** (1 / n));
  const fit = fitLight({
    lamps: [
      { id: 'spot', uncertainty: 0.3, beamFwhm: fwhm(6) },
      { id: 'bar', uncertainty: 0.3, beamFwhm: null },
    ],
    scenes: [{ emitters: [[spot], [bar]] }],
    room,
    sides: [],
    sidesUncertainty: 1,
    hand: 0.04,
    readings: places.map((p, i) => ({
      id: String(i),
      scene: 0,
      ...p,
      ppfd: truth.ppfdAt(p.x, p.y, p.z) * (i === 4 ? 10 : 1),
      place: 0,
      hypotheses: [],
    })),
  });
  expect(fit.scales[0]!.value).toBeWithin(17 / 20, { relative: 0.03 });
  expect(fit.scales[1]!.value).toBeWithin(23 / 20, { relative: 0.03 });
  expect(fit.beam!.value).toBeWithin(fwhm(9) / fwhm(6), { relative: 0.03 });
  expect(fit.readings.filter((r) => r.honest < 0.5).map((r) => r.id)).toEqual(['4']);
});

test('between its nodes the basis is the settled light', () => {
  const c = cases.cases[0]!;
  const q = questionOf(c, c.readings);
  const basis = basisOf(q, q.readings);
  for (const rho of [0.05, 0.3, 0.5, 0.66, 0.8, 0.9]) {
    const unit = basis.at(Math.log(rho / (1 - rho)), 0);
    const field = lightFieldOf({ lamps: [{ id: 'l', emitters: emittersOf(c) }], rooms: [roomOf(c.scene.box, rho)], obstructions: [] });
    q.readings.forEach((r, i) => expect(unit[i]!).toBeWithin(field.ppfdAt(r.x, r.y, r.z), { relative: 0.005 }));
  }
});

test('without a reading, or with one of nothing, there is no fit', () => {
  const c = cases.cases[0]!;
  expect(() => fitLight(questionOf(c, []))).toThrow('needs readings');
  expect(() => fitLight(questionOf(c, [{ x: 0.5, y: 0.2, z: 0, ppfd: 0 }]))).toThrow('more than nothing');
});
