import { demoSite } from '../../../store/site/demoSite';
import { answerBench } from '../../answer/bench/answerBench';
import { questionOfStand } from '../../answer/bench/questionOfStand';
import { benchStandOf } from '../../answer/stand/benchStand';
import type { Trial } from '../../site/trial/Trial';
import { tables } from '../../things/tables/libraryTables';
import { dayFrom } from '../../units/day';
import { dliOfPlace, type TrialPlace } from './designOf';
import { lightSoFar, scatterWhenSwapped } from './lightOfTrial';

const TODAY = dayFrom(2027, 2, 20);
const site = demoSite('en-GB', TODAY);
const stand = benchStandOf(
  site,
  site.stands.find((s) => s.id === 'demo-rack')!,
  tables,
);
const answer = answerBench(questionOfStand(stand, null));
const places = new Map(
  stand.tiers.flatMap((tier) =>
    tier.trays.map((tray): [string, TrialPlace] => [
      tray.tray.id,
      { stand, tier, tray, light: answer.tiers[tier.tier.id]!.trays[tray.tray.id]! },
    ]),
  ),
);
const ids = [...places.keys()].slice(0, 4);
const doses = ids.map((id) => dliOfPlace(places.get(id)!)!);
const trial = (how: Partial<Trial>): Trial => ({
  ...site.trials[0]!,
  starts: TODAY - 12,
  ended: null,
  arms: ['A', 'B'].map((id) => ({ ...site.trials[0]!.arms[0]!, id: id as 'A' })),
  trays: ids.map((trayId, i) => ({ code: `K${i}`, arm: i % 2 === 0 ? 'A' : 'B', trayId, block: '', values: [], sown: null })),
  rotate_days: null,
  ...how,
});

test('trays that stay have had their dose on every day, until the trial ended', () => {
  const so = lightSoFar(trial({}), places, TODAY)!;
  ids.forEach((_, i) => expect(so.get(`K${i}`)!.mol_per_m2).toBeCloseTo(12 * doses[i]!, 6));
  expect(lightSoFar(trial({ ended: TODAY - 5 }), places, TODAY)!.get('K0')!.days).toBe(7);
  expect(lightSoFar(trial({ starts: TODAY + 1 }), places, TODAY)).toBeNull();
  expect(lightSoFar(trial({}), new Map(), TODAY)).toBeNull();
});

test('trays that change places have had what a count day by day gives; over whole rounds all have had the same', () => {
  const so = lightSoFar(trial({ rotate_days: 3 }), places, TODAY)!;
  const mean = doses.reduce((a, b) => a + b, 0) / 4;
  ids.forEach((_, i) => expect(so.get(`K${i}`)!.mol_per_m2).toBeCloseTo(12 * mean, 6));
  // After five days each has moved once: three days at the place before, two at the one where it stands.
  const early = lightSoFar(trial({ rotate_days: 3, starts: TODAY - 5 }), places, TODAY)!;
  ids.forEach((_, i) => expect(early.get(`K${i}`)!.mol_per_m2).toBeCloseTo(3 * doses[(i + 3) % 4]! + 2 * doses[i]!, 6));
});

test('changing places takes away what the places do, and never all of the scatter', () => {
  const left = scatterWhenSwapped(trial({}), places, 10, 100)!;
  expect(left).toBeLessThanOrEqual(10);
  expect(left).toBeGreaterThanOrEqual(5);
  const same = new Map([...places].map(([id]) => [id, places.get(ids[0]!)!]));
  expect(scatterWhenSwapped(trial({}), same, 10, 100)).toBeCloseTo(10, 9);
  expect(scatterWhenSwapped(trial({}), new Map(), 10, 100)).toBeNull();
});
