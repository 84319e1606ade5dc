import { answerBench } from '../../answer/bench/answerBench';
import { questionOfStand } from '../../answer/bench/questionOfStand';
import { benchStandOf } from '../../answer/stand/benchStand';
import { addFitting, addTray, setTimes, withTier } from '../../site/stand/change';
import { BARE_SITE, BARE_STAND } from '../../site/stand/bare';
import { standFrom, TEMPLATES } from '../../site/stand/templates';
import type { Site } from '../../site/stand/Site';
import type { Trial } from '../../site/trial/Trial';
import { tables } from '../../things/tables/libraryTables';
import { applyMoves } from '../advice/applyMove';
import { designOf } from './designOf';
import { dliInPlace, type TrayInPlace } from '../../answer/bench/traysInPlace';
import { efficiencyOf } from './efficiencyOf';
import { givenSoFar } from './givenSoFar';
import { equalDose } from './equalDose';
import { leaksOf } from './leaksOf';

/** Two tiers, each with a lamp and two trays of its own; each on its own timer, unless said otherwise. */
function rack(faces: readonly [number, number], timers: 1 | 2 = 2): Site {
  let n = 0;
  const ids = () => `id-${n++}`;
  const { stand, timer } = standFrom(
    TEMPLATES.find((t) => t.kind === 'rack')!,
    2,
    'Rack',
    ids,
  );
  const other = { ...timer, id: 'second' };
  const tiers = stand.tiers.map((t, i) => ({ ...t, timerId: i === 1 && timers === 2 ? other.id : timer.id }));
  const site: Site = { ...BARE_SITE, currency: 'EUR', price_per_kWh: 0.3, stands: [{ ...stand, ...BARE_STAND, tiers }], timers: [timer, ...(timers === 2 ? [other] : [])] }; // prettier-ignore
  const flat = tables.container('flat-half')!;
  const steps = tiers.flatMap((t, i) => [
    addFitting(t.id, tables.lamp('led-bar-12-white-24')!, { x: 0.6, y: 0.225, face: faces[i]! }, `lamp-${i}`),
    ...[0.3, 0.9].map((x, j) => {
      const names = [`batch-${i}${j}`, `tray-${i}${j}`];
      return addTray(t.id, flat, { cropId: 'lettuce', stage: 'seedling' }, { x, y: 0.225 }, () => names.shift()!);
    }),
  ]);
  return [...steps, setTimes(timer.id, 360, 960), ...(timers === 2 ? [setTimes(other.id, 360, 960)] : [])].reduce(
    (s, step) => step(s),
    site,
  );
}
const trial = (changes: Partial<Trial> = {}): Trial => ({
  id: 't',
  name: 'Two lamps',
  factor: 'lamp',
  equalDose: true,
  outcome: { name: 'weight', unit: 'g', kind: 'measured', isBlind: false },
  starts: 20_000,
  ends: null,
  selection: 'random',
  rotate_days: null,
  moves: [],
  arms: (['A', 'B'] as const).map((id) => ({ id, name: id, medium: '', isMatOn: false, dli: null })),
  trays: ([['a1', 'A', 'tray-00'], ['a2', 'A', 'tray-01'], ['b1', 'B', 'tray-10'], ['b2', 'B', 'tray-11']] as const).map(([code, arm, trayId], i) => ({ code, arm, trayId, block: '', values: [100 + 10 * i], sown: null })), // prettier-ignore
  deviations: [],
  seed: 1,
  ended: null,
  ...changes,
});
const placesOf = (site: Site): Map<string, TrayInPlace> => {
  const stand = benchStandOf(site, site.stands[0]!, tables);
  const answer = answerBench(questionOfStand(stand, null));
  return new Map(stand.tiers.flatMap((tier) => tier.trays.map((tray) => [tray.tray.id, { stand, tier, tray, light: answer.tiers[tier.tier.id]!.trays[tray.tray.id]! }]))); // prettier-ignore
};
const doses = (site: Site) => {
  const places = placesOf(site);
  const of = (ids: readonly string[]) => ids.reduce((sum, id) => sum + dliInPlace(places.get(id)!)!, 0) / ids.length;
  return [of(['tray-00', 'tray-01']), of(['tray-10', 'tray-11'])];
};

