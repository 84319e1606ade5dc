import { answerBench } from '../../core/answer/bench/answerBench';
import { questionOfStand } from '../../core/answer/bench/questionOfStand';
import { benchStandOf, type BenchStand } from '../../core/answer/stand/benchStand';
import { MOL_SECONDS } from '../../core/judge/dli/dli';
import { daylightDli } from '../../core/judge/dli/LightDay';
import { groupsOf } from '../../core/plan/trial/learnedOf';
import { letLeave, logIt } from '../../core/site/growth/changeGrowth';
import { addTray, moveThings, removeThings } from '../../core/site/stand/change';
import { plantedAreaOf } from '../../core/site/stand/footprint';
import type { Site } from '../../core/site/stand/Site';
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

function opened() {
  const sites = createSiteStore(start);
  const asked: string[] = [];
  const stop = followLeaving(sites, async (of: BenchStand) => {
    asked.push(of.stand.id);
    return answerBench(questionOfStand(of, null));
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

test('when its last tray goes, a batch remembers the light it stood in, and what its harvest shows of the crop stays', async () => {
  const { sites, site, grownIn, settled } = opened();
  expect(changeSite(sites, 'delete', removeThings([tray.id]))).toBe(true);
  await settled();
  expect(grownIn()!.dli).toBeCloseTo(dose(), 3);
  expect(grownIn()!.area_m2).toBeCloseTo(plantedAreaOf(tray), 3);
  const points = (s: Site, of: (id: string) => number | null) =>
    groupsOf(s, tables.crop('celery')!, TODAY, of).find((g) => g.kind === 'harvest')!.points;
  const [then] = points(start, (id) => (id === tray.id ? dose() : null));
  expect(then!.y).toBeCloseTo(180 / plantedAreaOf(tray), 9);
  const [after] = points(site(), () => null);
  expect(after!.dli).toBeCloseTo(then!.dli, 3);
  expect(after!.y).toBeWithin(then!.y, { relative: 1e-3 });
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
  const { sites, asked, stop, grownIn, settled } = opened();
  changeSite(sites, 'move', moveThings(tier.id, [tray.id], 0.01, 0));
  const ids = ['b', 'extra'];
  changeSite(sites, 'add', addTray(tier.id, tables.container('pot-9')!, { cropId: 'celery', stage: 'seedling' }, { x: 0.05, y: 0.05 }, () => ids.shift()!)); // prettier-ignore
  changeSite(sites, 'delete', removeThings(['extra']));
  expect(asked).toEqual([]);
  changeSite(sites, 'delete', removeThings([tray.id]));
  stop();
  await settled();
  expect([asked, grownIn()]).toEqual([[stand.id], undefined]);
});
