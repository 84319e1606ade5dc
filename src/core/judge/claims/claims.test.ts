import fc from 'fast-check';
import { allOf, oneOf } from './Claim';
import { auditClaims } from './auditClaims';
import { readClaims } from './readClaims';

const codes = (text: string) => auditClaims(readClaims(text)).map((f) => f.code);
const figures = (text: string) => readClaims(text).figures.map((f) => [f.kind, f.value]);

test.each([
  ['A 600 W plant lamp, power consumption 98 W', ['equivalent-watts']],
  ['300W LED: 100 x 3W diodes, draws 136 W', ['equivalent-watts', 'sum-of-diode-watts']],
  ['The 45 dollar panel is a 45 watt panel; the meter says 71 W', ['price-as-watts']],
  ['Uses half the power of a 32 W T8: only 28 W', ['power-ratio-mismatch']],
  ['12 W, 0.05 A at 120 V', ['amps-exceed-watts']],
  ['40 watts per square foot is plenty', ['watts-as-light']],
  ['6500 K brightness, 24 W', ['kelvin-as-lumens']],
  ['60 W incandescent, 5400 lm', ['lm-per-watt-implausible']],
  ['Four-tube fixture, 2500 lm', ['per-tube-per-fixture']],
  ['30 W, PPF 200 µmol/s', ['efficacy-implausible']],
  ['PPFD: 180 umol/s', ['ppf-called-ppfd']],
  ['60 x 60 cm, mean PPFD 400 umol/m2/s at 30 cm, PPF 120 umol/s', ['ppfd-area-exceeds-ppf']],
  ['40 W, 600 µmol/m²/s over 1.2 m x 0.6 m at 20 cm', ['ppfd-area-exceeds-power']],
  ['Full sun is 5000 umol/m2/s', ['beyond-full-sun']],
  ['Raise a 60 cm panel from 20 to 25 cm and you lose three quarters', ['inverse-square-misused']],
  ['Meter says 950 fc, that is 950 lux', ['fc-lux-mismatch']],
  ['Red and blue lamp, 9000 lux x 0.0141 = 127 umol', ['lux-factor-on-pink']],
  ['Red and blue lamp, 9000 lux and a PPFD of 127 umol/m2/s', ['lux-factor-on-pink', 'missing-area', 'missing-distance']],
  ['White lamp, 9000 lux and a PPFD of 127 umol/m2/s', ['missing-area', 'missing-distance']],
  ['Red and blue lamp, 9000 lux and a PPFD of 300 umol/m2/s', ['missing-area', 'missing-distance']],
  ['2 x 4 ft, 10 sq ft', ['area-mismatch']],
  ['45 W, 18 h a day at 12 c per kWh: $50 a year', ['cost-mismatch']],
  ['50,000 h life, 22 years at 12 h a day', ['life-mismatch']],
  ['2.10 a year (23 W)', ['missing-hours', 'missing-tariff']],
  ['At least 1700 lumens per fixture for seedlings', ['missing-area']],
])('%s', (text, wanted) => {
  expect(codes(text)).toEqual(wanted);
});

test.each([
  '65 W drawn, 150 umol/s',
  '20 W, 1900 lm',
  'Three tubes of 1350 lm each',
  '9 W, 800 lm, 2700K, 15,000 hours',
  'Red and blue lamp, 9000 lux',
  'Meter says 100 fc',
  '100 fc is 1076 lux',
  'Nothing of note',
  '',
])('nothing is wrong with: %s', (text) => expect(codes(text)).toEqual([]));

test('units of both worlds, thousands and decimals are read as what they are', () => {
  expect(figures('9 W LED bulb (60 W equivalent), 1,055 lm, 2700K, 15 000 hours, 12 in above')).toEqual([
    ['drawnWatts', 9],
    ['claimedWatts', 60],
    ['lumens', 1055],
    ['kelvin', 2700],
    ['lifeHours', 15000],
    ['distance', 12 * 0.0254],
  ]);
  expect(figures('2 x 4 ft; 2,5 umol/J; 12 c per kWh')).toEqual([
    ['side', 2 * 0.3048],
    ['side', 4 * 0.3048],
    ['efficacy', 2.5],
    ['pricePerKWh', 0.12],
  ]);
});

