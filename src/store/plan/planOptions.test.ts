import 'reflect-metadata';
import { dayFrom } from '../../core/units/day';
import { readPlanOptions } from './planText';

const NOW = Date.UTC(2027, 2, 1, 23, 30);
const read = (...args: string[]) => {
  const said = readPlanOptions(args, NOW);
  if (!said.ok) throw new Error(said.problems.map((p) => p.code).join());
  return said.value;
};
const refused = (...args: string[]) => {
  const said = readPlanOptions(args, NOW);
  return said.ok ? [] : said.problems.map((p) => [p.code, p.at, p.found]);
};

test('without options: today in UTC, quarters of an hour, everything', () => {
  expect(read()).toEqual({ day: dayFrom(2027, 3, 1), timerStep_min: 15, offers: true, chart: true });
});

test('options are read in any order', () => {
  expect(read('--only', 'trays,offers', '--day', '2028-02-29', '--step', '30', '--seed', '7')).toEqual({
    day: dayFrom(2028, 2, 29),
    timerStep_min: 30,
    offers: true,
    chart: false,
  });
  expect(read('--only', 'chart')).toMatchObject({ offers: false, chart: true });
  expect(read('--only', 'trays')).toMatchObject({ offers: false, chart: false });
  expect(read('--step', '1').timerStep_min).toBe(1);
});

test('what cannot be read is named, all of it at once', () => {
  expect(refused('--days', '3')).toEqual([['plan/unknown-option', '--days', undefined]]);
  expect(refused('--day')).toEqual([['plan/no-value', '--day', undefined]]);
  expect(refused('--day', '2027-02-30', '--step', '7', '--seed', '-1', '--only', 'trays,all')).toEqual([
    ['plan/not-a-day', '--day', '2027-02-30'],
    ['plan/not-a-step', '--step', '7'],
    ['plan/not-a-seed', '--seed', '-1'],
    ['plan/unknown-part', '--only', 'trays,all'],
  ]);
  for (const step of ['0', '-15', '1.5', 'ten', '1441']) expect(refused('--step', step)).toEqual([['plan/not-a-step', '--step', step]]);
});
