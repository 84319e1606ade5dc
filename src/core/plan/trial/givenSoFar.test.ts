import { demoSite } from '../../../store/site/demoSite';
import { answerBench } from '../../answer/bench/answerBench';
import { questionOfStand } from '../../answer/bench/questionOfStand';
import { asOf } from '../../answer/stand/asOf';
import { benchStandOf } from '../../answer/stand/benchStand';
import { createCache } from '../../light/scene/Cache';
import { carry, changeFittings, changeTrays, setTimes, withTier, type Change } from '../../site/stand/change';
import type { Site, Tray } from '../../site/stand/Site';
import { asAllAlong, noteSettings } from '../../site/past/noteSettings';
import type { Trial } from '../../site/trial/Trial';
import { tables } from '../../things/tables/libraryTables';
import { dayFrom, type Day } from '../../units/day';
import { changesOnTheWay } from '../past/changesOnTheWay';
import { givenSoFar } from './givenSoFar';
import { moveTrialOn } from './moveTrialOn';
import { dliInPlace, traysInPlace } from '../../answer/bench/traysInPlace';

const TODAY = dayFrom(2027, 2, 20);
const whole = demoSite('en-GB', TODAY);
const { tiers } = whole.stands.find((s) => s.id === 'demo-rack')!;
/** Two tiers of the demo are enough. */
const rack = { ...whole.stands.find((s) => s.id === 'demo-rack')!, tiers: tiers.slice(0, 2) };
const demo = { ...whole, stands: [rack] };
const cache = createCache();

/** All batches as they are, whatever the day: what a place gives changes only where somebody changes it. */
const still: Site = { ...demo, batches: demo.batches.map((b) => ({ ...b, sown: null, leaves: null, log: [] })) };
const four = rack.tiers.flatMap((tier) => tier.trays.map((tray) => ({ tier, tray }))).slice(0, 4);
const ids = four.map((x) => x.tray.id);
const trialOf = (how: Partial<Trial> = {}): Trial => ({
  ...demo.trials[0]!,
  id: 'x',
  factor: 'medium',
  starts: TODAY - 12,
  ended: null,
  moves: [],
  rotate_days: null,
  trays: ids.map((trayId, i) => ({ code: `K${i}`, arm: i % 2 === 0 ? 'A' : 'B', trayId, block: '', values: [], sown: null })),
  ...how,
});
const during = (site: Site, trial = trialOf()): Site => ({ ...site, trials: [trial], earlier: [] });

/** What each tray is given in a day, as a site stands on it. */
function dosesIn(site: Site): number[] {
  const stands = site.stands
    .filter((s) => s.tiers.some((t) => t.trays.some((y) => ids.includes(y.id))))
    .map((s) => benchStandOf(site, s, tables));
  const places = traysInPlace(stands.map((stand) => ({ stand, answer: answerBench(questionOfStand(stand, null), cache) })));
  return ids.map((id) => dliInPlace(places.get(id)!)!);
}
const given = (site: Site, today = TODAY) => givenSoFar(site, site.trials[0]!, today, tables, cache);
const mols = (site: Site, today = TODAY) => ids.map((_, i) => given(site, today).get(`K${i}`)!.mol_per_m2);
/** A change by hand on a day. */
const on = (day: Day, site: Site, ...changes: Change[]) => changes.reduce((now, change) => noteSettings(now, change(now), day), site);
const changesIn = (site: Site) => changesOnTheWay(site, TODAY - 12, TODAY, (y: Tray) => ids.includes(y.id), tables);
const close = (found: readonly number[], wanted: readonly number[]) =>
  found.forEach((v, i) => expect(v).toBeWithin(wanted[i]!, { relative: 1e-6 }));

const start = during(still);
const doses = dosesIn(start);
const [first] = four;
const tierId = first!.tier.id;
const { timerId } = first!.tier;
const lit = still.timers.find((p) => p.id === timerId)!;
const lift = (by: number) => changeFittings(tierId, first!.tier.fittings.map((f) => f.id), (f) => ({ face: f.face + by })); // prettier-ignore

