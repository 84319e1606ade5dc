/** @jest-environment jsdom */
import '../../test/indexedDb';
import localforage from 'localforage';
import { openDatabase } from './saved/database';
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

const later = (ms: number) => new Promise((then) => setTimeout(then, ms));
const until = async (done: () => boolean) => {
  for (let i = 0; i < 400 && !done(); i++) await later(10);
  expect(done()).toBe(true);
};
const untilKept = async (name: string) => {
  for (let i = 0; i < 400 && (await kept())?.stands[0]?.name !== name; i++) await later(10);
  expect((await kept())!.stands[0]!.name).toBe(name);
};
const ends: (() => void)[] = [];
/** A page that is opened: from here on it keeps what changes. */
async function opened(): Promise<Workspace> {
  const workspace = createWorkspace('en-GB');
  ends.push(workspace.start('demo'));
  await until(() => workspace.opening.getState().status !== 'opening');
  return workspace;
}
const names = (w: Workspace) => w.sites.getState().site.stands.map((s) => s.name);
const kept = () => openDatabase().get('site') as Promise<{ stands: { name: string }[] } | null>;
const rename = (w: Workspace, name: string) =>
  changeSite(w.sites, 'rename', (s) => ({ ...s, stands: s.stands.map((x, i) => (i === 0 ? { ...x, name } : x)) }));

beforeEach(async () => {
  localStorage.clear();
  await localforage.createInstance({ name: 'copper-noon', storeName: 'workspace' }).clear();
});
afterEach(() => {
  for (const end of ends.splice(0)) end();
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
  ends.pop()!();
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

test('a database that does not give out what it keeps is asked again, and then left alone', async () => {
  const first = await opened();
  rename(first, 'A whole season');
  await untilKept('A whole season');
  ends.pop()!();
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
  ends.pop()!();
  jest.spyOn(IDBObjectStore.prototype, 'get').mockImplementationOnce(() => {
    throw new DOMException('disk', 'UnknownError');
  });
  const second = await opened();
  expect(second.opening.getState()).toEqual({ status: 'open', notKept: null });
  expect(names(second)[0]).toBe('A whole season');
});

test('what can’t be read is shown with its reasons, and stays until the person begins anew', async () => {
  const odd = { format: 'copper-noon/site', version: 6, stands: 'none' };
  await openDatabase().set('site', odd);
  const w = await opened();
  const state = w.opening.getState();
  expect(state).toMatchObject({ status: 'unreadable', kept: odd });
  expect(state.status === 'unreadable' && state.problems.length).toBeGreaterThan(0);
  rename(w, 'Not yet');
  await later(600);
  expect(await kept()).toEqual(odd);
  w.beginAnew('demo');
  await untilKept(names(w)[0]!);
  expect((await kept())!.stands.map((s) => s.name)).toEqual(names(w));
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
