import type { Fact } from '@/core/judge/clinic/facts';
import { cropLibrary } from '@/core/things/crop/cropLibrary';
import { CLINIC_TESTS } from '@/core/judge/clinic/Cause';
import { testWords, treatmentWords } from './causeWords';
import { factWords } from './factWords';

const fact = (id: Fact['id'], found: number, against: number | null = null) => ({ id, found, against, from: 'log' }) as Fact;

test('what speaks for a cause is told in the units that the person reads', () => {
  const [metric, imperial] = [
    { temperatureUnit: 'C', lengthUnit: 'cm' },
    { temperatureUnit: 'F', lengthUnit: 'in' },
  ] as const;
  expect(factWords(fact('warm', 25, 16), metric)).toBe('25 °C; it likes 16 °C');
  expect(factWords(fact('warm', 25, 16), imperial)).toBe('77 °F; it likes 61 °F');
  expect(factWords(fact('roots-cold', 12), imperial)).toBe('Compost at 54 °F');
  expect(factWords(fact('lamp-hot-near', 0.08), metric)).toBe('A hot lamp, 8 cm from the leaves');
  expect(factWords(fact('lamp-hot-near', 0.1016), imperial)).toBe('A hot lamp, 4 in from the leaves');
});

test('what is just beyond a limit does not read as the limit, and hours and days are told whole', () => {
  const units = { temperatureUnit: 'C', lengthUnit: 'cm' } as const;
  expect(factWords(fact('strength-high', 150.3, 150), units)).toBe('PPFD there is 150.3 µmol/m²/s; its leaves tolerate 150');
  expect(factWords(fact('strength-high', 237.4, 200), units)).toBe('PPFD there is 237 µmol/m²/s; its leaves tolerate 200');
  expect(factWords(fact('dose-short', 7.97, 8), units)).toBe('DLI there is 7.97 mol/m²/day; it needs at least 8');
  expect(factWords(fact('day-short', 11.5, 16), units)).toBe('Light for 11 h 30 only; at this PPFD 16 h would do');
  expect(factWords(fact('age', 437), units)).toBe('437 days old');
  expect(factWords(fact('fed-weakly', 1), units)).toBe('Fed 1 day ago');
});

test('what mends a cause is said for the crop and the cause that it is', () => {
  const crop = (id: string) => cropLibrary.find((c) => c.id === id)!;
  expect(treatmentWords('restart', 'light-too-weak', crop('lettuce'), false)).toMatch(/does not recover from long stems/);
  expect(treatmentWords('restart', 'damping-off', crop('tomato'), false)).toMatch(/fresh compost/);
  // Brushing is for stems that stand still: not for leaves that keep the marks, not for what rots.
  expect(treatmentWords('air', 'still-air', crop('tomato'), false)).toMatch(/brush/);
  for (const id of ['kale', 'hot-pepper', 'african-violet', 'leek'])
    expect(treatmentWords('air', 'still-air', crop(id), false)).not.toMatch(/brush/);
  expect(treatmentWords('air', 'damping-off', crop('tomato'), false)).not.toMatch(/brush/);
  expect(treatmentWords('none', 'nitrogen-short', crop('carnivorous'), false)).toMatch(/not feed/);
  expect(treatmentWords('none', 'old-leaf-ageing', crop('carnivorous'), false)).toBe('Do nothing');
  expect(treatmentWords('lower-ph', 'iron-or-ph', crop('carnivorous'), false)).not.toMatch(/iron/);
});

test('a plant that stands alone in its pot is asked for no half of itself', () => {
  expect(treatmentWords('thin', 'crowding', cropLibrary[0]!, true)).not.toMatch(/cell/);
  for (const t of CLINIC_TESTS) {
    expect(testWords(t, true).act).not.toMatch(/half of|other half/);
    expect(testWords(t, true).ifBetter).toBe(testWords(t, false).ifBetter);
  }
  expect(testWords('feed-half', false).act).toMatch(/Leave the other half/);
});
