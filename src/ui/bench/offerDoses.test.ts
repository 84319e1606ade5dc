import { answerBench } from '@/core/answer/bench/answerBench';
import { questionOfStand } from '@/core/answer/bench/questionOfStand';
import { benchStandOf } from '@/core/answer/stand/benchStand';
import { effectOf, resultsOf, type Effect } from '@/core/plan/advice/Effect';
import { tables } from '@/core/things/tables/libraryTables';
import { demoSite } from '@/store/site/demoSite';
import { toldDoses } from './offerDoses';

const site = demoSite('en-GB');
const rack = benchStandOf(site, site.stands[0]!, tables);
const [worst, other] = rack.tiers[1]!.trays;
const ids = [worst!, other!].map((y) => y.tray.id) as [string, string];
const results = resultsOf(rack, answerBench(questionOfStand(rack, null)));
const before: Effect = effectOf(rack, site, results, new Set(ids));
const after = (change: Readonly<Record<string, Partial<Effect['results'][number]>>>): Effect => ({
  ...before,
  results: before.results.map((r) => ({ ...r, ...change[r.trayId] })),
});
const { dliMin } = worst!.stage;

test('an offer is told by the doses of the worst tray, where they change as they read', () => {
  const told = toldDoses(rack, before, after({ [ids[0]]: { weakest: dliMin + 1, loss: 0 } }), ids[0]);
  expect(told).toMatchObject({ trayId: ids[0], doses: [{ spot: 'weakest', is: (dliMin + 1).toFixed(1) }, { spot: 'strongest' }] });
});

test('where they do not, by those of the tray that is helped most', () => {
  const told = toldDoses(rack, before, after({ [ids[1]]: { weakest: dliMin + 2, loss: -1 } }), ids[0]);
  expect(told).toMatchObject({ trayId: ids[1], doses: [{ spot: 'weakest', is: (dliMin + 2).toFixed(1) }, {}] });
  expect(toldDoses(rack, before, before, ids[0])).toBeNull();
  expect(toldDoses(rack, before, after({ [ids[1]]: { weakest: dliMin + 2, loss: -1 } }), null)).toMatchObject({ trayId: ids[1] });
});

test('what just misses the range does not read as its end', () => {
  const told = toldDoses(rack, before, after({ [ids[0]]: { weakest: dliMin - 0.02 } }), ids[0]);
  expect(told?.doses[0]!.is).toBe((dliMin - 0.02).toFixed(2));
});
