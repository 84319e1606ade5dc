import fc from 'fast-check';
import { evenly } from '../../../test/evenly';
import { readClock, showClock, showHourOfDay, showHours } from './clock';
import { readLength, showLength } from './length';
import { LUX_PER_FOOT_CANDLE, ppfdOfReading, readingOfPpfd, readLight, type LightUnit } from './light';
import { showMoney } from './money';
import { readNumber } from './readNumber';
import { readTemperature, showTemperature } from './temperature';

const value = <T>(result: { ok: true; value: T } | { ok: false }) => (result.ok ? result.value : null);

test.each([
  ['30 cm', 'in', 0.3],
  ['12in', 'cm', 0.3048],
  ['12"', 'cm', 0.3048],
  ['30', 'cm', 0.3],
  ['12', 'in', 0.3048],
  ['1 ft 6 in', 'cm', 0.4572],
  ['5\'6"', 'cm', 1.6764],
  ['5 1/2 in', 'cm', 0.1397],
  ['0,5 m', 'in', 0.5],
  ['140mm', 'in', 0.14],
  ['¾ in', 'cm', 0.01905],
  ['12,5 cm', 'in', 0.125],
  ['1 ft 3', 'cm', 0.381],
  ['5’11”', 'cm', 1.8034],
  ['30 cm.', 'in', 0.3],
  ['0,285', 'cm', 0.00285],
] as const)('%s (bare numbers in %s) is %d m', (text, bare, metres) => {
  expect(value(readLength(text, bare))).toBeWithin(metres, { relative: 1e-9 });
});

test.each(['', 'lamp', '12 parsecs', '1 2', '3/0 in', '--4', '1.2.3 cm'])('"%s" is no length', (text) => {
  expect(readLength(text, 'cm').ok).toBe(false);
});

test('a shown length, read again, is the same to the step of the tape', () => {
  fc.assert(
    fc.property(evenly(0, 3), (m) => {
      expect(value(readLength(showLength(m, 'cm'), 'in'))).toBeWithin(m, { absolute: 0.000501 });
      expect(value(readLength(showLength(m, 'in'), 'cm'))).toBeWithin(m, { absolute: 0.0254 / 8 + 1e-9 });
    }),
  );
});

test('inches are shown in quarters, as on a tape', () => {
  expect(showLength(0.1397, 'in')).toBe('5½ in');
  expect(showLength(0.0127, 'in')).toBe('½ in');
  expect(showLength(0.145, 'cm')).toBe('14.5 cm');
});

test.each([
  ['1.2k', 1200],
  ['1,200', 1200],
  ['12,5', 12.5],
  ['1 200', 1200],
  ['3/4', 0.75],
  ['0,285', 0.285],
  ['1.234,5', 1234.5],
  ['1,234.5', 1234.5],
  ['1,234,567', 1234567],
  ['1.234.567', 1234567],
  ['1234,567', 1234.567],
  ['850.', 850],
  ['€ 0,30', 0.3],
  ['0.30 €', 0.3],
  ['kr 2.9', 2.9],
  ['1\u202f200', 1200],
  ['1’200', 1200],
  ['−5', -5],
  ['1 2 3', null],
  ['1 20', null],
  ['12,34,5', null],
  ['1.2.3', null],
  ['1e308', null],
  ['x', null],
  ['', null],
])('the number %s is %d', (text, expected) => expect(readNumber(text)).toBe(expected));

test('a comma before three digits is read as the person’s own place has it, a dot always as a decimal sign', () => {
  expect([readNumber('1,200', ','), readNumber('1,200', '.'), readNumber('0,285', '.')]).toEqual([1.2, 1200, 0.285]);
  expect([readNumber('1.234', ','), readNumber('1.234', '.')]).toEqual([1.234, 1.234]);
  expect(value(readLength('1,234 m', 'cm', ','))).toBeWithin(1.234, { relative: 1e-12 });
});

test('any number that is shown, with either decimal sign and with or without groups, is read as itself', () => {
  fc.assert(
    fc.property(evenly(0, 99_999), fc.constantFrom('en-GB', 'de-DE', 'fr-FR', 'de-CH', 'pt-PT'), fc.boolean(), (n, locale, useGrouping) => {
      const rounded = Math.round(n * 100) / 100;
      const shown = new Intl.NumberFormat(locale, { minimumFractionDigits: 2, maximumFractionDigits: 2, useGrouping }).format(rounded);
      expect(readNumber(shown)).toBeWithin(rounded, { absolute: 1e-9 });
    }),
  );
});

