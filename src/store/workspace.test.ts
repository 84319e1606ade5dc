/** @jest-environment jsdom */
import '../../test/indexedDb';
import localforage from 'localforage';
import { until } from '../../test/until';
import { exportSite } from './files/exportSite';
import { openDatabase } from './database/database';
import { changeSite, undo } from './site/siteStore';
import { createWorkspace, type Workspace } from './workspace';

// What computes has tests of its own; here it never answers.
jest.mock('../workers/light/light.pool', () => {
  const never = () => new Promise(() => undefined);
  return {
    startLightPool: () => ({ lane: () => ({ answer: never, bench: never, profile: never, shares: never }), stop: () => undefined }),
  };
});
jest.mock('../workers/advice/advice.client', () => ({}));
jest.mock('../workers/readings/readings.client', () => ({}));
jest.mock('../workers/chart/chart.client', () => ({}));
const mockHangChart = jest.fn();
jest.mock('../workers/chart/chart.pool', () => ({
  startChartPool: () => ({ hangChart: (...asked: unknown[]) => mockHangChart(...asked) as unknown, stop: () => undefined }),
}));

const later = (ms: number) => new Promise((then) => setTimeout(then, ms));
const untilKept = async (name: string) => {
  await until(async () => (await kept())?.stands[0]?.name === name);
};
/** Waits until nobody writes any more: where two windows write each other's writes for ever, that never comes. */
async function untilAtRest(key: 'site' | 'settings') {
  const copy = async () => (await openDatabase().newest(key))!.copy;
  await until(async () => {
    const before = await copy();
    await later(900);
    return (await copy()) === before;
  });
}
const ends: (() => Promise<void>)[] = [];
/** A page that is opened: from here on it keeps what changes. */
async function opened(): Promise<Workspace> {
  const workspace = createWorkspace('en-GB');
  ends.push(workspace.start('demo'));
  await until(() => workspace.opening.getState().status !== 'opening');
  return workspace;
}
const names = (w: Workspace) => w.sites.getState().site.stands.map((s) => s.name);
/** The document that is written: older ones stood there by themselves. */
const kept = async () => {
  const value = (await openDatabase().newest('site'))?.value as { site?: { text: string } } | undefined;
  return (value?.site ? JSON.parse(value.site.text) : (value ?? null)) as { stands: { name: string }[] } | null;
};
const rename = (w: Workspace, name: string) =>
  changeSite(w.sites, 'rename', (s) => ({ ...s, stands: s.stands.map((x, i) => (i === 0 ? { ...x, name } : x)) }));

beforeEach(async () => {
  localStorage.clear();
  await localforage.createInstance({ name: 'copper-noon', storeName: 'workspace' }).clear();
  await localforage.createInstance({ name: 'copper-noon-snapshots', storeName: 'lines' }).clear();
});
afterEach(async () => {
  // What a test still writes must not be found by the next one.
  await Promise.all(ends.splice(0).map((end) => end()));
  jest.restoreAllMocks();
});

test('the first visit begins with a site and keeps it', async () => {
  const w = await opened();
  expect(w.opening.getState()).toEqual({ status: 'open', notKept: null });
  await untilKept(names(w)[0]!);
  expect((await kept())!.stands.map((s) => s.name)).toEqual(names(w));
});

test('what changes is there for the next page; undo does not reach behind its opening', async () => {
  const first = await opened();
  rename(first, 'Under the stairs');
  await untilKept('Under the stairs');
  await ends.pop()!();
  const second = await opened();
  expect(names(second)[0]).toBe('Under the stairs');
  undo(second.sites);
  expect(names(second)[0]).toBe('Under the stairs');
});

test('what was typed as the page goes is there for the next one', async () => {
  const first = await opened();
  rename(first, 'In haste');
  window.dispatchEvent(new Event('pagehide'));
  await later(20);
  expect(names(await opened())[0]).toBe('In haste');
});

test('what is undone while it is being written is not there for the next page', async () => {
  const first = await opened();
  rename(first, 'As it was');
  await untilKept('As it was');
  const put = IDBObjectStore.prototype.put;
  let undone = false;
  jest.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(function (this: IDBObjectStore, ...args) {
    if (!undone && names(first)[0] === 'A slip') {
      undone = true;
      undo(first.sites);
    }
    return put.apply(this, args);
  });
  rename(first, 'A slip');
  await until(() => undone);
  await ends.pop()!();
  expect((await kept())!.stands[0]!.name).toBe('As it was');
  expect(names(await opened())[0]).toBe('As it was');
});

