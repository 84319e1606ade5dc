import type { LightAnswer, LightQuestion } from '../../core/answer/check/LightQuestion';
import { answerLight } from '../../core/answer/check/answerLight';
import { demoSite } from '../site/demoSite';
import { changeSite, createSiteStore } from '../site/siteStore';
import { setDistance, setHours } from '../site/setUpVerbs';
import { followSetUp } from './followSetUp';
import { createLightStore } from './lightStore';

/** A worker answered by hand. */
function byHand() {
  const asked: { question: LightQuestion; answer(): void; fail(): void }[] = [];
  return {
    asked,
    answer: (question: LightQuestion) =>
      new Promise<LightAnswer>((resolve, reject) =>
        asked.push({
          question,
          answer: () => resolve(answerLight({ ...question, cell: 0.05, sliceCell: 0.05 })),
          fail: () => reject(new Error('died')),
        }),
      ),
  };
}
const quiet = () => new Promise((done) => setTimeout(done));

test('ten moves ask twice: the first and the last', async () => {
  const sites = createSiteStore(demoSite('en-GB'));
  const lights = createLightStore();
  const worker = byHand();
  const stop = followSetUp(sites, lights, worker);
  for (let i = 0; i < 10; i++) changeSite(sites, 'move', setDistance('demo-celery', 0.2 + i / 100));
  worker.asked[0]!.answer();
  await quiet();
  expect(worker.asked).toHaveLength(2);
  worker.asked[1]!.answer();
  await quiet();
  const state = lights.getState();
  expect(state.status === 'ready' && state.of.distance).toBeWithin(0.29, { relative: 1e-9 });
  stop();
});

test('other hours do not ask for the light again', async () => {
  const sites = createSiteStore(demoSite('en-GB'));
  const lights = createLightStore();
  const worker = byHand();
  const stop = followSetUp(sites, lights, worker);
  worker.asked[0]!.answer();
  await quiet();
  changeSite(sites, 'hours', setHours('demo-celery', 0, 600));
  await quiet();
  expect(worker.asked).toHaveLength(1);
  const state = lights.getState();
  expect(state.status === 'ready' && state.of.hours).toBe(10);
  stop();
});

test('a dead worker is said, and nothing is written after the end', async () => {
  const sites = createSiteStore(demoSite('en-GB'));
  const lights = createLightStore();
  const worker = byHand();
  const stop = followSetUp(sites, lights, worker);
  worker.asked[0]!.fail();
  await quiet();
  expect(lights.getState()).toEqual({ status: 'failed', reason: 'died' });
  changeSite(sites, 'move', setDistance('demo-celery', 0.3));
  stop();
  worker.asked[1]!.answer();
  await quiet();
  expect(lights.getState().status).toBe('failed');
});