test.each(['lamp', 'distance'] as const)(
  'arms whose %s differs come to the same dose by what is promised, within the days that their crop may have',
  (factor) => {
    const site = rack(factor === 'lamp' ? [0.19, 0.32] : [0.25, 0.32]);
    const [a, b] = doses(site);
    expect(a! / b!).toBeGreaterThan(1.14);
    const found = equalDose(site, trial({ factor }), tables);
    if (!found.ok) throw new Error(found.why);
    const after = doses(applyMoves(site, found.moves, tables));
    expect(after[0]! / after[1]!).toBeGreaterThan(0.9);
    expect(after[0]! / after[1]!).toBeLessThan(1.1);
    expect(after[0]).toBeWithin(found.after.A!, { relative: 0.01 });
    // The weaker one is left alone, but for what spills over less, unless the other would have too short a day.
    if (factor === 'lamp') expect(after[1]).toBeWithin(b!, { relative: 0.08 });
    const { hoursMin, hoursMax } = tables.crop('lettuce')!.stages.find((s) => s.stage === 'seedling')!;
    for (const m of found.moves) if (m.do === 'hours') expect([m.lit_min >= 60 * hoursMin - 15, m.lit_min <= 60 * hoursMax + 15]).toEqual([true, true]); // prettier-ignore
    // Where distances are compared, they stay.
    expect(found.moves.some((m) => m.do === 'hang')).toBe(factor === 'lamp');
  },
);

test('what cannot be made equal is said, with the reason', () => {
  const same = trial({ trays: trial().trays.map((t, i) => ({ ...t, trayId: ['tray-00', 'tray-10', 'tray-01', 'tray-11'][i]! })) });
  expect(equalDose(rack([0.2, 0.3]), same, tables)).toEqual({ ok: false, why: 'one-tier' });
  expect(equalDose(rack([0.19, 0.32], 1), trial({ factor: 'distance' }), tables)).toEqual({ ok: false, why: 'one-timer' });
  // A third tray under the brighter arm's timer, which nobody compares.
  const three = trial({ factor: 'distance', trays: trial().trays.slice(1) });
  expect(equalDose(rack([0.19, 0.32]), three, tables)).toEqual({ ok: false, why: 'others' });
  const away = trial({ trays: trial().trays.map((t) => ({ ...t, trayId: null })) });
  expect(equalDose(rack([0.2, 0.3]), away, tables)).toEqual({ ok: false, why: 'not-drawn' });
  const dark = rack([0.2, 0.3]);
  const unlit = withTier(dark.stands[0]!.tiers[1]!.id, (t) => ({ ...t, fittings: [] }))(dark);
  expect(equalDose(unlit, trial(), tables)).toMatchObject({ ok: false });
});

test('where hours are compared they stay as they are, and where plants would have too short a day they are not cut', () => {
  const site = setTimes('second', 360, 720)(rack([0.25, 0.25]));
  const timer = site.stands[0]!.tiers[0]!.timerId;
  const found = equalDose(site, trial({ factor: 'hours' }), tables);
  if (!found.ok) throw new Error(found.why);
  expect(found.moves.map((m) => m.do)).toEqual(['hang']);
  const [a, b] = doses(applyMoves(site, found.moves, tables));
  expect(a! / b!).toBeWithin(1, { absolute: 0.1 });
  // So near, no height brings them together: twelve hours against eighteen are what is asked about.
  const near = setTimes('second', 360, 300)(rack([0.12, 0.38]));
  expect(equalDose(near, trial({ factor: 'hours' }), tables)).toEqual({ ok: false, why: 'out-of-reach' });
  expect(near.timers.find((t) => t.id === timer)!.lit_min).toBe(960);
  expect(equalDose(near, trial({ factor: 'distance' }), tables)).toEqual({ ok: false, why: 'short-day' });
});

test('a plant that is not compared keeps its light: the lamps over it stay where they are', () => {
  const site = rack([0.19, 0.32]);
  const three = trial({ trays: trial().trays.slice(1) });
  expect(equalDose(site, three, tables)).toEqual({ ok: false, why: 'others' });
  // It may stand beside the weaker ones, whose lamps nobody touches.
  const other = trial({ trays: trial().trays.slice(0, 3) });
  const found = equalDose(site, other, tables);
  expect(found.ok && found.moves.map((m) => 'tierId' in m && m.tierId)).toEqual([site.stands[0]!.tiers[0]!.id]);
});

