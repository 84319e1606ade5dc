import { answerBench } from '../../core/answer/bench/answerBench';
import { questionOfStand } from '../../core/answer/bench/questionOfStand';
import { benchStandOf, type BenchStand } from '../../core/answer/stand/benchStand';
import { MOL_SECONDS } from '../../core/judge/dli/dli';
import { daylightDli } from '../../core/judge/dli/LightDay';
import { designOf, reviewTrial } from '../../core/plan/trial/designOf';
import { efficiencyOf } from '../../core/plan/trial/efficiencyOf';
import { givenToBatch } from '../../core/plan/past/givenToBatch';
import { givenSoFar } from '../../core/plan/trial/givenSoFar';
import { groupsOf } from '../../core/plan/trial/learnedOf';
import { traysInPlace } from '../../core/answer/bench/traysInPlace';
import { letLeave, logIt } from '../../core/site/growth/changeGrowth';
import { addTray, moveThings, removeThings } from '../../core/site/stand/change';
import { changeTrial, goOnWithTrial } from '../../core/site/stand/changeTrials';
import { plantedAreaOf } from '../../core/site/stand/footprint';
import type { Site } from '../../core/site/stand/Site';
import type { Trial } from '../../core/site/trial/Trial';
import { tables } from '../../core/things/tables/libraryTables';
import { dayFrom } from '../../core/units/day';
import { demoSite } from '../site/demoSite';
import { changeSite, createSiteStore, redo, undo } from '../site/siteStore';
import { followLeaving } from './followLeaving';

const TODAY = dayFrom(2027, 2, 20);
const demo = demoSite('en-GB', TODAY);
const standing = demo.stands.flatMap((s) => s.tiers.flatMap((t) => t.trays.map((tray) => ({ stand: s, tier: t, tray }))));
const { stand, tier, tray } = standing.find((x) => x.tray.label === 'Celery, early')!;
const harvest = { id: 'h', day: TODAY, what: 'harvest', height: null, stage: null, weight_g: 180 } as const;
const start: Site = logIt(tray.batchId, harvest)(letLeave(tray.batchId, TODAY - 1)(demo));

function opened(from: Site = start) {
  const sites = createSiteStore(from);
  const asked: string[] = [];
  const stop = followLeaving(sites, {
    lightOfStand: async (of: BenchStand) => {
      asked.push(of.stand.id);
      return answerBench(questionOfStand(of, null));
    },
    givenInTrial: async (of, trial) => givenSoFar(of, trial, TODAY, tables),
    givenToBatch: async (of, batchId) => {
      asked.push(batchId);
      return givenToBatch(of, batchId, TODAY, tables);
    },
  });
  const site = () => sites.getState().site;
  const grownIn = () => site().batches.find((b) => b.id === tray.batchId)?.grownIn;
  const settled = () => new Promise((then) => setTimeout(then, 0));
  return { sites, asked, stop, site, grownIn, settled };
}

/** The dose of the tray by the light of its stand, worked out by hand. */
function dose(): number {
  const bench = benchStandOf(
    start,
    start.stands.find((s) => s.id === stand.id)!,
    tables,
  );
  const t = bench.tiers.find((x) => x.tier.id === tier.id)!;
  const light = answerBench(questionOfStand(bench, null)).tiers[tier.id]!.trays[tray.id]!;
  return light.stats.mean * t.hours * MOL_SECONDS + daylightDli(t.trays.find((y) => y.tray.id === tray.id)!.day);
}

/** The mean dose of all its days. */
const meanDose = () => givenToBatch(start, tray.batchId, TODAY, tables)!.dli;

test('when its last tray goes, a batch remembers the light of its days, and what its harvest shows of the crop stays', async () => {
  const { sites, site, grownIn, settled } = opened();
  expect(changeSite(sites, 'delete', removeThings([tray.id]))).toBe(true);
  await settled();
  expect(grownIn()!.dli).toBeCloseTo(meanDose(), 3);
  expect(grownIn()!.area_m2).toBeCloseTo(plantedAreaOf(tray), 3);
  const points = (s: Site, of: (id: string) => number | null) =>
    groupsOf(s, tables.crop('celery')!, TODAY, of).find((g) => g.kind === 'harvest')!.points;
  const [then] = points(start, (id) => (id === tray.id ? meanDose() : null));
  expect(then!.y).toBeCloseTo(180 / plantedAreaOf(tray), 9);
  const [after] = points(site(), () => null);
  expect(after!.dli).toBeCloseTo(then!.dli, 3);
  expect(after!.y).toBeWithin(then!.y, { relative: 1e-3 });
});

test('of a batch without a date the light it stood in last is remembered', async () => {
  const undated = { ...start, batches: start.batches.map((b) => ({ ...b, sown: null })) };
  const { sites, asked, grownIn, settled } = opened(undated);
  changeSite(sites, 'delete', removeThings([tray.id]));
  await settled();
  expect(grownIn()!.dli).toBeCloseTo(dose(), 3);
  expect(asked).toEqual([tray.batchId, stand.id]);
});