test('trays of which nothing changes have had their dose on every day, until the trial ended, and their part of the power', () => {
  const so = given(start);
  close(mols(start), doses.map((d) => 12 * d)); // prettier-ignore
  const stand = benchStandOf(still, rack, tables);
  for (const [i, { tray }] of four.entries()) {
    const tier = stand.tiers.find((t) => t.trays.some((y) => y.tray.id === tray.id))!;
    const watts = tier.lamps.reduce((sum, l) => sum + l.real.power, 0);
    const area = (y: typeof tray) => y.insideLength * y.insideWidth;
    const share = area(tray) / tier.trays.reduce((sum, y) => sum + area(y.tray), 0);
    expect(so.get(`K${i}`)!.kWh).toBeCloseTo((12 * tier.hours * watts * share) / 1000, 9);
    expect(so.get(`K${i}`)).toMatchObject({ days: 12, area_m2: area(tray), batchId: tray.batchId, tierId: tier.tier.id });
  }
  expect(given(during(still, trialOf({ ended: TODAY - 5 }))).get('K0')!.days).toBe(7);
  expect(given(during(still, trialOf({ starts: TODAY + 1 }))).size).toBe(0);
  // One tray that stands elsewhere says nothing of the others; one that is gone had what was written down.
  const had = { ...so.get('K0')!, days: 9, mol_per_m2: 77, kWh: 2 };
  const [a, b, ...rest] = trialOf().trays;
  const some = given(during(still, trialOf({ trays: [{ ...a!, trayId: null }, { ...b!, trayId: 'gone', had }, ...rest] })));
  expect([...some.keys()].sort()).toEqual(['K1', 'K2', 'K3']);
  expect(some.get('K1')).toEqual(had);
});

test('plants that grow, and a sun that rises higher, are counted as on each day: as a plain sum over all days has it', () => {
  const grown = during(demo, trialOf({ starts: TODAY - 25 }));
  const plain = ids.map(() => 0);
  for (let day = TODAY - 25; day < TODAY; day++) dosesIn(asOf(grown, day, tables)).forEach((d, i) => (plain[i] = plain[i]! + d));
  const found = mols(asOf(grown, TODAY, tables));
  found.forEach((v, i) => expect(v).toBeWithin(plain[i]!, { relative: 0.01 }));
  // As they stand today, some of them would be told to have had a good deal more.
  const today = dosesIn(asOf(grown, TODAY, tables));
  expect(Math.max(...found.map((v, i) => Math.abs((25 * today[i]!) / v - 1)))).toBeGreaterThan(0.02);
});

test('lamps hung and hours set otherwise count from their day on, each change by itself', () => {
  const shorter = setTimes(timerId, lit.on_min, lit.lit_min / 2);
  const higher = on(TODAY - 8, start, lift(0.03));
  const now = on(TODAY - 3, higher, shorter);
  close(mols(now), doses.map((d, i) => 4 * d + 5 * dosesIn(lift(0.03)(still))[i]! + 3 * dosesIn(shorter(lift(0.03)(still)))[i]!)); // prettier-ignore
  const tiers = rack.tiers.filter((t) => t.timerId === timerId && t.trays.some((y) => ids.includes(y.id))).map((t) => t.id);
  expect(changesIn(now)).toEqual([
    { day: TODAY - 8, tierId, lit_min: null, lift: expect.closeTo(0.03, 9) as number, otherLamps: false, otherTrays: false },
    ...tiers.map((id) => ({ day: TODAY - 3, tierId: id, lit_min: [lit.lit_min, lit.lit_min / 2], lift: null, otherLamps: false, otherTrays: false })), // prettier-ignore
  ]);
  // The drawing was put right only: it had been so before.
  const right = asAllAlong(TODAY - 8, [tierId])(now);
  close(mols(right), doses.map((_, i) => 9 * dosesIn(lift(0.03)(still))[i]! + 3 * dosesIn(shorter(lift(0.03)(still)))[i]!)); // prettier-ignore
  expect(changesIn(right)).toHaveLength(tiers.length);
  // What it had by a day is the same when it is asked for later.
  expect(given(during(now, trialOf({ ended: TODAY - 8 }))).get('K0')!.days).toBe(4);
  close(mols({ ...now, trials: [trialOf({ ended: TODAY - 8 })] }), doses.map((d) => 4 * d)); // prettier-ignore
});