test('each tier of an arm that stands on several comes to the dose of the weaker arm', () => {
  // Two racks of two tiers: an upper and a lower tier for each arm, the brighter ones not equally bright.
  const [left, right] = [rack([0.15, 0.42]), rack([0.19, 0.36])];
  const rename = (id: string) => `r-${id}`;
  const [second] = right.stands;
  const site: Site = {
    ...left,
    stands: [
      ...left.stands,
      { ...second!, id: 'r', tiers: second!.tiers.map((t) => ({ ...t, id: rename(t.id), timerId: rename(t.timerId), fittings: t.fittings.map((f) => ({ ...f, id: rename(f.id) })), trays: t.trays.map((y) => ({ ...y, id: rename(y.id), batchId: rename(y.batchId) })) })) }, // prettier-ignore
    ],
    timers: [...left.timers, ...right.timers.map((t) => ({ ...t, id: rename(t.id) }))],
    batches: [...left.batches, ...right.batches.map((b) => ({ ...b, id: rename(b.id) }))],
  };
  const both = trial({ trays: trial().trays.flatMap((t) => [t, { ...t, code: rename(t.code), trayId: rename(t.trayId!) }]) });
  const found = equalDose(site, both, tables);
  if (!found.ok) throw new Error(found.why);
  // The weaker arm's own tiers differ, and are left as they are.
  expect(new Set(found.moves.map((m) => 'tierId' in m && m.tierId))).toEqual(new Set(site.stands.map((s) => s.tiers[0]!.id)));
  expect(found.after.A! / found.after.B!).toBeWithin(1, { absolute: 0.1 });
  const after = applyMoves(site, found.moves, tables);
  const doseOn = (index: number) => {
    const stand = benchStandOf(after, after.stands[index]!, tables);
    const tier = stand.tiers[0]!;
    return answerBench(questionOfStand(stand, null)).tiers[tier.tier.id]!.trays[tier.trays[0]!.tray.id]!.stats.mean;
  };
  expect(doseOn(0) / doseOn(1)).toBeWithin(1, { absolute: 0.12 });
});

test('light that leaks from tier to tier through wire is named, and arms on one tier', () => {
  const places = placesOf(rack([0.19, 0.32]));
  const leaks = leaksOf(trial(), places);
  for (const leak of leaks) expect(leak.share).toBeGreaterThanOrEqual(0.03);
  expect(leaks.map((l) => l.code)).toEqual(
    trial()
      .trays.filter((t) => places.get(t.trayId!)!.light!.spillShare >= 0.03)
      .map((t) => t.code),
  );
  const same = trial({ trays: trial().trays.map((t, i) => ({ ...t, trayId: ['tray-00', 'tray-10', 'tray-01', 'tray-11'][i]! })) });
  expect(leaksOf(same, places).every((l) => l.isSameTier)).toBe(true);
  expect(leaksOf(trial({ factor: 'feed' }), places)).toEqual([]);
});

test('grams for each kilowatt-hour are those of power, hours, days and the share of the tray', () => {
  const site = rack([0.25, 0.25]);
  const found = efficiencyOf(trial(), givenSoFar(site, trial(), 20_010, tables))!;
  const kWh = (tables.lamp('led-bar-12-white-24')!.power / 1000) * 16 * 10 * 0.5;
  expect(found.kwh[0]).toBeCloseTo(kWh, 9);
  expect(found.gPerKwh[0]).toBeCloseTo(105 / kWh, 9);
  expect(efficiencyOf(trial({ outcome: { ...trial().outcome, unit: 'mm' } }), givenSoFar(site, trial(), 20_010, tables))).toBeNull();
  expect(efficiencyOf(trial(), givenSoFar(site, trial(), 20_000, tables))).toBeNull();
});

