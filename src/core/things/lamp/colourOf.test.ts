import { whiteLed } from '../../light/spectrum/models';
import { figuresOf } from '../../light/spectrum/figures';
import { colourOf, curveOf } from './colourOf';
import { lampLibrary } from './lampLibrary';

const lamp = lampLibrary.find((l) => l.id === 'led-bar-12-white-24')!;

test('a lamp without a curve of its own goes by the usual one of its kind', () => {
  const usual = colourOf(lamp);
  expect(usual.id).toBe(lamp.spectrumId);
  expect(usual.luxPerUmolLow).toBeLessThanOrEqual(usual.luxPerUmol);
  expect(usual.luxPerUmolHigh).toBeGreaterThanOrEqual(usual.luxPerUmol);
  expect(curveOf(lamp).made).not.toMatch(/file/);
});

test('one with its own spectrum is converted by that, to a tenth of a lux, three in a hundred up and down', () => {
  const curve = whiteLed(4000);
  const own = colourOf({ ...lamp, curve });
  const exact = figuresOf(curve).luxPerUmol;
  expect(own.luxPerUmol).toBeWithin(exact, { absolute: 0.05 });
  expect(own.luxPerUmol * 10).toBeCloseTo(Math.round(own.luxPerUmol * 10), 9);
  expect(own.luxPerUmolLow / exact).toBeCloseTo(0.97, 9);
  expect(own.luxPerUmolHigh / exact).toBeCloseTo(1.03, 9);
  expect(own.name).toBe(`${lamp.name}, as measured`);
  expect(curveOf({ ...lamp, curve })).toEqual({ spectrum: curve, made: 'measured: from a file' });
});
