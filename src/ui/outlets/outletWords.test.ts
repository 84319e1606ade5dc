import { tables } from '@/core/things/tables/libraryTables';
import { loadsOf } from '@/core/answer/power/loadsOf';
import { benchStandOf } from '@/core/answer/stand/benchStand';
import { dayFrom } from '@/core/units/day';
import { demoSite } from '@/store/site/demoSite';
import { surgeWords } from './outletWords';

const site = demoSite('en-GB', dayFrom(2027, 2, 28));
const stand = benchStandOf(
  site,
  site.stands.find((s) => s.id === 'demo-rack')!,
  tables,
);
const { groups } = loadsOf(stand);
const calm = groups.map((g) => ({ ...g, plugs: g.plugs.map((p) => ({ ...p, surges: false })) }));

test('a surge is told of the timers that switch it, and where none does nothing is said', () => {
  expect(surgeWords(stand, groups)).toMatch(/^The timers here: ballasts, drivers and motors surge/);
  expect(surgeWords(stand, [groups[0]!, ...calm.slice(1)])).toMatch(/^Timer of tier 1: ballasts/);
  expect(surgeWords(stand, calm)).toBeNull();
  // What is always live is switched by nobody.
  expect(
    surgeWords(
      stand,
      groups.filter((g) => g.timerId === null),
    ),
  ).toBeNull();
});
