import type { LightWays } from '@/core/plan/buying/capacity';
import { costWords, longerOrMore, noWayWords, servingWords } from './capacityWords';

const lit = { distance: 0.12, hours: 13.5, dli: 9.2, wh_per_day: 800 };
const money = (kWh: number) => `${(kWh * 0.25).toFixed(2)} EUR`;

test.each([
  ['target', 'best DLI', '13 h 30 at 12 cm'],
  ['enough', 'enough', '13 h 30 at 12 cm, 9.2\u00a0mol'],
  ['short', 'too little', '9.2 of 10.0\u00a0mol'],
  ['strong', 'too strong', 'however it hangs'],
] as const)('%s is told as “%s”', (reach, word, detail) => expect(servingWords({ ...lit, reach }, 10, 'cm')).toEqual({ word, detail }));

test('what a way costs is told against now, more, less or the same', () => {
  expect(costWords({ wh_per_day: 900 }, lit, money, 30)).toBe('0.75 EUR more a month (3.0 kWh)');
  expect(costWords({ wh_per_day: 700 }, lit, money, 30)).toBe('0.75 EUR less a month (3.0 kWh)');
  expect(costWords({ wh_per_day: 800 }, lit, money, 30)).toBe('the same power');
});

test('more lamps or longer hours: told only where a lamp has room, and honestly where it gains nothing', () => {
  const more: LightWays = {
    now: { ...lit, reach: 'target' },
    ways: [],
    shorter: { ...lit, hours: 10, wh_per_day: 860 },
    lampId: 'x',
    hasRoom: true,
  };
  expect(longerOrMore(more, money, 30)).toBe('With one lamp more the same DLI takes 10 h instead of 13 h 30, for 0.45 EUR more a month.');
  expect(longerOrMore({ ...more, shorter: { ...lit } }, money, 30)).toContain('gets no shorter');
  expect(longerOrMore({ ...more, shorter: null }, money, 30)).toBeNull();
  expect(noWayWords(more)).not.toContain('no place');
  expect(noWayWords({ ...more, hasRoom: false })).toContain('no place for one more lamp');
});
