import fc from 'fast-check';
import { evenly } from '../../../../test/evenly';
import cases from '../../../../test/cases/spectra.json';
import powers from '../../../../test/cases/spectra-power.json';
import { spectrumLibrary, spectrumOf } from './spectrumLibrary';
import { chromaticityOf, cctOf } from './colour';
import { figuresOf, mixture } from './figures';
import { lampSpectrumOf } from './lampSpectra';
import { bands, blackBody, daylight, fluorescent, whiteLed } from './models';
import { readSpectrumCsv } from './readSpectrumCsv';
import type { Spectrum } from './Spectrum';

interface Case {
  lux_per_umol: number;
  umol_per_fc: number;
  umol_per_J_par: number;
  blue_400_500: number;
  green_500_600: number;
  red_600_700: number;
  far_red_700_750_over_par: number;
  colour?: { cct_K?: number };
}
const known = cases.cases as unknown as Record<string, Case>;

const given: [string, Spectrum][] = [
  ['cie_a', blackBody(2855.5)],
  ['cie_d65', daylight(6504)],
  ['cie_d50', daylight(5003)],
  ['cie_f2', fluorescent('F2')],
  ...[2000, 2700, 3400, 6500].map((t): [string, Spectrum] => [`planck_${t}`, blackBody(t)]),
  ...Object.entries(powers.power).map(([id, power]): [string, Spectrum] => [id, { start: powers.start_nm, step: powers.step_nm, power }]),
];

test.each(given)('%s: lux, photons, joules, shares and colour are those computed by other means', (id, spectrum) => {
  const [f, c] = [figuresOf(spectrum), known[id]!];
  expect(f.luxPerUmol).toBeWithin(c.lux_per_umol, { relative: 1e-3 });
  expect(1 / f.footCandlesPerUmol).toBeWithin(c.umol_per_fc, { relative: 1e-3 });
  expect(f.umolPerJoule).toBeWithin(c.umol_per_J_par, { relative: 1e-3 });
  expect(f.blue).toBeWithin(c.blue_400_500, { absolute: 1e-3 });
  expect(f.green).toBeWithin(c.green_500_600, { absolute: 1e-3 });
  expect(f.red).toBeWithin(c.red_600_700, { absolute: 1e-3 });
  expect(f.farRed).toBeWithin(c.far_red_700_750_over_par, { absolute: 1e-3 });
  if (c.colour?.cct_K) expect(f.cct).toBeWithin(c.colour.cct_K, { relative: 2e-3 });
});

test('published factors are met: sunlight 54, cool white fluorescent 74, incandescent 50 lx for each µmol', () => {
  // Thimijan & Heins 1983, HortScience 18:818–822, within the ±4 % by which lamps of one kind differ.
  expect(figuresOf(lampSpectrumOf('daylight').spectrum).luxPerUmol).toBeWithin(54, { relative: 0.04 });
  expect(figuresOf(lampSpectrumOf('fl-halo-cw').spectrum).luxPerUmol).toBeWithin(74, { relative: 0.04 });
  expect(figuresOf(lampSpectrumOf('incandescent').spectrum).luxPerUmol).toBeWithin(50, { relative: 0.04 });
  expect(figuresOf(lampSpectrumOf('mh').spectrum).luxPerUmol).toBeWithin(71, { relative: 0.04 });
  expect(figuresOf(lampSpectrumOf('hps').spectrum).luxPerUmol).toBeWithin(82, { relative: 0.04 });
});

test.each(spectrumLibrary.map((s) => [s.id, s] as const))(
  'the curve of %s lies within the spread of real lamps of its name',
  (id, note) => {
    const { luxPerUmol } = figuresOf(lampSpectrumOf(id).spectrum);
    expect(luxPerUmol).toBeGreaterThanOrEqual(note.luxPerUmolLow);
    expect(luxPerUmol).toBeLessThanOrEqual(note.luxPerUmolHigh);
  },
);

test('illuminants have the published colours', () => {
  // CIE 15:2004, tables T.8 and 1: chromaticities of F2, F11, F12 and D65.
  for (const [spectrum, x, y] of [
    [fluorescent('F2'), 0.3721, 0.3751],
    [fluorescent('F11'), 0.3805, 0.3769],
    [fluorescent('F12'), 0.437, 0.4042],
    [daylight(6504), 0.3127, 0.329],
  ] as const) {
    expect(chromaticityOf(spectrum).x).toBeWithin(x, { absolute: 2e-4 });
    expect(chromaticityOf(spectrum).y).toBeWithin(y, { absolute: 2e-4 });
  }
});

