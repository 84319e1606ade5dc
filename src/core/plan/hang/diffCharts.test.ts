import type { VisitJobs } from '../../site/hang/KeptChart';
import { dayFrom } from '../../units/day';
import { diffCharts } from './diffCharts';

const DAY = dayFrom(2027, 3, 1);
const visit = (day: number, more: Partial<VisitJobs> = {}): VisitJobs => ({
  day: DAY + day,
  lamps: [],
  dims: [],
  risers: [],
  hours: [],
  ...more,
});
const up = (fittingId: string, steps: number) => ({ tierId: 't', fittingId, steps, face: 0.3 });
const dim = (to: number) => ({ tierId: 't', fittingId: 'a', from: 1, to });
const riser = (from: number, to: number) => ({ tierId: 't', trayId: 'y', from, to });
const hours = (on_min: number, lit_min: number) => ({ timerId: 'p', on_min, lit_min });

test('charts that say the same differ nowhere, in whatever order their jobs are written', () => {
  const jobs = { lamps: [up('a', 1), up('b', 2)], dims: [dim(0.5)], risers: [riser(2, 1)], hours: [hours(360, 840)] };
  const turned = { ...jobs, lamps: [...jobs.lamps].reverse() };
  expect(diffCharts([visit(3, jobs)], [visit(3, turned)], DAY)).toEqual([]);
  expect(diffCharts([], [], DAY)).toEqual([]);
});

test.each([
  ['steps of a lamp', { lamps: [up('a', 1)] }, { lamps: [up('a', 2)] }],
  ['which lamp', { lamps: [up('a', 1)] }, { lamps: [up('b', 1)] }],
  ['a dimmer', { dims: [dim(0.5)] }, { dims: [dim(0.4)] }],
  ['risers', { risers: [riser(2, 1)] }, { risers: [riser(2, 0)] }],
  ['hours on', { hours: [hours(360, 840)] }, { hours: [hours(375, 840)] }],
  ['hours in all', { hours: [hours(360, 840)] }, { hours: [hours(360, 855)] }],
])('%s makes a difference', (_, was, now) => {
  expect(diffCharts([visit(3, was)], [visit(3, now)], DAY)).toEqual([{ day: DAY + 3, was: visit(3, was), now: visit(3, now) }]);
});

test('visits that fall away or are new are told in the order of their days, from a day on', () => {
  const [a, b, c] = [visit(2, { lamps: [up('a', 1)] }), visit(5, { lamps: [up('a', 1)] }), visit(9, { lamps: [up('a', 1)] })];
  expect(diffCharts([c, a], [b, c], DAY)).toEqual([
    { day: DAY + 2, was: a, now: null },
    { day: DAY + 5, was: null, now: b },
  ]);
  expect(diffCharts([a], [b], DAY + 3)).toEqual([{ day: DAY + 5, was: null, now: b }]);
  expect(diffCharts([a], [], DAY + 2)).toEqual([{ day: DAY + 2, was: a, now: null }]);
});
