import { demoSite } from '../../../store/site/demoSite';
import { compare } from '../../measure/reading/calibrate';
import { tables } from '../../things/tables/libraryTables';
import { comparedIn, lampsOf } from './comparedIn';

const site = demoSite('en-GB');
const { readings } = site.stands.find((s) => s.id === 'demo-celery')!.tiers[0]!;

test('readings are held against their boxes once, until a reading or a lamp of one’s own changes', () => {
  const first = comparedIn(readings, site, tables);
  expect(first).toEqual(compare(readings, lampsOf(site, tables)));
  expect(comparedIn(readings, { lamps: site.lamps }, tables)).toBe(first);
  const { lampId } = readings[0]!.lit[0]!;
  const stronger = { ...tables.lamp(lampId)!, ppf: 2 * tables.lamp(lampId)!.ppf };
  const own = { lamps: [...site.lamps, stronger] };
  expect(comparedIn(readings, own, tables)[0]!.ratio).toBeCloseTo(first[0]!.ratio / 2, 9);
  const others = { lamp: (id: string) => tables.lamp(id) && { ...tables.lamp(id)!, ppf: 4 * tables.lamp(id)!.ppf } };
  expect(comparedIn(readings, site, others)[0]!.ratio).toBeCloseTo(first[0]!.ratio / 4, 9);
  const more = [...readings, { ...readings[0]!, id: 'once more', value: 3 * readings[0]!.value }];
  expect(comparedIn(more, site, tables).at(-1)!.ratio).toBeCloseTo(3 * first[0]!.ratio, 9);
});
