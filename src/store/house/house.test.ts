/** @jest-environment jsdom */
import { EXERCISE_IDS } from '../../core/plan/practice/Exercise';
import { enterHouse, houseNow, nameOfHouse, OWN, type House } from './house';

const KEY = 'copper-noon/house';
const exerciseId = EXERCISE_IDS[1]!;

beforeEach(() => sessionStorage.clear());
afterEach(() => jest.restoreAllMocks());

test('a tab is in its own house, until it enters another, and comes back', () => {
  expect(houseNow()).toEqual(OWN);
  for (const house of [{ kind: 'demo' }, { kind: 'practice', exerciseId, seed: 7 }] satisfies House[]) {
    expect(enterHouse(house)).toBe(true);
    expect(houseNow()).toEqual(house);
  }
  expect(enterHouse(OWN)).toBe(true);
  expect(houseNow()).toEqual(OWN);
  expect(sessionStorage.getItem(KEY)).toBeNull();
});

test.each([
  '{',
  '7',
  '"demo"',
  '{}',
  '{"kind":"else"}',
  '{"kind":"practice"}',
  `{"kind":"practice","exerciseId":"no-such","seed":1}`,
  `{"kind":"practice","exerciseId":"${exerciseId}","seed":1.5}`,
  `{"kind":"practice","exerciseId":"${exerciseId}"}`,
])('what stands there and says no house (%s) is one’s own', (text) => {
  sessionStorage.setItem(KEY, text);
  expect(houseNow()).toEqual(OWN);
});

test('each house keeps its data under a name of its own', () => {
  const names = (['own', 'demo', 'practice'] as const).map((kind) => nameOfHouse({ kind }));
  expect(new Set(names).size).toBe(3);
  expect(names[0]).toBe('copper-noon');
});

test('a browser that keeps nothing has one house, and says that another cannot be entered', () => {
  jest.spyOn(Storage.prototype, 'setItem').mockImplementation(() => {
    throw new Error('full');
  });
  expect(enterHouse({ kind: 'demo' })).toBe(false);
  jest.spyOn(Storage.prototype, 'getItem').mockImplementation(() => {
    throw new Error('denied');
  });
  expect(houseNow()).toEqual(OWN);
});
