import fc from 'fast-check';
import { evenly } from '../../../../test/evenly';
import { mulberry } from '../../units/mulberry';
import { colourOf } from '../../things/lamp/colourOf';
import { lampLibrary } from '../../things/lamp/lampLibrary';
import type { Lamp } from '../../things/lamp/Lamp';
import { readingOfPpfd, type LightUnit } from '../../units/light';
import { combine } from '../../judge/uncertainty/Band';
import { uncertaintiesOf } from '../fit/uncertaintiesOfLamp';
import { calibrate, compare } from './calibrate';
import { convert } from './convert';
import { expectedReading } from './expectedReading';
import { lightThere, type ReadingPlace } from './lightThere';
import { PLAIN_READING, type Around, type Reading } from '../../site/reading/Reading';
import type { Why } from './ErrorHypothesis';
import { hypothesesOf } from './hypothesesOf';
import { suspicionsOf } from './suspicionsOf';

const lampNamed = (id: string) => lampLibrary.find((l) => l.id === id)!;
const lamp = lampNamed('led-shop-12-twin-42');
const spectrum = colourOf(lamp);
const lampOf = (id: string): Lamp | undefined => lampLibrary.find((l) => l.id === id);
const open = { floor: 'open', ceiling: 'open', left: 'open', right: 'open', front: 'open', back: 'open' };
const around: Around = { width: 1.3, depth: 0.5, height: 0.6, faces: open, covered: 0 };
const FACE = 0.5;
const under = (l: Lamp) => [{ lampId: l.id, dx: 0, dy: 0, face: FACE, turn: 0 }];

type Change = Partial<Omit<Reading, 'z'>> & { readonly distance?: number; readonly under?: Lamp };

/** What a meter of its kind would show under a lamp that gives `scale` times what its box says. */
function reading(scale: number, { distance = 0.2, under: own = lamp, ...change }: Change = {}): Reading {
  const place = { dx: change.dx ?? 0, dy: change.dy ?? 0, z: FACE - distance, lit: under(own), around };
  const unit: LightUnit = change.unit ?? 'lx';
  const kindId = { lx: 'lux-basic', fc: 'fc-digital', umol: 'quantum-par' }[unit];
  const bright = (id: string) => (lampOf(id) ? { ...lampOf(id)!, ppf: lampOf(id)!.ppf * scale } : undefined);
  const there = lightThere(place, bright);
  const missed = { lx: 0.1, fc: 0.1, umol: 0.05 }[unit] * there.slant * 2;
  const value = readingOfPpfd(there.ppfd * (1 - missed), unit, colourOf(own).luxPerUmol);
  return { id: 'r', ...PLAIN_READING, kindId, ...place, taken_ms: 0, value, unit, ...change };
}

const scaleOf = (readings: Reading[], of = lamp) => calibrate(compare(readings, lampOf), of.id);

test('whatever the unit, place and distance, the lamp’s true output is found', () => {
  fc.assert(
    fc.property(
      evenly(0.4, 1.7),
      evenly(-0.4, 0.4),
      evenly(0.05, 0.45),
      fc.constantFrom<LightUnit>('lx', 'fc', 'umol'),
      (scale, dx, distance, unit) => {
        expect(scaleOf([reading(scale, { dx, distance, unit })])!.scale).toBeWithin(scale, { relative: 1e-6 });
      },
    ),
  );
});

test('daylight is taken away, and a meter’s own factor counts', () => {
  const lampOnly = reading(0.9);
  const withDay = { ...lampOnly, value: lampOnly.value + 400, dark: 400 };
  expect(scaleOf([withDay])!.scale).toBeWithin(0.9, { relative: 1e-6 });
  expect(scaleOf([{ ...lampOnly, value: lampOnly.value / 1.25, factor: 1.25 }])!.scale).toBeWithin(0.9, { relative: 1e-6 });
});

test('one reading on the wrong range among five does little', () => {
  const good = [0.9, 0.92, 0.88, 0.91].map((s, i) => reading(s, { dx: i / 10 }));
  expect(scaleOf([...good, reading(9)])!.scale).toBeWithin(0.91, { relative: 0.02 });
});

test('what is left out, or was lit by a lamp that is gone, does not count', () => {
  expect(scaleOf([reading(2, { leftOut: true }), reading(2, { lit: [{ ...under(lamp)[0]!, lampId: 'other' }] })])).toBeNull();
});

test('a reading says something of a lamp only where it gives a fair part of the light', () => {
  const far = { lampId: 'led-bar-06-white-10', dx: -3, dy: 0, face: FACE, turn: 0 };
  const both = reading(0.9, { lit: [...under(lamp), far] });
  expect(scaleOf([both])).not.toBeNull();
  expect(calibrate(compare([both], lampOf), far.lampId)).toBeNull();
});

