import fc from 'fast-check';
import { compassOf, directionOf, noonFacing, readFacing } from './facing';
import { radiansOf, readCoordinate, showCoordinate } from './readCoordinate';
import { townOf } from './townOf';

const RAD = Math.PI / 180;
const degrees = (text: string, axis: 'latitude' | 'longitude' = 'latitude', sign: '.' | ',' = '.') => {
  const read = readCoordinate(text, axis, sign);
  return read.ok ? Number((read.value / RAD).toFixed(5)) : read.problems[0]!.code;
};

test.each([
  ['54.2', 54.2],
  ['-33.9', -33.9],
  ['−33.9', -33.9],
  ['54°12′N', 54.2],
  ['54 12 30 s', -54.20833],
  ['0 30 S', -0.5],
  ['-0 30', -0.5],
  ['90', 90],
  ['90.1', 'place/beyond'],
  ['91', 'place/beyond'],
  ['-54 N', 'place/not-a-coordinate'],
  ['54 61', 'place/not-a-coordinate'],
  ['54 E', 'place/not-a-coordinate'],
  ['north', 'place/not-a-coordinate'],
  ['', 'place/not-a-coordinate'],
])('%s as a latitude', (text, wanted) => expect(degrees(text)).toBe(wanted));

test('longitudes, and decimal commas', () => {
  expect(degrees('3.1 W', 'longitude')).toBe(-3.1);
  expect(degrees('170 E', 'longitude')).toBe(170);
  expect(degrees('181', 'longitude')).toBe('place/beyond');
  expect(degrees('54,25', 'latitude', ',')).toBe(54.25);
});

test('what is shown is read back, and what is kept reads back the same', () => {
  fc.assert(
    fc.property(fc.double({ min: -89.99, max: 89.99, noNaN: true }), (d) => {
      const shown = showCoordinate(radiansOf(d), 'latitude');
      expect(degrees(shown) as number).toBeCloseTo(d, 1);
      // As a file has it: degrees out, degrees in.
      const kept = radiansOf(d);
      expect(radiansOf(Number((kept / RAD).toFixed(9)))).toBe(kept);
    }),
  );
});

test('directions by name, by compass point and in degrees', () => {
  const of = (text: string) => {
    const read = readFacing(text);
    return read.ok ? Math.round(read.value / RAD) : read.problems[0]!.code;
  };
  expect(['NE', 'north-east', 'north east', '45', '45°', 'ssw', 'W', '360'].map(of)).toEqual([45, 45, 45, 45, 45, 203, 270, 0]);
  expect(['up', '361', '-1', ''].map(of)).toEqual(Array(4).fill('window/not-a-direction'));
  for (let d = 0; d < 360; d += 45) expect(of(directionOf(d * RAD))).toBe(d);
  expect([null, 50, -38].map((degrees) => directionOf(noonFacing(degrees === null ? null : degrees * RAD)))).toEqual(['south', 'south', 'north']); // prettier-ignore
  expect([compassOf(0), compassOf(Math.PI), compassOf(355 * RAD)]).toEqual(['N', 'S', 'N']);
});

test('a zone’s town is where the tz database has it; zones of no town have none', () => {
  // zone.tab: +513030-0000731 and -3352+15113.
  expect(townOf('Europe/London')).toEqual({ latitude: 51.51 * RAD, longitude: -0.13 * RAD });
  expect(townOf('Australia/Sydney')!.latitude).toBeCloseTo(-33.87 * RAD, 4);
  expect(townOf('Etc/GMT-3')).toBeNull();
  expect(townOf('__proto__')).toBeNull();
});