test('a database that does not give out what it keeps is asked again, and then left alone', async () => {
  const first = await opened();
  rename(first, 'A whole season');
  await untilKept('A whole season');
  await ends.pop()!();
  const get = jest.spyOn(IDBObjectStore.prototype, 'get').mockImplementation(() => {
    throw new DOMException('disk', 'UnknownError');
  });
  const second = await opened();
  expect(second.opening.getState()).toMatchObject({ status: 'open', notKept: { what: 'reading' } });
  rename(second, 'Something else');
  window.dispatchEvent(new Event('pagehide'));
  await later(600);
  get.mockRestore();
  expect((await kept())!.stands[0]!.name).toBe('A whole season');
});

test('one failed read is no failure', async () => {
  const first = await opened();
  rename(first, 'A whole season');
  await untilKept('A whole season');
  await ends.pop()!();
  jest.spyOn(IDBObjectStore.prototype, 'get').mockImplementationOnce(() => {
    throw new DOMException('disk', 'UnknownError');
  });
  const second = await opened();
  expect(second.opening.getState()).toEqual({ status: 'open', notKept: null });
  expect(names(second)[0]).toBe('A whole season');
});

test('what can’t be read is shown with its reasons, and stays until the person begins anew', async () => {
  const odd = { format: 'copper-noon/site', version: 6, stands: 'none' };
  await openDatabase().set('site', { copy: 1, value: odd });
  const w = await opened();
  const state = w.opening.getState();
  expect(state).toMatchObject({ status: 'unreadable', whole: odd, sound: null });
  expect(state.status === 'unreadable' && state.problems.length).toBeGreaterThan(0);
  rename(w, 'Not yet');
  await later(600);
  expect(await kept()).toEqual(odd);
  await w.begin('anew');
  await untilKept(names(w)[0]!);
  expect((await kept())!.stands.map((s) => s.name)).toEqual(names(w));
  // It is put aside whole.
  expect((await w.database.asides()).map((a) => a.value)).toContainEqual(odd);
});

test('what is sound in what can’t be read is offered and opens', async () => {
  const first = await opened();
  await untilKept(names(first)[0]!);
  const all = names(first);
  await ends.pop()!();
  const copy = (await openDatabase().newest('site'))!;
  const broken = structuredClone(copy.value) as { site: { text: string } };
  const file = JSON.parse(broken.site.text) as { stands: { tiers: unknown[] }[] };
  file.stands[1]!.tiers = [];
  broken.site.text = JSON.stringify(file); // its seal is wrong now
  await openDatabase().set('site', { copy: copy.copy + 1, value: broken });
  const w = await opened();
  expect(w.opening.getState()).toMatchObject({ status: 'unreadable', sound: { leftOut: [{ at: 'stands[1].tiers' }] } });
  await w.begin('sound');
  expect(names(w)).toEqual(all.filter((_, i) => i !== 1));
  await until(() => w.lastSaved.getState().saved_ms !== null);
  await ends.pop()!();
  expect(names(await opened())).toEqual(all.filter((_, i) => i !== 1));
});

test('a change in one window is there in the others, and undo takes back only what was done here', async () => {
  const first = await opened();
  await untilKept(names(first)[0]!);
  const second = await opened();
  rename(first, 'From the first');
  await until(() => names(second)[0] === 'From the first');
  changeSite(second.sites, 'set the price', (s) => ({ ...s, price_per_kWh: 0.77 }));
  await until(() => first.sites.getState().site.price_per_kWh === 0.77);
  undo(first.sites);
  await until(() => names(second)[0] !== 'From the first');
  expect([first, second].map((w) => w.sites.getState().site.price_per_kWh)).toEqual([0.77, 0.77]);
  undo(second.sites);
  await until(() => first.sites.getState().site.price_per_kWh !== 0.77);
  // Nobody writes what the other has just written.
  await untilAtRest('site');
});

test('two windows that open at the same time, on nothing, end with one document that can be read', async () => {
  const [first, second] = await Promise.all([opened(), opened()]);
  const price = (w: Workspace) => w.sites.getState().site.price_per_kWh;
  for (let n = 1; n <= 4; n++) {
    const [from, to] = n % 2 === 0 ? [first, second] : [second, first];
    changeSite(from.sites, 'set the price', (s) => ({ ...s, price_per_kWh: n }));
    await until(() => price(to) === n);
  }
  for (const w of [first, second]) expect(w.opening.getState()).toEqual({ status: 'open', notKept: null });
  const readings = (w: Workspace) => w.sites.getState().site.stands.flatMap((s) => s.tiers.map((t) => t.readings.length));
  for (const end of ends.splice(0)) end();
  const third = await opened();
  expect([third.opening.getState().status, price(third), readings(third)]).toEqual(['open', 4, readings(first)]);
});