test('a reading narrows the band, five narrow it more, a phone least', () => {
  const width = (readings: Reading[]) => {
    const { low, high } = combine(uncertaintiesOf(lamp, spectrum, scaleOf(readings)));
    return low + high;
  };
  const five = [0.9, 0.9, 0.9, 0.9, 0.9].map((s) => reading(s));
  expect(width([reading(0.9)])).toBeLessThan(width([]));
  expect(width(five)).toBeLessThan(width([reading(0.9)]));
  expect(width([reading(0.9, { kindId: 'phone-sensor' })])).toBeGreaterThan(width([reading(0.9)]));
});

test('readings are of today: another day of the lamp’s life is less sure', () => {
  const taken = scaleOf([reading(0.9)]);
  const width = (view: 'new' | 'now' | 'end', used_h: number | null) => {
    const { low, high } = combine(uncertaintiesOf(lamp, spectrum, taken, { used_h, dirt: 0, view }));
    return low + high;
  };
  expect(width('end', 5000)).toBeGreaterThan(width('now', 5000));
  expect(width('new', 5000)).toBeGreaterThan(width('now', 5000));
  expect(width('end', null)).toBeGreaterThan(width('end', 5000));
});

const pink = lampLibrary.find((l) => l.spectrumId === 'led-pink')!;

test('a mixture is converted by what each lamp gives there', () => {
  const lit = [...under(lamp), { ...under(pink)[0]!, dx: 0.3 }];
  const place = { dx: 0.1, dy: 0, z: 0.2, lit, around };
  const there = lightThere(place, lampOf);
  const [a, b] = there.parts.map((p) => p.ppfd);
  const mixed = (a! * colourOf(lamp).luxPerUmol + b! * colourOf(pink).luxPerUmol) / (a! + b!);
  const shown = expectedReading('lux-calibrated', lightThere(place, lampOf));
  const r: Reading = { id: 'm', ...PLAIN_READING, kindId: 'lux-calibrated', ...place, taken_ms: 0, value: shown.value!, unit: 'lx' };
  const converted = convert(r, there);
  expect(converted.luxPerUmol).toBeWithin(mixed, { relative: 1e-6 });
  expect(converted.ppfd).toBeWithin(there.ppfd, { relative: 0.002 });
  // The factor for white lamps makes far too little of it.
  expect(converted.plain).toBeLessThan(0.8 * converted.ppfd);
});

test('lux under red and blue light is converted with a wide band, photons are not', () => {
  const violet = lampLibrary.find((l) => l.spectrumId === 'led-blurple') ?? pink;
  const lux = reading(1, { under: violet });
  const photons = reading(1, { under: violet, unit: 'umol' });
  expect(convert(lux, lightThere(lux, lampOf)).wide).toBe(true);
  expect(convert(photons, lightThere(photons, lampOf)).wide).toBe(false);
  expect(convert(reading(1), lightThere(reading(1), lampOf)).wide).toBe(false);
});

const why = (scale: number, change: Change = {}) => suspicionsOf(reading(scale, change), [], lampOf).map((s) => s.why);

test.each<[number, Change, Why]>([
  [0.1, {}, 'range-reads-low'],
  [0.01, {}, 'range-reads-low'],
  [10, { unit: 'fc' }, 'range-reads-high'],
  [100, {}, 'range-reads-high'],
  [1 / 10.764, { unit: 'fc' }, 'range-reads-low'],
  [71, { unit: 'umol' }, 'lux-read-as-umol'],
  [2.8, {}, 'daylight'],
  [0.15, { distance: 0.01 }, 'touching-the-lamp'],
])('%d times what the lamp can give (%j) is most likely: %s', (scale, change, expected) => expect(why(scale, change)[0]).toBe(expected));

test('at the end of its range a meter shows less than there is', () => {
  const first = { ...reading(4400 / reading(1).value), id: 'first' };
  const full = { ...first, id: 'full', value: 2000 };
  expect(suspicionsOf(full, compare([first], lampOf), lampOf)[0]!.why).toBe('full-scale');
});

test('a sensor on the shelf, and a lamp that was off, are found by what the model says of them', () => {
  const two = [
    { ...under(lamp)[0]!, dy: -0.12 },
    { ...under(lamp)[0]!, dy: 0.12 },
  ];
  const at = { dx: 0, dy: -0.12, z: 0.42, lit: two, around };
  const value = (place: Parameters<typeof lightThere>[0]) => lightThere(place, lampOf).ppfd;
  const base: Reading = { id: 'a', ...PLAIN_READING, kindId: 'quantum-par', ...at, taken_ms: 0, value: value(at), unit: 'umol' };
  const others = [base, { ...base, id: 'b', dx: 0.2, value: value({ ...at, dx: 0.2 }) }];
  const onShelf = { ...base, id: 'c', value: value({ ...at, z: 0 }) };
  expect(suspicionsOf(onShelf, compare(others, lampOf), lampOf).map((s) => s.why)).toContain('on-the-shelf');
  const unlit = { ...base, id: 'd', value: value({ ...at, lit: two.slice(1) }) };
  expect(suspicionsOf(unlit, compare(others, lampOf), lampOf)[0]!.why).toBe('lamp-unlit');
});

