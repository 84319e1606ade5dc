import { dimmedTo, FULL, LEAST_SETTING, nearestSetting, settingsOf, type DimPoint } from './dimming';

const MEASURED: DimPoint[] = [
  { setting: 0.75, light: 0.82, draw: 0.8 },
  { setting: 0.25, light: 0.3, draw: 0.36 },
];

test('full is all of the light and all of the power, zero is dark, whatever was measured between', () => {
  for (const points of [[], MEASURED]) {
    expect(dimmedTo({ points }, FULL)).toEqual({ light: 1, draw: 1 });
    expect(dimmedTo({ points }, 0).light).toBe(0);
    expect(dimmedTo({ points }, 1.4)).toEqual({ light: 1, draw: 1 });
  }
});

test('what was measured is said again, and between two of them the middle', () => {
  for (const p of MEASURED) {
    expect(dimmedTo({ points: MEASURED }, p.setting).light).toBeCloseTo(p.light, 12);
    expect(dimmedTo({ points: MEASURED }, p.setting).draw).toBeCloseTo(p.draw, 12);
  }
  const middle = dimmedTo({ points: MEASURED }, 0.5);
  expect(middle.light).toBeCloseTo(0.56, 12);
  expect(middle.draw).toBeCloseTo(0.58, 12);
});

test('a higher setting never gives less light, and without measurements never draws less than its share', () => {
  for (const points of [[], MEASURED])
    for (let s = 0; s < 1; s += 0.01) expect(dimmedTo({ points }, s + 0.01).light).toBeGreaterThan(dimmedTo({ points }, s).light);
  for (let s = 0; s <= 1; s += 0.05) expect(dimmedTo({ points: [] }, s).draw).toBeGreaterThanOrEqual(s - 1e-12);
});

test('a dimmer with steps has these and full; without, any from a tenth up', () => {
  expect(settingsOf({ steps: [0.25, 0.5, 0.75] })).toEqual([1, 0.75, 0.5, 0.25]);
  expect(nearestSetting({ steps: [0.25, 0.5, 0.75] }, 0.6)).toBe(0.5);
  expect(settingsOf({ steps: [] })).toEqual([1, 0.9, 0.8, 0.7, 0.6, 0.5, 0.4, 0.3, 0.2, 0.1]);
  expect(nearestSetting({ steps: [] }, 0.634)).toBe(0.634);
  expect(nearestSetting({ steps: [] }, 0.01)).toBe(LEAST_SETTING);
});
