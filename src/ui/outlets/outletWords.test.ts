import type { OutletGroup, Plug } from '../../core/power/loadsOf';
import { surgeWords } from './outletWords';

const plug = (surges: boolean): Plug => ({ id: 'p', kind: 'lamps', name: 'Bar', power: 24, load: 26.7, surges, tier: 1 });
const group = (programmeId: string | null, ...plugs: Plug[]): Pick<OutletGroup, 'programmeId' | 'plugs'> => ({ programmeId, plugs });

test('a surge is told where a timer switches it, and nowhere else', () => {
  expect(surgeWords(group('t', plug(true), plug(true), plug(false)))).toMatch(/^2 plugs here feed ballasts, drivers or a motor/);
  expect(surgeWords(group('t', plug(true)))).toMatch(/^One plug here feeds/);
  expect(surgeWords(group('t', plug(false)))).toBeNull();
  expect(surgeWords(group(null, plug(true)))).toBeNull();
});
