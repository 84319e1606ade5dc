import { demoSite } from '../../../store/site/demoSite';
import { compare } from '../../measure/reading/calibrate';
import type { LampOf } from '../../measure/reading/lightThere';
import { tables } from '../../things/tables/libraryTables';
import { rememberCompared } from './rememberCompared';

const site = demoSite('en-GB');
const { readings } = site.stands.find((s) => s.id === 'demo-celery')!.tiers[0]!;
const lampOf: LampOf = (id) => tables.lamp(id);

test('readings are held against their boxes once, until a reading or a lamp of one’s own changes', () => {
  const compareIn = rememberCompared();
  const first = compareIn(readings, site.lamps, lampOf);
  expect(first).toEqual(compare(readings, lampOf));
  expect(compareIn(readings, site.lamps, lampOf)).toBe(first);
  const twice: LampOf = (id) => ({ ...lampOf(id)!, ppf: 2 * lampOf(id)!.ppf });
  const stronger = compareIn(readings, [...site.lamps], twice);
  expect(stronger[0]!.ratio).toBeCloseTo(first[0]!.ratio / 2, 9);
  const more = [...readings, { ...readings[0]!, id: 'once more', value: 3 * readings[0]!.value }];
  expect(compareIn(more, site.lamps, lampOf).at(-1)!.ratio).toBeCloseTo(3 * first[0]!.ratio, 9);
});
