/** @jest-environment jsdom */
import '../../../test/indexedDb';
import localforage from 'localforage';
import { openDatabase } from './database';

beforeEach(() => localStorage.clear());

test('what was written is there for the next who opens it', async () => {
  await openDatabase().set('settings', { lengthUnit: 'in' });
  expect(await openDatabase().get('settings')).toEqual({ lengthUnit: 'in' });
});

test('what was written in a hurry is read first, until it is written in earnest', async () => {
  const database = openDatabase();
  await database.set('site', { n: 1 });
  expect(await database.get('site')).toEqual({ n: 1 });
  database.hurry('site', { n: 2 });
  await new Promise((r) => setTimeout(r, 20));
  // Another page, as after a reload.
  const next = openDatabase();
  expect(await next.get('site')).toEqual({ n: 2 });
  await next.set('site', { n: 3 });
  expect(await openDatabase().get('site')).toEqual({ n: 3 });
});

test('each kind is kept for itself', async () => {
  const database = openDatabase();
  await database.set('site', { n: 9 });
  database.hurry('settings', { theme: 'dark' });
  await new Promise((r) => setTimeout(r, 20));
  expect([await database.get('site'), await database.get('settings')]).toEqual([{ n: 9 }, { theme: 'dark' }]);
});

test('a copy of a hurry that comes back after a crash does not win over what was written since', async () => {
  const database = openDatabase();
  await database.get('site');
  database.hurry('site', { n: 1 });
  await new Promise((r) => setTimeout(r, 20));
  const left = { ...localStorage };
  const next = openDatabase();
  expect(await next.get('site')).toEqual({ n: 1 });
  await next.set('site', { n: 2 });
  // The browser was killed before it had let go of the old copy.
  for (const [key, value] of Object.entries(left)) localStorage.setItem(key, value as string);
  expect(await openDatabase().get('site')).toEqual({ n: 2 });
});

test('a write that was under way as the page went does not take the newer copy with it', async () => {
  const database = openDatabase();
  const slow = database.set('site', { n: 1 });
  database.hurry('site', { n: 2 });
  await slow;
  expect(await openDatabase().get('site')).toEqual({ n: 2 });
});

test('what was kept before writes were counted is read as it stands', async () => {
  const store = localforage.createInstance({ name: 'copper-noon', storeName: 'workspace' });
  await store.setItem('site', { format: 'copper-noon/site' });
  const database = openDatabase();
  expect(await database.get('site')).toEqual({ format: 'copper-noon/site' });
  await database.set('site', { n: 5 });
  expect(await openDatabase().get('site')).toEqual({ n: 5 });
});

test('a database that does not answer is an error, never an empty one', async () => {
  const get = jest.spyOn(IDBObjectStore.prototype, 'get').mockImplementation(() => {
    throw new DOMException('disk', 'UnknownError');
  });
  await expect(openDatabase().get('site')).rejects.toThrow();
  get.mockRestore();
});