test('it is no step: one undo brings the tray back, and what came before is as it was; done again, it is known again', async () => {
  const { sites, site, grownIn, settled } = opened();
  changeSite(sites, 'delete', removeThings([tray.id]));
  await settled();
  undo(sites);
  expect(site().stands).toEqual(start.stands);
  expect(grownIn()).toBeUndefined();
  expect(sites.getState().past).toHaveLength(0);
  redo(sites);
  expect(grownIn()).toBeDefined();
});

test('nothing is asked while a tray stands, of a batch that nothing is known of, or after the end', async () => {
  const { sites, asked, stop, grownIn, settled } = opened({ ...start, trials: [] });
  changeSite(sites, 'move', moveThings(tier.id, [tray.id], 0.01, 0));
  const ids = ['b', 'extra'];
  changeSite(sites, 'add', addTray(tier.id, tables.container('pot-9')!, { cropId: 'celery', stage: 'seedling' }, { x: 0.05, y: 0.05 }, () => ids.shift()!)); // prettier-ignore
  changeSite(sites, 'delete', removeThings(['extra']));
  expect(asked).toEqual([]);
  changeSite(sites, 'delete', removeThings([tray.id]));
  stop();
  await settled();
  expect([asked, grownIn()]).toEqual([[tray.batchId], undefined]);
});

/** A trial of the demo's two celery trays, for a week so far. */
const trial: Trial = { ...start.trials.find((t) => t.ended === null)!, id: 'x', starts: TODAY - 7, ends: null, moves: [] };
/** Plants stay as they are, so that every day gives the same. */
const running: Site = { ...start, trials: [trial], earlier: [], batches: start.batches.map((b) => ({ ...b, sown: null })) };
const hadIn = (site: Site) => site.trials[0]!.trays.map((row) => row.had);

test('a tray of a trial that is taken away, and all trays of one that ends, keep what they had been given and how they stood', async () => {
  const { sites, site, settled } = opened(running);
  changeSite(sites, 'delete', removeThings([tray.id]));
  await settled();
  const at = trial.trays.findIndex((row) => row.trayId === tray.id);
  const gone = hadIn(site())[at]!;
  expect(gone.mol_per_m2).toBeCloseTo(7 * dose(), 2);
  expect(gone).toMatchObject({ days: 7, batchId: tray.batchId, cropId: 'celery', tierId: tier.id, containerId: tray.containerId });
  expect(gone.kWh).toBeGreaterThan(0);
  expect(hadIn(site())[1 - at]).toBeUndefined();
  undo(sites);
  expect(hadIn(site())).toEqual([undefined, undefined]);
  // Ended, what is done to lamps and trays later changes nothing of it.
  changeSite(sites, 'end', changeTrial('x', () => ({ ended: TODAY }))); // prettier-ignore
  await settled();
  const kept = hadIn(site());
  expect(kept.map((had) => had?.days)).toEqual([7, 7]);
  expect(kept[at]!.mol_per_m2).toBeCloseTo(gone.mol_per_m2, 2);
  changeSite(sites, 'delete', removeThings([tray.id]));
  await settled();
  expect(hadIn(site())).toEqual(kept);
  // It goes on: what stands tells it itself again, what is gone does not come back.
  changeSite(sites, 'go on', goOnWithTrial('x'));
  expect(hadIn(site()).map((had) => had !== undefined)).toEqual([0, 1].map((i) => i === at));
});

test('a trial is reviewed by how its trays stood, when they are gone', async () => {
  const { sites, site, settled } = opened(running);
  changeSite(sites, 'end', changeTrial('x', () => ({ ended: TODAY }))); // prettier-ignore
  await settled();
  const bench = benchStandOf(site(), site().stands.find((s) => s.id === stand.id)!, tables); // prettier-ignore
  const places = traysInPlace([{ stand: bench, answer: answerBench(questionOfStand(bench, null)) }]);
  const [then, after] = [designOf(trial, places), designOf(site().trials[0]!, new Map())];
  expect(after.arms.map((arm) => ({ ...arm, dli: 0, distance_m: 0 }))).toEqual(then.arms.map((arm) => ({ ...arm, dli: 0, distance_m: 0 })));
  after.arms.forEach((arm, i) => expect(arm.dli!).toBeCloseTo(then.arms[i]!.dli!, 2));
  after.arms.forEach((arm, i) => expect(arm.distance_m!).toBeCloseTo(then.arms[i]!.distance_m!, 3));
  expect(
    efficiencyOf({ ...site().trials[0]!, outcome: { ...trial.outcome, unit: 'g' } }, givenSoFar(site(), site().trials[0]!, TODAY, tables)),
  ).not.toBeNull();
  // What was never drawn is not said to be alike.
  const nowhere = { ...trial, factor: 'distance' as const, trays: trial.trays.map((row) => ({ ...row, trayId: null })) };
  expect(reviewTrial(nowhere, places).codes).not.toContain('NO_CONTRAST');
  expect(reviewTrial({ ...trial, factor: 'distance' }, places).codes).toContain('NO_CONTRAST');
});
