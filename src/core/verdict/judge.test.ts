import type { Stage } from '../crop/Crop';
import type { AreaStats } from '../light/field/statsOver';
import { banded, combine, type Doubt } from '../uncertainty/Band';
import { judge } from './judge';

// A made-up stage with round numbers: 10–20 mol in 10 h is 278–556 µmol, but no more than 500.
const stage: Stage = {
  stage: 'seedling',
  label: null,
  fromDay: 0,
  dliMin: 10,
  dliTarget: 15,
  dliMax: 20,
  ppfdMax: 500,
  hoursMin: 8,
  hoursMax: 16,
  basis: 'consensus',
};
const stats = (weakest: number, mean: number, strongest: number): AreaStats => ({
  mean,
  weakest: { x: 0, y: 0, ppfd: weakest },
  strongest: { x: 0, y: 0, ppfd: strongest },
  centre: { x: 0, y: 0, ppfd: mean },
  uniformityMinOverMean: weakest / mean,
  uniformityMinOverMax: weakest / strongest,
});
const doubt = (low: number, high = low): Doubt => ({ why: 'box-label', low, high, source: 'test' });

test.each([
  [300, 400, 490, 'in-range'],
  [100, 300, 450, 'edge-dim'],
  [100, 200, 300, 'all-dim'],
  [100, 150, 200, 'all-dim'],
  [300, 400, 600, 'spot-strong'],
  [600, 700, 800, 'all-strong'],
  [100, 400, 800, 'dim-and-strong'],
  [0, 0, 0, 'dark'],
] as const)('weakest %d, mean %d, strongest %d µmol in 10 h says %s', (weakest, mean, strongest, says) => {
  expect(judge(stats(weakest, mean, strongest), 1, stage, 10, []).says).toBe(says);
});

test('over the leaf’s ceiling though the dose is right: the strength binds', () => {
  expect(judge(stats(300, 400, 520), 1, stage, 10, []).strengthBinds).toBe(true);
  expect(judge(stats(150, 200, 400), 1, stage, 16, []).strengthBinds).toBe(false);
});

test('sure when both ends of the band say the same, open when neither does', () => {
  const s = stats(320, 400, 480);
  expect(judge(s, 1, stage, 10, [doubt(0.02)]).certainty).toBe('sure');
  expect(judge(s, 1, stage, 10, [doubt(0.3, 0.02)]).certainty).toBe('likely');
  expect(judge(s, 1, stage, 10, [doubt(0.3)]).certainty).toBe('open');
});

test('days beyond what the crop bears, or too short for it, are said', () => {
  expect(judge(stats(300, 400, 490), 1, stage, 17, []).hoursTooLong).toBe(true);
  expect(judge(stats(300, 400, 490), 1, stage, 7, []).hoursTooShort).toBe(true);
});

test('doubts add as the root of the sum of squares, each side for itself', () => {
  expect(combine([doubt(0.3, 0.1), doubt(0.4, 0)])).toEqual({ low: expect.closeTo(0.5, 10), high: expect.closeTo(0.1, 10) });
  expect(banded(10, [doubt(0.2, 0.1)])).toEqual({ value: 10, low: 8, high: 11 });
  expect(combine([doubt(0.9), doubt(0.9)]).low).toBeLessThan(1);
});
