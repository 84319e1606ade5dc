import type { Site } from '../../core/site/stand/Site';
import { copyOf, keepCrop } from '../../core/site/crop/changeCrops';
import { tables } from '../../core/things/tables/libraryTables';
import { createChartStore } from './chartStore';
import type { BenchAnswer, BenchQuestion } from '../../core/answer/bench/BenchQuestion';
import { answerBench } from '../../core/answer/bench/answerBench';
import { changeFittings } from '../../core/site/stand/change';
import { demoSite } from '../site/demoSite';
import { changeSite, createSiteStore } from '../site/siteStore';
import { benchStandIn } from './benchStandIn';
import { createBenchLightStore, createBenchLookStore } from './benchStore';
import { followBench } from './followBench';

const tick = () => new Promise((done) => setTimeout(done, 0));

/** A worker that answers when it is told to. */
function slowWorker() {
  const asked: { question: BenchQuestion; answer(): void; fail(): void }[] = [];
  const ask = (question: BenchQuestion) =>
    new Promise<BenchAnswer>((resolve, reject) =>
      asked.push({
        question,
        answer: () =>
          resolve(answerBench({ ...question, view: null, cell: 0.05, tiers: question.tiers.map((t) => ({ ...t, room: null })) })),
        fail: () => reject(new Error('worker died')),
      }),
    );
  return { asked, ask };
}

const lower = (face: number) => {
  const tier = demoSite('en-GB').stands[0]!.tiers[1]!;
  return changeFittings(tier.id, tier.fittings.map((f) => f.id), () => ({ face })); // prettier-ignore
};

test('while one question is under way the next waits, and only the newest is asked', async () => {
  const sites = createSiteStore(demoSite('en-GB'));
  const [looks, lights, { asked, ask }] = [createBenchLookStore(), createBenchLightStore(), slowWorker()];
  const stop = followBench(sites, looks, lights, createChartStore(), ask);
  // A first look without the light between tiers, then all of it.
  expect(asked[0]!.question).toMatchObject({ view: 'front', only: null, spill: false });
  asked[0]!.answer();
  await tick();
  expect(lights.getState()).toMatchObject({ status: 'ready', stale: true });
  expect(asked[1]!.question.spill).toBe(true);
  for (const face of [0.21, 0.22, 0.23]) changeSite(sites, 'move', lower(face));
  expect(asked).toHaveLength(2);
  asked[1]!.answer();
  await tick();
  expect(asked).toHaveLength(3);
  expect(asked[2]!.question.tiers[1]!.lamps[0]!.emitters[0]!.z).toBeGreaterThan(0.225);
  asked[2]!.answer();
  await tick();
  expect(lights.getState()).toMatchObject({ status: 'ready', stale: false });
  stop();
});

test('while a hand moves a lamp, its tier alone is asked and put into what is known; the whole follows when it lets go', async () => {
  const sites = createSiteStore(demoSite('en-GB'));
  const [looks, lights, { asked, ask }] = [createBenchLookStore(), createBenchLightStore(), slowWorker()];
  const stop = followBench(sites, looks, lights, createChartStore(), ask);
  for (const i of [0, 1]) {
    asked[i]!.answer();
    await tick();
  }
  const tierId = sites.getState().site.stands[0]!.tiers[1]!.id;
  looks.setState({ handOn: tierId });
  changeSite(sites, 'move', lower(0.25));
  await tick();
  expect(asked[2]!.question.only).toBe(tierId);
  asked[2]!.answer();
  await tick();
  const light = lights.getState();
  expect(light.status === 'ready' && [light.stale, Object.keys(light.answer.tiers).length]).toEqual([true, 5]);
  looks.setState({ handOn: null });
  await tick();
  expect(asked[3]!.question.only).toBeNull();
  asked[3]!.fail();
  await tick();
  expect(lights.getState()).toEqual({ status: 'failed', reason: 'worker died' });
  stop();
});

test('a tier that stays as it was stays the same object, whatever happens to the others', () => {
  const site = demoSite('en-GB');
  const before = benchStandIn(site, site.stands[0]!);
  const moved = lower(0.26)(site);
  const after = benchStandIn(moved, moved.stands[0]!);
  expect(after.tiers.map((t, i) => t === before.tiers[i])).toEqual([true, false, true, true, true]);
  expect(benchStandIn(moved, moved.stands[0]!)).toBe(after);
});

test('a crop of one’s own that is changed is looked up anew, and nothing else is', () => {
  const own = copyOf(tables.crop('leek')!, 'own-leek', 'Our leek');
  const demo = keepCrop(own)(demoSite('en-GB'));
  const site: Site = { ...demo, batches: demo.batches.map((b) => (b.cropId === 'leek' ? { ...b, cropId: own.id } : b)) };
  const least = (s: Site) => benchStandIn(s, s.stands[0]!).tiers[0]!.trays[0]!.stage.dliMin;
  const before = least(site);
  expect(least(keepCrop({ ...own, stages: own.stages.map((x) => ({ ...x, dliMin: 1 })) })(site))).toBe(1);
  expect(before).toBe(8);
  expect(benchStandIn(site, site.stands[0]!)).toBe(benchStandIn(site, site.stands[0]!));
});

test('another stand is waited for, with nothing of the one before on the screen, and so is one that is gone', async () => {
  const demo = demoSite('en-GB');
  const sites = createSiteStore(demo);
  const [looks, lights, { asked, ask }] = [createBenchLookStore(), createBenchLightStore(), slowWorker()];
  const stop = followBench(sites, looks, lights, createChartStore(), ask);
  for (const i of [0, 1]) {
    asked[i]!.answer();
    await tick();
  }
  looks.setState({ standId: demo.stands[1]!.id });
  expect(lights.getState()).toEqual({ status: 'waiting' });
  asked.at(-1)!.fail();
  await tick();
  expect(lights.getState()).toEqual({ status: 'failed', reason: 'worker died' });
  // The next change asks again, from the beginning.
  changeSite(sites, 'rename', (s) => ({ ...s, stands: s.stands.map((x, i) => (i === 1 ? { ...x, name: 'Another' } : x)) }));
  expect(asked.at(-1)!.question.tiers).toHaveLength(demo.stands[1]!.tiers.length);
  asked.at(-1)!.answer();
  await tick();
  expect(lights.getState()).toMatchObject({ status: 'ready', of: { stand: { name: 'Another' } } });
  changeSite(sites, 'clear', (s) => ({ ...s, stands: [] }));
  await tick();
  expect(lights.getState()).toEqual({ status: 'waiting' });
  stop();
});
