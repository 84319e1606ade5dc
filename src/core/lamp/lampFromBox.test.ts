import { spectrumOf } from '../library/spectrumLibrary';
import { lampFromBox, spectrumIdFor, type Box } from './lampFromBox';

const box: Box = {
  name: 'Shelf bar',
  technology: 'led',
  shape: 'bar',
  length: 1.1,
  width: 0.03,
  emitters: 1,
  power: 20,
  cct: 4000,
  beam_deg: 120,
  light: { basis: 'lumens', lumens: 2000 },
};
const made = (change: Partial<Box>) => {
  const b = { ...box, ...change };
  return lampFromBox(b, 'own', spectrumOf(spectrumIdFor(b.technology, b.cct)));
};
const ppf = (change: Partial<Box>) => {
  const result = made(change);
  return result.ok ? result.value.ppf : null;
};

test('lumens become photons by the spectrum, efficacy by the watts, PPF is itself', () => {
  expect(ppf({})).toBeWithin(2000 / 71, { relative: 0.01 }); // 4000 K white LED: 71 lx/µmol
  expect(ppf({ light: { basis: 'efficacy', efficacy: 2.5 } })).toBeWithin(50, { relative: 1e-9 }); // 20 W × 2.5 µmol/J
  expect(ppf({ light: { basis: 'ppf', ppf: 31 } })).toBe(31);
});

test('a box that promises more photons than joules can carry is refused, by the field', () => {
  const result = made({ light: { basis: 'ppf', ppf: 300 } });
  expect(result).toMatchObject({ ok: false, problems: [{ code: 'box/impossible', at: 'ppf' }] });
});

test('every field that cannot be right is named at once', () => {
  const result = made({ name: ' ', power: 0, length: 9, beam_deg: 200 });
  expect(result.ok ? [] : result.problems.map((p) => p.at)).toEqual(expect.arrayContaining(['name', 'power', 'length', 'beam_deg']));
});

test.each([
  ['led', 2700, 'led-2700'],
  ['led', 6500, 'led-6500'],
  ['fluorescent', 4000, 'fl-840'],
  ['led-red-blue', 4000, 'led-blurple'],
  ['discharge', 2000, 'hps'],
] as const)('%s at %d K has the spectrum %s', (technology, cct, id) => expect(spectrumIdFor(technology, cct)).toBe(id));
