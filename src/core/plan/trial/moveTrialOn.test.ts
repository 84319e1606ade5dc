import { addTrial } from '../../site/stand/changeTrials';
import { changeBatch, removeThings, withTier } from '../../site/stand/change';
import { demoSite } from '../../../store/site/demoSite';
import type { Site, Tray } from '../../site/stand/Site';
import type { ArmId, Trial, TrialFactor, TrialTrayRow } from '../../site/trial/Trial';
import { tables } from '../../things/tables/libraryTables';
import { dayFrom } from '../../units/day';
import { doJob } from '../today/doJob';
import { jobsOn } from '../today/jobsOf';
import { drawnTrays, isMoveUnsafe, moveTrialOn } from './moveTrialOn';
import { runningWith } from './runningWith';
import { roundsOf } from './trialRounds';

const TODAY = dayFrom(2027, 2, 20);
const demo = demoSite('en-GB', TODAY);
const rack = demo.stands.find((s) => s.id === 'demo-rack')!;
let next = 0;
const ids = () => `new-${next++}`;

/** Four small equal trays, two on each of two tiers, K0 … K3; arms by turns. */
const [upper, lower] = [rack.tiers[0]!, rack.tiers[1]!];
const like = (y: Tray, id: string, at: number): Tray => ({ ...y, id, x: 0.2 + 0.4 * at, y: 0.2, length: 0.3, width: 0.25, turned: false, risers: 0 }); // prettier-ignore
const four: Site = [upper, lower].reduce(
  (site, tier, t) =>
    changeBatch(tier.trays[0]!.batchId, { sown: null, height: 0.02 })(
      withTier(tier.id, (was) => ({ ...was, trays: [0, 1].map((i) => like(was.trays[0]!, `t${2 * t + i}`, i)) }))(site),
    ),
  { ...demo, trials: [] } as Site,
);
const row = (i: number, arm: ArmId, block = ''): TrialTrayRow => ({ code: `K${i}`, arm, trayId: `t${i}`, block, values: [], sown: null });
const trialOf = (factor: TrialFactor, trays = [0, 1, 2, 3].map((i) => row(i, i % 2 === 0 ? 'A' : 'B'))): Trial => ({
  ...demo.trials[0]!,
  id: 'x',
  factor,
  starts: TODAY - 3,
  ends: null,
  ended: null,
  rotate_days: 3,
  moves: [],
  trays,
});
const codes = (trial: Trial, site = four) => roundsOf(trial, drawnTrays(site)).map((r) => r.map((x) => x.code).join(' '));
const whereOf = (site: Site) =>
  Object.fromEntries(site.stands.flatMap((s) => s.tiers.flatMap((t) => t.trays.map((y) => [y.id, `${t.id} ${y.x}`]))));

test('no tray goes to a place of another arm where the place is what is compared, nor out of its block, nor where it does not fit', () => {
  expect(codes(trialOf('medium'))).toEqual(['K0 K1 K2 K3']);
  for (const factor of ['lamp', 'distance', 'dose', 'hours', 'mat', 'position'] as const) expect(codes(trialOf(factor))).toEqual(['K0 K2', 'K1 K3']); // prettier-ignore
  expect(codes(trialOf('feed', [row(0, 'A', 'up'), row(1, 'B', 'up'), row(2, 'A', 'low'), row(3, 'B', 'low')]))).toEqual(['K0 K1', 'K2 K3']); // prettier-ignore
  // One tray of each arm in a block: under lamps that are compared none has where to go.
  expect(codes(trialOf('lamp', [row(0, 'A', 'up'), row(1, 'B', 'up')]))).toEqual([]);
  const wide = withTier(lower.id, (t) => ({ ...t, trays: t.trays.map((y) => ({ ...y, width: 0.3 })) }))(four);
  expect(codes(trialOf('medium'), wide)).toEqual(['K0 K1', 'K2 K3']);
  // Those drawn nowhere move among themselves; what was taken away, or is named twice, does not move.
  const mixed = [row(0, 'A'), { ...row(7, 'A'), trayId: null }, row(1, 'B'), { ...row(8, 'B'), trayId: null }, { ...row(9, 'A'), trayId: 'gone' }, { ...row(6, 'A'), trayId: 't1' }]; // prettier-ignore
  expect(codes(trialOf('medium', mixed))).toEqual(['K0 K1', 'K7 K8']);
});

test('each tray comes to stand where the next stood, across tiers too; after a whole round everything is as it was', () => {
  const trial = trialOf('medium');
  const start = addTrial(trial)(four);
  const once = moveTrialOn('x', TODAY, ids)(start);
  const [was, is] = [whereOf(start), whereOf(once)];
  [0, 1, 2, 3].forEach((i) => expect(is[`t${i}`]).toBe(was[`t${(i + 1) % 4}`]));
  expect(once.trials[0]!.moves).toEqual([TODAY]);
  for (const { batchId } of drawnTrays(four).values())
    if (['t0', 't2'].some((id) => drawnTrays(four).get(id)!.batchId === batchId))
      expect(once.batches.find((b) => b.id === batchId)!.log.at(-1)).toMatchObject({ day: TODAY, what: 'moved', text: 'changed places' });
  const round = [1, 2, 3].reduce((site) => moveTrialOn('x', TODAY, ids)(site), once);
  expect(whereOf(round)).toEqual(was);
  expect(round.trials[0]!.moves).toHaveLength(4);
});

test('it is asked for on its days, moves them once it is ticked, and is not asked where it would do harm or nothing can move', () => {
  const asked = (site: Site, day = TODAY) => jobsOn(site, [], day, tables).find((j) => j.key.startsWith('rotate trial x'));
  const start = addTrial(trialOf('medium'))(four);
  expect([asked(start, TODAY - 1), asked(start)?.due]).toEqual([undefined, TODAY]);
  const done = doJob(asked(start)!, TODAY, ids)(start);
  expect(whereOf(done)).toEqual(whereOf(moveTrialOn('x', TODAY, ids)(start)));
  expect(asked(addTrial(trialOf('lamp', [row(0, 'A'), row(1, 'B')]))(four))).toBeUndefined();
  expect(asked(removeThings(['t1', 't2', 't3'])(start))).toBeUndefined();
  // Tall plants of the one would stand in the lamps of the other.
  const height = upper.fittings[0]!.face - 0.3;
  const low = withTier(lower.id, (t) => ({ ...t, fittings: t.fittings.map((f) => ({ ...f, face: 0.12 })) }))(four);
  const tall = addTrial(trialOf('medium'))(changeBatch(upper.trays[0]!.batchId, { sown: null, height })(low));
  expect(isMoveUnsafe(tall, tall.trials[0]!, tables)).toBe(true);
  expect(asked(tall)).toBeUndefined();
});

test('a trial is under way where one of its trays stands, from its first day until it ends', () => {
  const trial = trialOf('medium');
  const site = addTrial(trial)(four);
  const at = (day: number, ...ids: string[]) => runningWith(site, new Set(ids), day).map((t) => t.id);
  expect([at(TODAY, 't0', 'other'), at(TODAY, 'other'), at(trial.starts - 1, 't0'), at(trial.starts, 't3')]).toEqual([
    ['x'],
    [],
    [],
    ['x'],
  ]);
  expect(runningWith(addTrial({ ...trial, ended: TODAY })(four), new Set(['t0']), TODAY)).toEqual([]);
});