test('lamps that plants are lit with have the red to far-red ratio of published tables, not that of a gap in the model', () => {
  // White light has hardly any far-red: fluorescent about 10 (Smith 1982; CIE F11: 9.7), white LEDs well above sunlight's 1.1.
  const ratio = (id: string) => figuresOf(lampSpectrumOf(id).spectrum).redToFarRed!;
  expect(ratio('fl-865')).toBeWithin(10.5, { absolute: 2.5 });
  expect(ratio('fl-840')).toBeWithin(9.7, { absolute: 0.1 });
  for (const id of ['led-2700', 'led-4000', 'led-6500']) expect(ratio(id)).toBeWithin(13, { absolute: 3 });
  expect(ratio('incandescent')).toBeWithin(0.7, { absolute: 0.05 });
});

test('white LEDs and daylight tubes meet the factors and far-red shares of the table', () => {
  const far: Record<string, number> = {
    'led-2700': 2,
    'led-3000': 2,
    'led-4000': 1,
    'led-5000': 1,
    'led-6500': 1,
    'led-hcri': 4,
    'fl-865': 2,
    'fl-plant': 3,
  };
  for (const [id, percent] of Object.entries(far)) {
    const f = figuresOf(lampSpectrumOf(id).spectrum);
    expect(f.luxPerUmol).toBeWithin(spectrumOf(id).luxPerUmol, { relative: 0.02 });
    expect(100 * f.farRed).toBeWithin(percent, { absolute: 2 });
  }
});

test('a line between the observer\u2019s points is seen', () => {
  const line = { start: 380, step: 1, power: Array.from({ length: 421 }, (_, i) => (i === 552 - 380 ? 1 : 0)) };
  expect(figuresOf(line).luxPerUmol).toBeGreaterThan(100);
});

test('a white LED is as white as it was asked to be', () => {
  fc.assert(
    fc.property(evenly(2500, 7000), fc.constantFrom<(70 | 80 | 90)[]>(70, 80, 90), (kelvin, ra) => {
      expect(figuresOf(whiteLed(kelvin, ra)).cct).toBeWithin(kelvin, { relative: 5e-3 });
    }),
    { numRuns: 20 },
  );
});

test('a mixture keeps its shares of photons, and its factor is theirs weighed by photons', () => {
  fc.assert(
    fc.property(evenly(0.05, 0.95), (share) => {
      const [white, red] = [whiteLed(4000), bands([660, 18, 1])];
      const mixed = figuresOf(
        mixture([
          { spectrum: white, share: 1 - share },
          { spectrum: red, share },
        ]),
      );
      const expected = (1 - share) * figuresOf(white).luxPerUmol + share * figuresOf(red).luxPerUmol;
      expect(mixed.luxPerUmol).toBeWithin(expected, { relative: 1e-3 });
    }),
    { numRuns: 20 },
  );
});

test('what is far from white has no colour temperature, and what is dark no figures', () => {
  expect(cctOf(chromaticityOf(bands([530, 20, 1])))).toBeNull();
  expect(() => figuresOf({ start: 380, step: 5, power: [0, 0, 0] })).toThrow('power between 400 and 700');
});

const csv = (spectrum: Spectrum, sep: string, comma = false) =>
  [
    'wavelength' + sep + 'power',
    ...spectrum.power.map((p, i) => `${spectrum.start + i * spectrum.step}${sep}${comma ? String(p).replace('.', ',') : p}`),
  ].join('\r\n');

test.each([
  [',', false],
  [';', true],
  ['\t', false],
  [' ', false],
])('a spectrum comes back from its CSV with “%s” between the columns', (sep, comma) => {
  const read = readSpectrumCsv(csv(whiteLed(3000), sep, comma));
  const value = read.ok ? figuresOf(read.value).luxPerUmol : 0;
  expect(value).toBeWithin(figuresOf(whiteLed(3000)).luxPerUmol, { relative: 1e-3 });
});

test.each([
  ['words', 'hello', 'spectrum/does-not-cover', ''],
  ['half of it', csv({ ...whiteLed(3000), power: whiteLed(3000).power.slice(0, 100) }, ','), 'spectrum/does-not-cover', ''],
  ['a line that goes back', csv(whiteLed(3000), ',') + '\n500,1', 'spectrum/not-rising', 'line 423'],
  ['a word among numbers', csv(whiteLed(3000), ',') + '\n900,much', 'spectrum/not-numbers', 'line 423'],
  ['a negative power', csv(whiteLed(3000), ',') + '\n900,-4', 'spectrum/power', 'line 423'],
  ['all dark', csv({ start: 380, step: 5, power: new Array(81).fill(0) as number[] }, ','), 'spectrum/dark', ''],
])('%s is refused, with the place', (_, text, code, at) => {
  const read = readSpectrumCsv(text);
  expect(read.ok ? [] : read.problems).toEqual([expect.objectContaining({ code, at })]);
});
