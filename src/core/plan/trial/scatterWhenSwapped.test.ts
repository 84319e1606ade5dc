import { demoSite } from '../../../store/site/demoSite';
import { answerBench } from '../../answer/bench/answerBench';
import { questionOfStand } from '../../answer/bench/questionOfStand';
import { benchStandOf } from '../../answer/stand/benchStand';
import type { Trial } from '../../site/trial/Trial';
import { tables } from '../../things/tables/libraryTables';
import { dayFrom } from '../../units/day';
import { scatterWhenSwapped } from './scatterWhenSwapped';
import { traysInPlace } from '../../answer/bench/traysInPlace';

const site = demoSite('en-GB', dayFrom(2027, 2, 20));
const stand = benchStandOf(
  site,
  site.stands.find((s) => s.id === 'demo-rack')!,
  tables,
);
const places = traysInPlace([{ stand, answer: answerBench(questionOfStand(stand, null)) }]);
const ids = [...places.keys()].slice(0, 4);
const trial: Trial = {
  ...site.trials[0]!,
  arms: ['A', 'B'].map((id) => ({ ...site.trials[0]!.arms[0]!, id: id as 'A' })),
  trays: ids.map((trayId, i) => ({ code: `K${i}`, arm: i % 2 === 0 ? 'A' : 'B', trayId, block: '', values: [], sown: null })),
};

test('changing places takes away what the places do, and never all of the scatter', () => {
  const left = scatterWhenSwapped(trial, places, 10, 100)!;
  expect(left).toBeLessThanOrEqual(10);
  expect(left).toBeGreaterThanOrEqual(5);
  const same = new Map([...places].map(([id]) => [id, places.get(ids[0]!)!]));
  expect(scatterWhenSwapped(trial, same, 10, 100)).toBeCloseTo(10, 9);
  expect(scatterWhenSwapped(trial, new Map(), 10, 100)).toBeNull();
});
