import { meterLibrary } from './meterLibrary';
import { slantAt } from '../../light/scene/slantAt';
import { meterShows } from './meterShows';

const meter = (id: string) => meterLibrary.find((m) => m.id === id)!;
const there = { ppfd: 100, luxPerUmol: 70, farRed: 0.5, slant: 0 };

test('each kind counts in its own way', () => {
  expect(meterShows(meter('lux-basic'), there)).toEqual({ value: 7000, unit: 'lx', range: 20000 });
  expect(meterShows(meter('fc-digital'), there).value).toBeWithin(7000 / 10.7639, { relative: 1e-3 });
  expect(meterShows(meter('quantum-par'), there)).toMatchObject({ value: 100, unit: 'umol' });
  expect(meterShows(meter('quantum-epar'), there).value).toBe(150); // far-red counts as well
});

test('light from 60° off the upright loses what the table says, and none is lost from above', () => {
  const m = meter('fc-analogue'); // misses a quarter at 60°
  const above = meterShows(m, there).value!;
  expect(meterShows(m, { ...there, slant: 0.5 }).value).toBeWithin(0.75 * above, { absolute: 1 });
});

test('beyond the last range it shows nothing', () => {
  expect(meterShows(meter('phone-sensor'), { ...there, ppfd: 1000 })).toEqual({ value: null, unit: 'lx', range: 30000 });
});

test('light from a lamp straight above is upright, from the side slanting, from all over a third', () => {
  const scene = (x: number) => ({
    lamps: [{ id: 'l', emitters: [{ kind: 'point' as const, x, y: 0, z: 1, ppf: 1, cosinePower: null }] }],
    rooms: [],
    obstructions: [],
  });
  expect(slantAt(scene(0), 0, 0, 0, 0)).toBeWithin(0, { absolute: 1e-9 });
  expect(slantAt(scene(Math.sqrt(3)), 0, 0, 0, 0)).toBeWithin(0.5, { relative: 1e-9 }); // 60° off
  expect(slantAt(scene(0), 0, 0, 0, 1)).toBeWithin(1 / 3, { relative: 1e-9 });
});