test('a tray that is carried to another tier has had the light of both, and so have those that it shades; one drawn later counts from the start', () => {
  const other = four.find((x) => x.tier.id !== tierId)!.tier.id;
  const moved = on(TODAY - 5, start, carry([ids[0]!], other));
  const after = dosesIn(moved);
  close(mols(moved), doses.map((d, i) => 7 * d + 5 * after[i]!)); // prettier-ignore
  const late = on(
    TODAY - 5,
    during(withTier(tierId, (t) => ({ ...t, trays: t.trays.filter((y) => y.id !== ids[0]) }))(still)),
    () => start,
  );
  expect(late.earlier.map((e) => Object.keys(e))).toEqual([['tierId', 'until', 'trays']]);
  expect(mols(late)[0]).toBeCloseTo(12 * doses[0]!, 6);
});

/** Four trays that fit each other's places: what they stand under differs. */
const { length, width, height, insideLength, insideWidth, turned, risers, riserHeight } = first!.tray;
const sizes = { length, width, height, insideLength, insideWidth, turned, risers, riserHeight };
const alike = ids.reduce((site, id, i) => changeTrays(four[i]!.tier.id, [id], () => sizes)(site), still);

test('trays that changed places have had what a count day by day gives, whether the moves were written down or only ticked', () => {
  const places = dosesIn(alike);
  const of = (moves: readonly Day[], how: Partial<Trial> = {}) => mols(during(alike, trialOf({ moves, ...how })));
  // Only ticked: three days at the place before, nine at the one where each stands now.
  close(of([TODAY - 9]), places.map((_, i) => 3 * places[(i + 3) % 4]! + 9 * places[i]!)); // prettier-ignore
  const mean = places.reduce((a, b) => a + b, 0) / 4;
  close(of([TODAY - 9, TODAY - 6, TODAY - 3]), places.map(() => 12 * mean)); // prettier-ignore
  close(of([TODAY - 20]), places.map((d) => 12 * d)); // prettier-ignore
  // Where the light is what is compared, each only ever had the places of its own arm.
  close(of([TODAY - 6], { factor: 'lamp' }), places.map((_, i) => 6 * places[(i + 2) % 4]! + 6 * places[i]!)); // prettier-ignore
  // Written down: as they stood on each day, crops and all.
  const begun = during(alike, trialOf());
  const move = moveTrialOn('x', TODAY - 9, () => `n${Math.random()}`);
  const moved = on(TODAY - 9, begun, move);
  expect(moved.earlier.length).toBeGreaterThan(0);
  close(mols(moved), dosesIn(begun).map((d, i) => 3 * d + 9 * dosesIn(moved)[i]!)); // prettier-ignore
});

test('what is written down of a lamp or plants that are gone counts as not written, and the rest of that day counts', () => {
  const own = { ...tables.lamp(first!.tier.fittings[0]!.lampId)!, id: 'own' };
  const hung = changeFittings(tierId, first!.tier.fittings.map((f) => f.id), () => ({ lampId: 'own' }))({ ...start, lamps: [own] }); // prettier-ignore
  const back = on(TODAY - 4, hung, () => start);
  expect(back.earlier).toHaveLength(1);
  close(mols(back), doses.map((d) => 12 * d)); // prettier-ignore
  expect(changesIn(back)).toEqual([]);
  const [entry] = on(TODAY - 4, start, setTimes(timerId, lit.on_min, lit.lit_min / 2)).earlier;
  const gone = { ...first!.tier.trays[0]!, id: 'gone', batchId: 'gone' };
  const both = { ...start, earlier: [{ ...entry!, lit_min: 2 * lit.lit_min, trays: [...first!.tier.trays, gone] }] };
  // A little comes from other tiers, whose hours were as they are.
  expect(mols(both)[0]).toBeWithin(20 * doses[0]!, { relative: 1e-3 });
});
