import type { Lamp } from '../../things/lamp/Lamp';
import { faceSizeOf } from './footprint';

type Figures = Parameters<typeof faceSizeOf>[0];
const bar: Figures = { shape: 'bar', length: 1.2, width: 0.03, emitters: 1, spacing: 0 };

test('a bulb turns a round face to the plants, whatever the length of its neck', () => {
  for (const shape of ['bulb-bare', 'bulb-reflector', 'round-panel', 'coil'] as Lamp['shape'][])
    expect([shape, faceSizeOf({ ...bar, shape, length: 0.14, width: 0.06 })]).toEqual([shape, { length: 0.06, width: 0.06 }]);
  expect(faceSizeOf(bar)).toEqual({ length: 1.2, width: 0.03 });
});

test('two tubes side by side are as wide as they stand apart, and a coil is not', () => {
  expect(faceSizeOf({ ...bar, emitters: 2, spacing: 0.1 }).width).toBeCloseTo(0.12, 12);
  expect(faceSizeOf({ ...bar, emitters: 3, spacing: 0.1 }).width).toBeCloseTo(0.22, 12);
  expect(faceSizeOf({ ...bar, emitters: 2, spacing: 0.1, width: 0.3 }).width).toBe(0.3);
  expect(faceSizeOf({ ...bar, emitters: 1, spacing: 0.1 }).width).toBe(0.03);
  expect(faceSizeOf({ ...bar, emitters: 2, spacing: 0 }).width).toBe(0.03);
  expect(faceSizeOf({ ...bar, shape: 'coil', emitters: 2, spacing: 0.1, width: 0.2 })).toEqual({ length: 0.2, width: 0.2 });
});
