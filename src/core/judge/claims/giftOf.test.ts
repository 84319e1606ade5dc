import { MOST_EFFICACY } from './auditClaims';
import { giftOf, shareLit } from './giftOf';
import { readClaims } from './readClaims';

const gift = (text: string) => giftOf(readClaims(text));

test('photons as stated are believed where the power can make them', () => {
  expect(gift('65 W drawn, PPF 150 µmol/s')).toEqual({ from: 150, to: 150, basis: 'ppf' });
  // 65 W can't make 800 µmol/s: what is usual for the power stands in.
  expect(gift('LED, 65 W drawn, PPF 800 µmol/s')!.basis).toBe('power');
  expect(gift('65 W drawn, 2.3 µmol/J')).toEqual({ from: expect.closeTo(149.5, 6) as number, to: expect.closeTo(149.5, 6) as number, basis: 'efficacy' }); // prettier-ignore
});

test('lumens of the whole lamp are photons by what white light is worth, of one tube times the tubes', () => {
  const one = gift('White LED, 24 W, 2400 lm')!;
  expect(one.basis).toBe('lumens');
  expect(one.from).toBeCloseTo(2400 / 82, 6);
  expect(one.to).toBeCloseTo(2400 / 64, 6);
  const two = gift('Two tubes, 24 W each, 1350 lm per tube')!;
  expect(two.basis).toBe('lumens');
  expect(two.from).toBeCloseTo((2 * 1350) / 82, 6);
  // Of red and blue light lumens tell nothing.
  expect(gift('Red and blue LED, 24 W, 800 lm')!.basis).toBe('power');
});

test('power alone is worth what lamps of its kind give: tubes less than diodes, a filament least', () => {
  const [led, tube, filament] = ['LED panel, 50 W', 'Fluorescent, 50 W', 'Incandescent bulb, 50 W'].map((t) => gift(t)!);
  expect(led).toEqual({ from: 70, to: 150, basis: 'power' });
  expect(tube!.to).toBeLessThan(led!.from);
  expect(filament!.to).toBeLessThan(tube!.from);
  // Of tubes the power of all: two of 24 W are 48 W, one is 24 W.
  expect(gift('Two fluorescent tubes, 24 W each')!.from).toBeCloseTo(48 * 0.6, 6);
  expect(gift('Fluorescent tube, 24 W each')!.from).toBeCloseTo(24 * 0.6, 6);
  for (const text of ['LED panel, 50 W', 'LED, 50 W, 9000 lm', 'LED, 50 W drawn, PPF 400 µmol/s'])
    expect(gift(text)!.to).toBeLessThanOrEqual(50 * MOST_EFFICACY);
});

test('where neither photons nor power are known nothing is said', () => {
  expect(gift('A lamp for happy plants')).toBeNull();
  expect(gift('Lasts 50,000 h')).toBeNull();
});

test('no more lands on an area than is made, and all of it at most', () => {
  const of = (to: number) => ({ from: to, to, basis: 'ppf' }) as const;
  expect(shareLit(of(100), 0.5, 400)).toBeCloseTo(0.5, 9);
  expect(shareLit(of(1000), 0.5, 400)).toBe(1);
});
