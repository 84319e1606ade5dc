import { cautionLibrary } from '../../things/caution/cautionLibrary';
import type { Caution } from '../../things/caution/Caution';
import { fires } from './fires';

const caution = (...triggers: string[]): Caution => ({ id: 'x', title: '', severity: 'info', text: '', triggers });

test.each([
  [['lamp.a == true'], { 'lamp.a': true }, true],
  [['lamp.a == true'], {}, false],
  [['lamp.a != true'], {}, true],
  [['lamp.n >= 3 && lamp.m < 2'], { 'lamp.n': 3, 'lamp.m': 1 }, true],
  [['lamp.n >= 3 && lamp.m < 2'], { 'lamp.n': 3, 'lamp.m': 2 }, false],
  [["lamp.f in ['T8', 'CFL']"], { 'lamp.f': 'CFL' }, true],
  [['lamp.f == T12'], { 'lamp.f': 'T12' }, true],
  [['c.load > 0.8 * c.rating'], { 'c.load': 81, 'c.rating': 100 }, true],
  [['c.load > 0.8 * c.rating'], { 'c.load': 81 }, false],
  [['c.load > c.rating'], { 'c.load': 3, 'c.rating': 2 }, true],
  [['crop.feed exists'], { 'crop.feed': true }, true],
  [['no.such == 1', 'lamp.f == T12'], { 'lamp.f': 'T12' }, true],
])('%j with %j fires: %s', (triggers, facts, expected) => expect(fires(caution(...triggers), facts)).toBe(expected));

test('every trigger of the table is in the language', () => {
  for (const c of cautionLibrary) expect(() => fires(c, {})).not.toThrow();
});

test('a trigger that is not in the language is refused', () => {
  expect(() => fires(caution('lamp glows'), {})).toThrow(SyntaxError);
});

test('hot lamps near leaves and mercury in tubes are pointed out', () => {
  const by = (id: string) => cautionLibrary.find((c) => c.id === id)!;
  expect(fires(by('lamp-too-close'), { 'setup.lampDistanceCm': 4, 'lamp.minClearanceCm': 15 })).toBe(true);
  expect(fires(by('lamp-too-close'), { 'setup.lampDistanceCm': 20, 'lamp.minClearanceCm': 15 })).toBe(false);
  expect(fires(by('cfl-mercury'), { 'lamp.family': 'T8' })).toBe(true);
  expect(fires(by('cfl-mercury'), { 'lamp.family': 'LED-bar' })).toBe(false);
});
