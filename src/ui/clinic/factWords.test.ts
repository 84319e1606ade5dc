import type { Fact } from '@/core/judge/clinic/facts';
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