test('where the trays of an arm stand on unlike tiers, each counts with its own part of the power there', () => {
  const bar = tables.lamp('led-bar-12-white-24')!;
  const [first, second] = rack([0.25, 0.25]).stands[0]!.tiers;
  const site = [
    withTier(first!.id, (t) => ({ ...t, trays: t.trays.filter((y) => y.id !== 'tray-01') })),
    addFitting(second!.id, bar, { x: 0.6, y: 0.3, face: 0.25 }, 'lamp-2'),
  ].reduce((s, step) => step(s), rack([0.25, 0.25]));
  const trays = ([['a1', 'A', 'tray-00'], ['a2', 'A', 'tray-10'], ['b1', 'B', 'tray-11']] as const).map(([code, arm, trayId]) => ({ code, arm, trayId, block: '', values: [100], sown: null })); // prettier-ignore
  const found = efficiencyOf(trial({ trays }), givenSoFar(site, trial({ trays }), 20_010, tables))!;
  // One has all of 24 W, the other half of 48 W.
  expect(found.kwh[0]).toBeCloseTo((bar.power / 1000) * 16 * 10, 9);
  expect(found.kwh[1]).toBeCloseTo((bar.power / 1000) * 16 * 10, 9);
});

test('a design is told as the trays stand, not as they are meant: what all have in common by name, what differs joined', () => {
  const site = rack([0.19, 0.32]);
  const places = placesOf(site);
  const design = designOf(trial(), places);
  const [a, b] = design.arms;
  const doseIn = (ids: readonly string[]) => ids.reduce((sum, id) => sum + dliInPlace(places.get(id)!)! / ids.length, 0);
  expect(a).toMatchObject({ lamp: 'led-bar-12-white-24', hours: 16, position: site.stands[0]!.tiers[0]!.id, container: 'flat-half', cover: 'none' }); // prettier-ignore
  expect(a!.dli).toBeCloseTo(doseIn(['tray-00', 'tray-01']), 9);
  expect(b!.dli).toBeCloseTo(doseIn(['tray-10', 'tray-11']), 9);
  const { tier, tray } = places.get('tray-00')!;
  expect(a!.distance_m).toBeCloseTo(0.19 - tray.canopy, 9);
  expect(tier.tier.id).not.toBe(places.get('tray-10')!.tier.tier.id);
  expect(a!.crops).toEqual([{ crop: 'lettuce', cultivar: null, trays: 2, plants: 1 }]);
  expect(design).toMatchObject({
    declared: 'lamp',
    isStopFixed: false,
    arePlacesRotated: false,
    outcome: { kind: 'measured', isFixed: true },
  });
  // One tray of each arm on the other tier: both have both places in common.
  const mixed = trial({ trays: trial().trays.map((t, i) => ({ ...t, trayId: ['tray-00', 'tray-10', 'tray-01', 'tray-11'][i]! })) });
  const both = designOf(mixed, places).arms.map((arm) => arm.position);
  expect(both[0]).toBe(both[1]);
  expect(both[0]!.split(' + ')).toEqual([...site.stands[0]!.tiers.map((t) => t.id)].sort());
});

test('what stands nowhere in the plan leaves a dose unknown, but for the one that was written down', () => {
  const places = placesOf(rack([0.19, 0.32]));
  const half = trial({ trays: trial().trays.map((t, i) => (i === 0 ? { ...t, trayId: null } : t)) });
  expect(designOf(half, places).arms.map((a) => a.dli === null)).toEqual([true, false]);
  const away = trial({
    trays: trial().trays.map((t) => ({ ...t, trayId: null })),
    arms: trial().arms.map((a, i) => ({ ...a, dli: 10 + i })),
    ends: 20_050,
    rotate_days: 3,
    outcome: { name: ' ', unit: 'g', kind: 'scored', isBlind: true },
    deviations: [{ id: 'd', day: 20_001, arms: ['A'], text: 'fell over' }],
  });
  const design = designOf(away, places);
  expect(design.arms.map((a) => [a.dli, a.hours, a.distance_m, a.position])).toEqual([[10, null, null, null], [11, null, null, null]]); // prettier-ignore
  expect(design.arms[0]!.crops).toEqual([{ crop: '', cultivar: null, trays: 2, plants: 1 }]);
  expect(design).toMatchObject({ isStopFixed: true, arePlacesRotated: false, outcome: { kind: 'scored', isFixed: false, isBlind: true }, deviations: [{ arms: ['A'] }] }); // prettier-ignore
  expect(designOf(trial({ factor: 'feed' }), places).declared).toBe('none');
  // Whoever compares lamps cannot let trays change arms; what each tray carries along can.
  expect(designOf(trial({ factor: 'feed', rotate_days: 3 }), places).arePlacesRotated).toBe(true);
  expect(designOf(trial({ factor: 'dose' }), places)).toMatchObject({ declared: 'dose', doseBy: 'distance' });
});