test.each([
  ['1,600 lumens, 5000K, 14.5 W', [['lumens', 1600], ['kelvin', 5000], ['drawnWatts', 14.5]]],
  ['36 W 6500K 3600 lumens', [['drawnWatts', 36], ['kelvin', 6500], ['lumens', 3600]]],
  ['Power consumption 65 W, 5000 K, output for two trays', [['drawnWatts', 65], ['kelvin', 5000]]],
  ['A brightness of 6500 K', [['kelvin', 6500], ['lumens', 6500]]],
  ['25.000 hours, 1.600 lm, 6.500 K, 2.750 µmol/J', [['lifeHours', 25_000], ['lumens', 1600], ['kelvin', 6500], ['efficacy', 2.75]]],
  ['1.200 µmol/m²/s at 10 cm', [['ppfd', 1200], ['distance', 0.1]]],
  ['Tape 5 m, 14.4 W/m, 1200 lm/m', [['drawnWatts', 72], ['lumens', 6000]]],
  ['16 ft of tape, 3 W per foot', [['drawnWatts', 48]]],
  ['Tape, 14.4 W/m, 1200 lm per metre', []],
  ['40 W/m² is no light', [['wattsPerArea', 40]]],
  ['1,050 umols at 18 in', [['ppfd', 1050], ['distance', 18 * 0.0254]]],
  ['Actual power 110±5% W', [['drawnWatts', 110]]],
] as const)('%s', (text, wanted) => expect(figures(text)).toEqual(wanted)); // prettier-ignore

test('a mean strength over an area that the photons made can give is never refused, one beyond them always', () => {
  fc.assert(
    fc.property(fc.integer({ min: 20, max: 900 }), fc.integer({ min: 20, max: 150 }), fc.integer({ min: 20, max: 150 }), (ppfd, w, d) => {
      const needed = (ppfd * w * d) / 1e4;
      const text = (ppf: number) => `${ppfd} umol/m2/s over ${w} x ${d} cm at 30 cm, PPF ${ppf.toFixed(3)} umol/s`;
      expect(codes(text(needed * 1.01))).toEqual([]);
      expect(codes(text(needed * 0.99))).toEqual(['ppfd-area-exceeds-ppf']);
    }),
  );
});

test('whatever is pasted, it is read without a hang and every figure is finite', () => {
  const words = [
    '60',
    'W',
    'umol/m2/s',
    'x',
    '.',
    ',',
    '1,000',
    'lm',
    'per',
    'K',
    '%',
    '½',
    ' '.repeat(50),
    'cm',
    '(',
    'half the power',
    '9'.repeat(40),
  ];
  fc.assert(
    fc.property(fc.array(fc.oneof(fc.constantFrom(...words), fc.string()), { maxLength: 60 }), (parts) => {
      const claims = readClaims(parts.join(' '));
      for (const { value } of claims.figures) expect(Number.isFinite(value)).toBe(true);
      auditClaims(claims);
    }),
  );
  expect(allOf(readClaims('5 W '.repeat(5000)), 'drawnWatts').length).toBeLessThan(1001);
  expect(oneOf(readClaims(''), 'dli')).toBeNull();
});

test.each([
  [
    'Two tubes, 24 W each',
    [
      ['tubes', 2],
      ['tubeWatts', 24],
    ],
  ],
  [
    '4 x 54 W T5 fixture',
    [
      ['tubes', 4],
      ['tubeWatts', 54],
    ],
  ],
  ['100 diodes of 3 W chips, draws 136 W', [['drawnWatts', 136]]],
  ['Panel, 65 W', [['drawnWatts', 65]]],
  [
    '65 W panel that replaces 400 W',
    [
      ['drawnWatts', 65],
      ['claimedWatts', 400],
    ],
  ],
] as const)('powers are told apart: %s', (text, wanted) => {
  // prettier-ignore
  for (const figure of wanted) expect(figures(text)).toContainEqual(figure);
});

// 45 W for 18 h a day at 0.12 a kWh: 0.0972 a day, 2.96 a month, 35.5 a year.
test.each([
  ['$0.10 a day', true],
  ['$0.30 a day', false],
  ['$2.96 a month', true],
  ['$5 a month', false],
  ['$35 a year', true],
  ['$50 a year', false],
])('what power costs follows from watts, hours and price: %s', (cost, isRight) => {
  expect(codes(`45 W, 18 h a day at 12 c per kWh: ${cost}`).includes('cost-mismatch')).toBe(!isRight);
});
