import { demoSite } from '../../../store/site/demoSite';
import { answerBench } from '../../answer/bench/answerBench';
import { questionOfStand } from '../../answer/bench/questionOfStand';
import { benchStandOf } from '../../answer/stand/benchStand';
import type { Trial } from '../../site/trial/Trial';
import { tables } from '../../things/tables/libraryTables';
import { dayFrom } from '../../units/day';
import { dliOfPlace, type TrialPlace } from './trialPlaces';
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
  const so = lightSoFar(trial({}), places, TODAY);
  ids.forEach((id, i) => {
    const had = so.get(`K${i}`)!;
    expect(had.mol_per_m2).toBeCloseTo(12 * doses[i]!, 6);
    // Watts of the lamps of its tier, as many hours, in parts of the area.
    const { tier, tray } = places.get(id)!;
    const watts = tier.lamps.reduce((sum, l) => sum + l.real.power, 0);
    const area = (y: typeof tray) => y.tray.insideLength * y.tray.insideWidth;
    const share = area(tray) / tier.trays.reduce((sum, y) => sum + area(y), 0);
    expect(had.kWh).toBeCloseTo((12 * tier.hours * watts * share) / 1000, 6);
    expect([had.days, had.area_m2, had.batchId]).toEqual([12, area(tray), tray.batch.id]);
  });
  expect(lightSoFar(trial({ ended: TODAY - 5 }), places, TODAY).get('K0')!.days).toBe(7);
  expect(lightSoFar(trial({ starts: TODAY + 1 }), places, TODAY).size).toBe(0);
  expect(lightSoFar(trial({}), new Map(), TODAY).size).toBe(0);
  // One tray that stands elsewhere says nothing of the others; one that is gone had what was written down.
  const had = { ...so.get('K0')!, days: 9, mol_per_m2: 77, kWh: 2 };
  const [first, second, ...rest] = trial({}).trays;
  const some = lightSoFar(trial({ trays: [{ ...first!, trayId: null }, { ...second!, trayId: 'gone', had }, ...rest] }), places, TODAY);
  expect([...some.keys()]).toEqual(['K1', 'K2', 'K3']);
  expect(some.get('K1')).toEqual(had);
});

/** Four trays that fit each other's places: what they stand under differs. */
const alike = new Map(
  [...places].slice(0, 4).map(([id, p]) => [id, { ...p, tray: { ...p.tray, tray: { ...places.get(ids[0]!)!.tray.tray, id } } }]),
);

test('trays that changed places have had what a count day by day gives, on the days on which it was ticked, and not where it was not', () => {
  const of = (how: Partial<Trial>) => {
    const so = lightSoFar(trial({ factor: 'medium', ...how }), alike, TODAY);
    return ids.map((_, i) => so.get(`K${i}`)!.mol_per_m2);
  };
  // Three days at the place before, nine at the one where each stands now.
  of({ moves: [TODAY - 9] }).forEach((mol, i) => expect(mol).toBeCloseTo(3 * doses[(i + 3) % 4]! + 9 * doses[i]!, 6));
  // A whole round in equal parts: all have had the same.
  const mean = doses.reduce((a, b) => a + b, 0) / 4;
  of({ moves: [TODAY - 9, TODAY - 6, TODAY - 3], rotate_days: 3 }).forEach((mol) => expect(mol).toBeCloseTo(12 * mean, 6));
  // Meant to, and never done; done before it began.
  of({ rotate_days: 3 }).forEach((mol, i) => expect(mol).toBeCloseTo(12 * doses[i]!, 6));
  of({ moves: [TODAY - 20] }).forEach((mol, i) => expect(mol).toBeCloseTo(12 * doses[i]!, 6));
  // Where the light is what is compared, each only ever had the places of its own arm.
  of({ factor: 'lamp', moves: [TODAY - 6] }).forEach((mol, i) => expect(mol).toBeCloseTo(6 * doses[(i + 2) % 4]! + 6 * doses[i]!, 6));
});

test('changing places takes away what the places do, and never all of the scatter', () => {
  const left = scatterWhenSwapped(trial({}), places, 10, 100)!;
  expect(left).toBeLessThanOrEqual(10);
  expect(left).toBeGreaterThanOrEqual(5);
  const same = new Map([...places].map(([id]) => [id, places.get(ids[0]!)!]));
  expect(scatterWhenSwapped(trial({}), same, 10, 100)).toBeCloseTo(10, 9);
  expect(scatterWhenSwapped(trial({}), new Map(), 10, 100)).toBeNull();
});
