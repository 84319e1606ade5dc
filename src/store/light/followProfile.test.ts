import type { Profile, ProfileQuestion } from '../../core/answer/solve/Profile';
import { demoSite } from '../site/demoSite';
import { changeSite, createSiteStore, showStand } from '../site/siteStore';
import { setDistance, setHours, setTrayBlock } from '../site/setUpVerbs';
import { followProfile } from './followProfile';
import { createProfileStore } from './profileStore';

/** A worker answered by hand. */
function byHand() {
  const asked: { question: ProfileQuestion; answer(profile: Profile): void; fail(): void }[] = [];
  const profile = (question: ProfileQuestion) =>
    new Promise<Profile>((resolve, reject) => asked.push({ question, answer: resolve, fail: () => reject(new Error('died')) }));
  return { asked, profile };
}
const quiet = () => new Promise((done) => setTimeout(done));
const inRow = (across: number) => ({ across, deep: 1, turned: false });
const found = (distance: number): Profile => [{ distance } as Profile[number]];

function following() {
  const sites = createSiteStore(demoSite('en-GB'));
  const profiles = createProfileStore();
  const worker = byHand();
  return { sites, profiles, worker, stop: followProfile(sites, profiles, worker) };
}

test('the light at all distances is asked once, whatever distance and hours are set meanwhile', async () => {
  const { sites, profiles, worker, stop } = following();
  expect(worker.asked).toHaveLength(1);
  worker.asked[0]!.answer(found(0.1));
  await quiet();
  expect(profiles.getState().profile).toEqual(found(0.1));
  changeSite(sites, 'move', setDistance('demo-celery', 0.3));
  changeSite(sites, 'hours', setHours('demo-celery', 0, 600));
  await quiet();
  expect(worker.asked).toHaveLength(1);
  expect(profiles.getState().profile).toEqual(found(0.1));
  stop();
});

test('other trays are another question; ten changes in a row ask for the first and the last of them', async () => {
  const { sites, profiles, worker, stop } = following();
  for (const n of [1, 2, 3, 1, 2, 3, 1, 2, 3, 1]) changeSite(sites, 'trays', setTrayBlock('demo-celery', inRow(n)));
  expect(worker.asked).toHaveLength(1);
  worker.asked[0]!.answer(found(0.1));
  await quiet();
  expect(worker.asked).toHaveLength(2);
  // What was answered is of trays that stand there no more.
  expect(profiles.getState().profile).toBeNull();
  expect(worker.asked[1]!.question.plantAreas).toHaveLength(1);
  worker.asked[1]!.answer(found(0.2));
  await quiet();
  expect(worker.asked).toHaveLength(2);
  expect(profiles.getState().profile).toEqual(found(0.2));
  stop();
});

test('another set-up is asked for when it is chosen', async () => {
  const { sites, worker, stop } = following();
  worker.asked[0]!.answer(found(0.1));
  await quiet();
  showStand(sites, 'demo-leek');
  await quiet();
  expect(worker.asked).toHaveLength(2);
  expect(worker.asked[1]!.question.emitters).not.toEqual(worker.asked[0]!.question.emitters);
  stop();
});

test('a question over which the worker died is asked again with the next change; after the end nothing is written', async () => {
  const { sites, profiles, worker, stop } = following();
  worker.asked[0]!.fail();
  await quiet();
  expect(profiles.getState().profile).toBeNull();
  changeSite(sites, 'move', setDistance('demo-celery', 0.31));
  await quiet();
  expect(worker.asked).toHaveLength(2);
  stop();
  worker.asked[1]!.answer(found(0.4));
  await quiet();
  expect(profiles.getState().profile).toBeNull();
  changeSite(sites, 'trays', setTrayBlock('demo-celery', inRow(3)));
  expect(worker.asked).toHaveLength(2);
});

test('where no set-up is nothing is asked, and nothing goes wrong', async () => {
  const bare = { ...demoSite('en-GB'), stands: [] };
  const worker = byHand();
  const stop = followProfile(createSiteStore(bare), createProfileStore(), worker);
  await quiet();
  expect(worker.asked).toEqual([]);
  stop();
});
