import { lampLibrary } from '../../things/lamp/lampLibrary';
import { emittersOf } from '../../things/lamp/emittersOf';
import type { Stage } from '../../things/crop/Crop';
import { profileOf } from '../solve/Profile';
import { inverseSquare, lumensRule } from './rulesOfThumb';

const stage: Stage = {
  stage: 'seedling',
  label: null,
  fromDay: 0,
  dliMin: 5,
  dliTarget: 8.64,
  dliMax: 14,
  ppfdMax: 400,
  hoursMin: 12,
  hoursMax: 16,
  basis: 'consensus',
};
const profile = (emitters: Parameters<typeof profileOf>[0]['emitters']) =>
  profileOf({ emitters, plantAreas: [{ x0: -0.1, x1: 0.1, y0: -0.1, y1: 0.1 }], nearest: 0.02, farthest: 2, around: null });

test('under a point the inverse square is the truth', () => {
  const point = profile([{ kind: 'point', x: 0, y: 0, z: 0, ppf: 400 * Math.PI, cosinePower: null }]); // 100 µmol at 1 m
  const law = inverseSquare(point, { distance: 1, ppfd: 100 }, stage, 12); // 8.64 mol in 12 h are 200 µmol
  expect(law.advises).toBeWithin(Math.SQRT1_2, { relative: 1e-6 });
  expect(law.really!).toBeWithin(Math.SQRT1_2, { relative: 1e-3 });
  expect(law.holdsFrom!).toBeLessThan(0.03);
});

test('under a tube of 1.2 m it holds only from afar, and hangs the lamp wrongly when continued from nearby', () => {
  const lamp = lampLibrary.find((l) => l.id === 't8-12-1refl')!;
  const law = inverseSquare(profile(emittersOf(lamp, { x: 0, y: 0, face: 0, turn: 0 })), null, stage, 12);
  expect(law.holdsFrom === null || law.holdsFrom > 0.8).toBe(true);
  expect(Math.abs(law.advises / law.really! - 1)).toBeGreaterThan(0.1);
});

test('where the law holds at the far end only, it is not said to hold', () => {
  const lamp = lampLibrary.find((l) => l.id === 't8-12-1refl')!;
  const emitters = emittersOf(lamp, { x: 0, y: 0, face: 0, turn: 0 });
  const near = profileOf({ emitters, plantAreas: [{ x0: -0.1, x1: 0.1, y0: -0.1, y1: 0.1 }], nearest: 0.02, farthest: 0.4, around: null });
  expect(inverseSquare(near, null, stage, 12).holdsFrom).toBeNull();
});

test('2000 lm on a square foot are 21 500 lm on a square metre', () => {
  expect(lumensRule(2000, 1, 0.09290304).lumensPerArea).toBeWithin(21_528, { relative: 1e-3 });
  expect(lumensRule(2000, 1, 0.2).lampsAsked).toBeWithin(2.69, { relative: 1e-2 });
});