test.each([
  ['850 lx', 850, 'lx'],
  ['850.', 850, 'fc'],
  ['1.2klx', 1200, 'lx'],
  ['300 fc', 300, 'fc'],
  ['120 µmol', 120, 'umol'],
  ['120', 120, 'fc'],
] as const)('the reading %s is %d %s', (text, expected, unit) => {
  expect(value(readLight(text, 'fc'))).toEqual({ value: expected, unit });
});

test('a negative or empty reading is refused', () => {
  expect(readLight('-5 lx', 'lx').ok).toBe(false);
  expect(readLight('', 'lx').ok).toBe(false);
});

// Thimijan & Heins 1983, HortScience 18, table of factors: lux for each µmol m⁻² s⁻¹.
test.each([
  ['sunlight', 54, 108_000, 2000],
  ['cool white fluorescent', 74, 7400, 100],
  ['high-pressure sodium', 82, 8200, 100],
])('under %s (%d lx/µmol) %d lx are %d µmol', (_, factor, lux, ppfd) => {
  expect(ppfdOfReading({ value: lux, unit: 'lx' }, factor)).toBeWithin(ppfd, { relative: 1e-9 });
});

test('a foot-candle is 10.764 lux', () => {
  expect(LUX_PER_FOOT_CANDLE).toBeWithin(10.764, { relative: 1e-4 });
  expect(ppfdOfReading({ value: 100, unit: 'fc' }, 54)).toBeWithin(19.93, { relative: 1e-3 });
});

test('readings go both ways', () => {
  fc.assert(
    fc.property(evenly(0, 2000), evenly(8, 82), fc.constantFrom<LightUnit>('umol', 'lx', 'fc'), (ppfd, factor, unit) => {
      expect(ppfdOfReading({ value: readingOfPpfd(ppfd, unit, factor), unit }, factor)).toBeWithin(ppfd, { relative: 1e-9 });
    }),
  );
});

test.each([
  ['6:30', 390],
  ['6', 360],
  ['0630', 390],
  ['6 pm', 1080],
  ['12am', 0],
  ['12:15 pm', 735],
  ['6:30 P.M.', 1110],
  ['13 pm', null],
  ['24:00', 0],
  ['25:00', null],
  ['6:75', null],
  ['noon', null],
])('the time %s is minute %s of the day', (text, minutes) => expect(value(readClock(text, '24'))).toBe(minutes));

test.each<[string, number | null]>([
  ['7:30', null],
  ['12:30', null],
  ['7', null],
  ['7:30 pm', 1170],
  ['07:30', 450],
  ['0:30', 30],
  ['19:30', 1170],
])('by a clock to 12 the time %s is minute %s, or may be two', (text, minutes) => expect(value(readClock(text, '12'))).toBe(minutes));

test('times are shown within the day', () => {
  expect(showClock(-30, '24')).toBe('23:30');
  expect(showClock(1440 + 75, '24')).toBe('01:15');
  expect(showHours(930)).toBe('15 h 30');
  const plain = (minutes: number) => showClock(minutes, '12').replace(/\s/, ' ');
  expect([0, 390, 720, 750, 1439].map(plain)).toEqual(['12:00 am', '6:30 am', '12:00 pm', '12:30 pm', '11:59 pm']);
  expect([0, 6, 12, 18, 24].map((h) => showHourOfDay(h, '12').replace(/\s/, ' '))).toEqual(['12 am', '6 am', '12 pm', '6 pm', '12 am']);
  for (const form of ['24', '12'] as const) for (let m = 0; m < 1440; m++) expect(value(readClock(showClock(m, form), form))).toBe(m);
});

test('freezing and boiling in both worlds', () => {
  expect(value(readTemperature('32F', 'C'))).toBeWithin(0, { absolute: 1e-9 });
  expect(value(readTemperature('100 °C', 'F'))).toBe(100);
  expect(showTemperature(21, 'F')).toBe('70 °F');
  expect(readTemperature('warm', 'C').ok).toBe(false);
});

test('small amounts of money are not shown as nothing', () => {
  expect(showMoney(0.034, 'EUR', 'en-GB')).toBe('€0.034');
  expect(showMoney(12.3, 'USD', 'en-US')).toBe('$12.30');
});
