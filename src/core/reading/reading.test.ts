import fc from 'fast-check';
import { evenly } from '../../../test/evenly';
import { lampLibrary } from '../library/lampLibrary';
import { spectrumOf } from '../library/spectrumLibrary';
import { readingOfPpfd, type LightUnit } from '../units/light';
import { combine } from '../uncertainty/Band';
import { doubtsOf } from '../uncertainty/doubtsOfLamp';
import { calibrate, compare } from './calibrate';
import { nominalAt } from './nominalAt';
import { question, type Why } from './question';
import type { Reading } from './Reading';
import { suspicionsOf } from './suspicionsOf';

const lamp = lampLibrary.find((l) => l.id === 'led-shop-12-twin-42')!;
const spectrum = spectrumOf(lamp.spectrumId);
const at = { dx: 0, dy: 0, distance: 0.2, row: { count: 1, gap: 0.08 } };

/** What a perfect meter would show under a lamp that gives `scale` times what its box says. */
function reading(scale: number, change: Partial<Reading> = {}): Reading {
  const place = { ...at, ...change };
  const unit: LightUnit = change.unit ?? 'lx';
  return {
    id: 'r',
    meter: 'lux-meter',
    lampId: lamp.id,
    leftOut: false,
    taken_ms: 0,
    ...place,
    unit,
    value: readingOfPpfd(scale * nominalAt(place, lamp, null), unit, spectrum.luxPerUmol),
    ...('value' in change ? { value: change.value! } : {}),
  };
}

test('whatever the unit, place and distance, the lamp’s true output is found', () => {
  fc.assert(
    fc.property(
      evenly(0.4, 1.7),
      evenly(-0.4, 0.4),
      evenly(0.05, 0.6),
      fc.constantFrom<LightUnit>('lx', 'fc', 'umol'),
      (scale, dx, distance, unit) => {
        expect(calibrate([reading(scale, { dx, distance, unit })], lamp, spectrum, null)!.scale).toBeWithin(scale, { relative: 1e-9 });
      },
    ),
  );
});

test('one reading on the wrong range among five does little', () => {
  const good = [0.9, 0.92, 0.88, 0.91].map((s, i) => reading(s, { dx: i / 10 }));
  expect(calibrate([...good, reading(9)], lamp, spectrum, null)!.scale).toBeWithin(0.91, { relative: 0.02 });
});

test('what is left out, or belongs to another lamp, does not count', () => {
  expect(calibrate([reading(2, { leftOut: true }), reading(2, { lampId: 'other' })], lamp, spectrum, null)).toBeNull();
});

test('a reading narrows the band, five narrow it more, a phone least', () => {
  const width = (readings: Reading[]) => {
    const { low, high } = combine(doubtsOf(lamp, spectrum, calibrate(readings, lamp, spectrum, null)));
    return low + high;
  };
  const five = [0.9, 0.9, 0.9, 0.9, 0.9].map((s) => reading(s));
  expect(width([reading(0.9)])).toBeLessThan(width([]));
  expect(width(five)).toBeLessThan(width([reading(0.9)]));
  expect(width([reading(0.9, { meter: 'phone' })])).toBeGreaterThan(width([reading(0.9)]));
});

test('readings are of today: another day of the lamp’s life is less sure', () => {
  const taken = calibrate([reading(0.9)], lamp, spectrum, null);
  const width = (view: 'new' | 'now' | 'end', used_h: number | null) => {
    const { low, high } = combine(doubtsOf(lamp, spectrum, taken, { used_h, dirt: 0, view }));
    return low + high;
  };
  expect(width('end', 5000)).toBeGreaterThan(width('now', 5000));
  expect(width('new', 5000)).toBeGreaterThan(width('now', 5000));
  expect(width('end', null)).toBeGreaterThan(width('end', 5000));
});

const why = (scale: number, change: Partial<Reading> = {}) =>
  question(compare([reading(scale, change)], lamp, spectrum, null)[0]!, spectrum).map((s) => s.why);

test.each<[number, Partial<Reading>, Why]>([
  [0.1, {}, 'range-reads-low'],
  [0.01, {}, 'range-reads-low'],
  [10, { unit: 'fc' }, 'range-reads-high'],
  [100, {}, 'range-reads-high'],
  [1 / 10.764, { unit: 'fc' }, 'range-reads-low'],
  [71, { unit: 'umol' }, 'lux-read-as-umol'],
  [2.8, {}, 'daylight'],
  [0.25, {}, 'shaded-or-tilted'],
  [0.15, { distance: 0.01 }, 'touching-the-lamp'],
])('%d times what the lamp can give (%j) is most likely: %s', (scale, change, expected) => expect(why(scale, change)[0]).toBe(expected));

test('a tenth could also be foot-candles read as lux, and both are named', () => {
  expect(why(0.095)).toEqual(expect.arrayContaining(['range-reads-low', 'foot-candles-read-as-lux']));
});

test('an honest lamp, a little better or worse than its box, is not questioned', () => {
  fc.assert(fc.property(evenly(0.36, 1.79), (scale) => why(scale).length === 0));
});

test('a lamp that states nothing is taken at its first reading, and later ones are held against it', () => {
  const unknown = { ...lamp, fluxBasis: 'unknown' as const };
  const first = { ...reading(6), id: 'first' };
  expect(suspicionsOf(first, [], unknown, spectrum, null)).toEqual([]);
  expect(suspicionsOf({ ...reading(6.5), id: 'second' }, [first], unknown, spectrum, null)).toEqual([]);
  expect(suspicionsOf({ ...reading(0.6), id: 'second' }, [first], unknown, spectrum, null)[0]?.why).toBe('range-reads-low');
});