test('where both change the same, the later stands and the other can be had', async () => {
  const first = await opened();
  await untilKept(names(first)[0]!);
  const second = await opened();
  rename(first, 'One');
  rename(second, 'Two');
  await until(() => names(first)[0] === names(second)[0] && ['One', 'Two'].includes(names(first)[0]!));
  const told = [first, second].flatMap((w) => w.elsewhere.getState().told ?? []);
  expect(told).toHaveLength(1);
  const other = names(first)[0] === 'One' ? 'Two' : 'One';
  expect(told[0]).toMatchObject({ what: 'clashes', clashes: [{ mine: names(first)[0], theirs: other }] });
});

test('a backup is made of what there is, and holds all of it', async () => {
  const w = await opened();
  await untilKept(names(w)[0]!);
  await until(async () => (await w.snapshots.lines()).length > 0);
  const lines = await w.snapshots.lines();
  expect(lines[0]!.stands).toEqual(names(w));
  const read = await w.snapshots.read(lines[0]!.id);
  expect(read.ok && exportSite(read.value)).toBe(exportSite(w.sites.getState().site));
  expect(await w.snapshots.takeHourly(w.sites.getState().site)).toBe(false);
});

test('a write that fails is said, tried again, and said no longer once it is done', async () => {
  const w = await opened();
  await untilKept(names(w)[0]!);
  const put = jest.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(() => {
    throw new DOMException('full', 'QuotaExceededError');
  });
  rename(w, 'Once more');
  await until(() => (w.opening.getState() as { notKept?: unknown }).notKept !== null);
  expect(w.opening.getState()).toMatchObject({ notKept: { what: 'writing' } });
  put.mockRestore();
  await until(() => (w.opening.getState() as { notKept?: unknown }).notKept === null);
  await untilKept('Once more');
});

test.each([
  ['is asked not to clear it away', false, 1],
  ['that has promised so already is not asked again', true, 0],
])('once there is something worth it, the browser %s', async (_, promised, times) => {
  const persist = jest.fn(async () => true);
  Object.defineProperty(navigator, 'storage', { value: { persisted: async () => promised, persist }, configurable: true });
  const w = await opened();
  await untilKept(names(w)[0]!);
  expect(persist).not.toHaveBeenCalled();
  rename(w, 'Worth it');
  await untilKept('Worth it');
  rename(w, 'And once more');
  await untilKept('And once more');
  await later(50);
  expect(persist).toHaveBeenCalledTimes(times);
  Reflect.deleteProperty(navigator, 'storage');
});

test('how a person likes to see things is kept, is there in other windows, and in the next page even when this one goes at once', async () => {
  const first = await opened();
  const second = await opened();
  first.settings.setState({ lengthUnit: 'in' });
  await until(() => second.settings.getState().lengthUnit === 'in');
  second.settings.setState({ timerStep_min: 1 });
  await until(() => first.settings.getState().timerStep_min === 1);
  // Nobody writes what the other has just written.
  await untilAtRest('settings');
  first.settings.setState({ lengthUnit: 'cm' });
  window.dispatchEvent(new Event('pagehide'));
  await later(20);
  expect((await opened()).settings.getState()).toMatchObject({ lengthUnit: 'cm', timerStep_min: 1 });
});

test('a hang chart is worked out once: the same question is answered by what was kept, without light and without a worker', async () => {
  const w = await opened();
  const { site } = w.sites.getState();
  const asked = { site, standId: site.stands[0]!.id, from: 20_000, timerStep_min: 15 as const };
  const light = jest.fn(async () => ({ tiers: {} }));
  const chart = { standId: asked.standId, from: asked.from, visits: [] };
  mockHangChart.mockResolvedValue(chart);
  expect(await w.chartOf(asked, light)).toEqual(chart);
  expect(mockHangChart.mock.calls[0]!.slice(0, 2)).toEqual([asked, light]);
  // Keeping it takes a moment; from then on nobody works it out again.
  const asks = async (question: typeof asked) => {
    const before = mockHangChart.mock.calls.length;
    expect(await w.chartOf(question, light)).toEqual(chart);
    return mockHangChart.mock.calls.length - before;
  };
  await until(async () => (await asks(asked)) === 0);
  const lit = light.mock.calls.length;
  expect([await asks(asked), light.mock.calls.length - lit]).toEqual([0, 0]);
  expect(await asks({ ...asked, from: 20_001 })).toBe(1);
});

test('before it is open nothing is answered, and it says so', async () => {
  const w = createWorkspace('en-GB');
  const { site } = w.sites.getState();
  await expect(w.chartOf({ site, standId: 'x', from: 1, timerStep_min: 15 }, async () => ({ tiers: {} }))).rejects.toThrow('not open yet');
  await expect(w.lookAtSeason(site)).rejects.toThrow('not open yet');
});

test('a plain beginning has one set-up; the demo has its own', async () => {
  const plain = createWorkspace('en-GB');
  ends.push(plain.start('plain'));
  await until(() => plain.opening.getState().status === 'open');
  expect(names(plain)).toEqual(['First set-up']);
});
