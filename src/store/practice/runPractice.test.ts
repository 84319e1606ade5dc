/** @jest-environment jsdom */
import '../../../test/indexedDb';
import { answerBench } from '../../core/answer/bench/answerBench';
import { questionOfStand } from '../../core/answer/bench/questionOfStand';
import type { BenchStand } from '../../core/answer/stand/benchStand';
import { createCache } from '../../core/light/scene/Cache';
import { logIt } from '../../core/site/growth/changeGrowth';
import { dayFrom } from '../../core/units/day';
import { createDayStore } from '../day/dayStore';
import { changeSite, createSiteStore } from '../site/siteStore';
import { emptySite } from '../site/newSite';
import { clearPractice, practised } from './practised';
import { createPractice } from './practiceStore';
import type { PracticeHouse } from './Practice';

const TODAY = dayFrom(2026, 11, 29);
const AWAY: PracticeHouse = { kind: 'practice', exerciseId: 'away', seed: 5 };
const BULB: PracticeHouse = { kind: 'practice', exerciseId: 'one-bulb', seed: 5 };

beforeEach(() => clearPractice());

async function opened(house: PracticeHouse, today = TODAY) {
  const sites = createSiteStore(emptySite('en-GB'));
  const days = createDayStore();
  const cache = createCache();
  let broken = false;
  const lightOfStand = async (stand: BenchStand) => {
    if (broken) throw new Error('worker died');
    return answerBench({ ...questionOfStand(stand, null), cell: 0.04 }, cache);
  };
  const practice = createPractice(house, { sites, days, lightOfStand });
  const run = (await practice.open(today))!;
  // As the workspace does for a first visit.
  sites.setState({ site: run.start.site });
  return { practice, sites, days, run, breakIt: (is: boolean) => (broken = is) };
}
const runOf = ({ practice }: Awaited<ReturnType<typeof opened>>) => practice.runs.getState().run!;
const logOf = ({ sites }: Awaited<ReturnType<typeof opened>>) => sites.getState().site.batches.flatMap((b) => b.log);

test('days pass one after the other; who comes by writes down how tall it is, once for each day', async () => {
  const it = await opened(BULB);
  await it.practice.pass(2);
  const { session, passing, trouble } = runOf(it);
  expect([session.today, passing, trouble]).toEqual([TODAY + 2, null, null]);
  expect(it.days.getState().today).toBe(TODAY + 2);
  const heights = logOf(it).filter((l) => l.what === 'height');
  expect(heights.map((l) => l.day)).toEqual([TODAY + 1, TODAY + 2]);
  for (const { height } of heights) expect(height! * 1000).toBeCloseTo(Math.round(height! * 1000), 9);
  expect(session.clockSet).toBe(TODAY);
  await it.practice.setClock();
  expect(runOf(it).session.clockSet).toBe(TODAY + 2);
});

test('seedlings that come up while one is there are written down as up, once; while one is away nothing is', async () => {
  const it = await opened(AWAY);
  const { exercise } = it.run;
  // What else was written down does not count as coming up.
  const note = { id: 'note', day: TODAY, what: 'note', text: 'sown', height: null, stage: null } as const;
  for (const { id } of it.sites.getState().site.batches) changeSite(it.sites, 'note', logIt(id, note));
  await it.practice.pass(exercise.days);
  const log = logOf(it);
  const first = Math.min(...log.filter((l) => l.what === 'height').map((l) => l.day));
  const up = log.filter((l) => l.what === 'emerged');
  expect(up).toHaveLength(1);
  expect(up[0]!.day).toBeLessThanOrEqual(first);
  const looked = log.filter((l) => l.what === 'height').map((l) => l.day - TODAY);
  expect(looked).not.toEqual([]);
  for (const day of looked) expect([day, day < exercise.awayFrom! || day >= exercise.days]).toEqual([day, true]);
});

test('an exercise goes on where it was left, another one begins from its own start', async () => {
  const first = await opened(BULB);
  await first.practice.pass(1);
  const again = await opened(BULB, TODAY + 30);
  expect(again.run.session).toEqual(runOf(first).session);
  const other = await opened({ ...BULB, seed: 6 }, TODAY + 30);
  expect([other.run.session.today, other.run.session.seed]).toEqual([TODAY + 30, 6]);
});

test('a day whose light cannot be worked out does not pass, and it says why; the next try goes on', async () => {
  const it = await opened(BULB);
  it.breakIt(true);
  await it.practice.pass(3);
  expect(runOf(it)).toMatchObject({ passing: null, trouble: 'worker died', session: { today: TODAY } });
  expect(logOf(it)).toHaveLength(it.run.start.site.batches.flatMap((b) => b.log).length);
  it.breakIt(false);
  await it.practice.pass(1);
  expect(runOf(it)).toMatchObject({ trouble: null, session: { today: TODAY + 1 } });
});

test('after the last day nothing passes any more, and how it came out is kept', async () => {
  const it = await opened(BULB);
  const before = (await practised()).length;
  await it.practice.pass(it.run.exercise.days + 5);
  const { session } = runOf(it);
  expect([session.ended, session.today]).toEqual([true, TODAY + it.run.exercise.days]);
  const results = await practised();
  expect(results).toHaveLength(before + 1);
  expect(results.at(-1)).toMatchObject({ exerciseId: 'one-bulb', seed: 5 });
  await it.practice.pass(1);
  await it.practice.setClock();
  expect(runOf(it).session).toEqual(session);
});

test('beside an exercise there is no practice', async () => {
  const sites = createSiteStore(emptySite('en-GB'));
  const practice = createPractice({ kind: 'own' }, { sites, days: createDayStore(), lightOfStand: () => Promise.reject(new Error('no')) });
  expect(await practice.open(TODAY)).toBeNull();
  await practice.pass(1);
  await practice.setClock();
  expect(practice.runs.getState().run).toBeNull();
});