test('a sensor said to be above the lamps is not believed, and named for its height', () => {
  const above = reading(1, { distance: 0.2 });
  expect(suspicionsOf({ ...above, z: FACE + 0.1 }, [], lampOf)).toEqual([{ why: 'other-height', multiply: null, weight: 1 }]);
});

test('a tenth could also be foot-candles read as lux, and both are named; their chances add up to one', () => {
  expect(why(0.095)).toEqual(expect.arrayContaining(['range-reads-low', 'foot-candles-read-as-lux']));
  const all = suspicionsOf(reading(0.095), [], lampOf);
  expect(all.reduce((sum, s) => sum + s.weight, 0)).toBeWithin(1, { absolute: 0.1 });
});

test('an honest lamp, a little better or worse than its box, is not questioned; a weak one only as to where the sensor was', () => {
  fc.assert(fc.property(evenly(0.76, 1.79), (scale) => why(scale).length === 0));
  fc.assert(
    fc.property(evenly(0.36, 0.75), (scale) => {
      for (const s of suspicionsOf(reading(scale), [], lampOf)) expect([s.why, s.weight < 0.9]).toEqual(['on-the-shelf', true]);
    }),
  );
});

describe('first readings under two lamps', () => {
  const two = [
    { ...under(lamp)[0]!, dy: -0.1 },
    { ...under(lamp)[0]!, dy: 0.1 },
  ];
  const next = mulberry(7);
  const normal = () => Math.sqrt(-2 * Math.log(1 - next())) * Math.cos(2 * Math.PI * next());
  /** Lamps as they are found: older and otherwise than their box by what is usual, read by a hand. */
  const firstReading = (place: Partial<ReadingPlace>, said: ReadingPlace): Reading => {
    const truth = lightThere({ ...said, ...place }, lampOf).ppfd * Math.exp(Math.log(0.88) + 0.14 * normal() + 0.06 * normal());
    return { id: 'a', ...PLAIN_READING, kindId: 'quantum-par', ...said, taken_ms: 0, value: truth, unit: 'umol' };
  };
  const count = (place: () => Partial<ReadingPlace>, reason: Why) => {
    let named = 0;
    for (let i = 0; i < 200; i++) {
      const said: ReadingPlace = { dx: 0.2 * (next() - 0.5), dy: 0.04 * (next() - 0.5), z: 0.35, lit: two, around };
      named += suspicionsOf(firstReading(place(), said), [], lampOf).some((s) => s.why === reason) ? 1 : 0;
    }
    return named / 200;
  };

  test('one of them off is named in nine of ten, and seldom where both were on', () => {
    expect(count(() => ({ lit: [two[next() < 0.5 ? 0 : 1]!] }), 'lamp-unlit')).toBeGreaterThanOrEqual(0.9);
    expect(count(() => ({}), 'lamp-unlit')).toBeLessThan(0.15);
  });

  test('the sensor on the shelf is suspected in nine of ten, where that makes much of a difference', () => {
    expect(count(() => ({ z: 0 }), 'on-the-shelf')).toBeGreaterThanOrEqual(0.9);
  });
});

test('a lamp that states nothing is taken at its first reading, and later ones are held against it', () => {
  const unknown = (id: string) => (lampOf(id) ? { ...lampOf(id)!, fluxBasis: 'unknown' as const } : undefined);
  const first = { ...reading(6), id: 'first' };
  expect(suspicionsOf(first, [], unknown)).toEqual([]);
  expect(suspicionsOf({ ...reading(6.5), id: 'second' }, compare([first], unknown), unknown)).toEqual([]);
  expect(suspicionsOf({ ...reading(0.6), id: 'second' }, compare([first], unknown), unknown)[0]?.why).toBe('range-reads-low');
});

test('the wrong unit is put right by the factor between the two', () => {
  const as = (unit: 'lx' | 'fc' | 'umol') =>
    new Map(hypothesesOf(reading(1, { unit }), 70).flatMap((h) => (h.multiply === null ? [] : [[h.why, h.multiply]])));
  expect(as('fc').get('lux-read-as-foot-candles')).toBeWithin(0.3048 ** 2, { relative: 1e-9 });
  expect(as('lx').get('foot-candles-read-as-lux')).toBeWithin(1 / 0.3048 ** 2, { relative: 1e-9 });
  expect(as('lx').get('umol-read-as-lux')).toBe(70);
  expect(as('umol').get('lux-read-as-umol')).toBeWithin(1 / 70, { relative: 1e-9 });
});
