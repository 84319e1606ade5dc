/** @jest-environment jsdom */
import '../../../test/indexedDb';
import localforage from 'localforage';
import { until } from '../../../test/until';
import { openDatabase } from './database';

beforeEach(() => localStorage.clear());
const settled = () => new Promise((r) => setTimeout(r, 20));
const of = (n: number, copy: number) => ({ copy, value: { n } });

test('what was written is there for the next who opens it, with its number', async () => {
  await openDatabase().set('settings', { copy: 3, value: { lengthUnit: 'in' } });
  expect(await openDatabase().newest('settings')).toEqual({ copy: 3, value: { lengthUnit: 'in' } });
  expect(await openDatabase().lastCopy('settings')).toBe(3);
});

test('what was written in a hurry is read first, until it is written in earnest', async () => {
  const database = openDatabase();
  await database.set('site', of(1, 1));
  expect(await database.newest('site')).toEqual(of(1, 1));
  database.hurry('site', of(2, 3));
  await settled();
  // Another page, as after a reload.
  const next = openDatabase();
  expect(await next.newest('site')).toEqual(of(2, 3));
  await next.set('site', of(3, 4));
  expect(await openDatabase().newest('site')).toEqual(of(3, 4));
  expect(Object.keys(localStorage).filter((k) => k.endsWith('/site'))).toEqual([]);
});

test('each kind is kept for itself', async () => {
  const database = openDatabase();
  await database.set('site', of(9, 20));
  database.hurry('settings', { copy: 21, value: { theme: 'dark' } });
  await settled();
  expect([await database.newest('site'), await database.newest('settings')]).toEqual([of(9, 20), { copy: 21, value: { theme: 'dark' } }]);
});

test('a copy of a hurry that comes back after a crash does not win over what was written since', async () => {
  const database = openDatabase();
  database.hurry('site', of(1, 30));
  await settled();
  const left = { ...localStorage };
  const next = openDatabase();
  expect(await next.newest('site')).toEqual(of(1, 30));
  await next.set('site', of(2, 31));
  // The browser was killed before it had let go of the old copy.
  for (const [key, value] of Object.entries(left)) localStorage.setItem(key, value as string);
  expect(await openDatabase().newest('site')).toEqual(of(2, 31));
});

test('a write that was under way as the page went does not take the newer copy with it', async () => {
  const database = openDatabase();
  const slow = database.set('site', of(1, 40));
  database.hurry('site', of(2, 41));
  await slow;
  expect(await openDatabase().newest('site')).toEqual(of(2, 41));
});

test('what was kept before writes were counted is read as it stands', async () => {
  const store = localforage.createInstance({ name: 'copper-noon', storeName: 'workspace' });
  await store.setItem('site', { format: 'copper-noon/site' });
  const database = openDatabase();
  expect(await database.newest('site')).toEqual({ copy: 0, value: { format: 'copper-noon/site' } });
  await database.set('site', of(5, 1));
  expect(await openDatabase().newest('site')).toEqual(of(5, 1));
});

test('a database that does not answer is an error, never an empty one', async () => {
  const get = jest.spyOn(IDBObjectStore.prototype, 'get').mockImplementation(() => {
    throw new DOMException('disk', 'UnknownError');
  });
  await expect(openDatabase().newest('site')).rejects.toThrow();
  get.mockRestore();
});

test('windows hear of each other\u2019s writes, not of their own, and of what one writes as it goes', async () => {
  const [a, b] = [openDatabase(), openDatabase()];
  const heard: string[] = [];
  const ends = [a.onTold((key) => heard.push(`a ${key}`)), b.onTold((key) => heard.push(`b ${key}`))];
  a.tell('settings');
  await until(() => heard.length > 0);
  expect(heard).toEqual(['b settings']);
  window.dispatchEvent(new StorageEvent('storage', { key: 'copper-noon/hurried/site', newValue: '{}' }));
  window.dispatchEvent(new StorageEvent('storage', { key: 'copper-noon/hurried/site', newValue: null }));
  window.dispatchEvent(new StorageEvent('storage', { key: 'another', newValue: '{}' }));
  expect(heard.slice(1).sort()).toEqual(['a site', 'b site']);
  ends.forEach((end) => end());
});

test('what was put aside is there whole until it is dropped', async () => {
  const database = openDatabase();
  await database.putAside({ odd: true });
  const [found] = await database.asides();
  expect(found!.value).toEqual({ odd: true });
  expect(Date.parse(found!.at)).toBeLessThanOrEqual(Date.now());
  await database.dropAside(found!.at);
  expect(await database.asides()).toEqual([]);
});

test('where there are locks two windows write one after the other, where there are none at once', async () => {
  const waiting: (() => void)[] = [];
  const request = jest.fn(async (_name: string, work: () => Promise<unknown>) => {
    await new Promise<void>((resolve) => waiting.push(resolve));
    return work();
  });
  Object.defineProperty(navigator, 'locks', { value: { request }, configurable: true });
  const work = jest.fn(() => Promise.resolve(7));
  const locked = openDatabase().alone(work);
  await settled();
  expect(work).not.toHaveBeenCalled();
  expect(request.mock.calls[0]![0]).toBe('copper-noon');
  waiting[0]!();
  expect(await locked).toBe(7);
  Object.defineProperty(navigator, 'locks', { value: undefined, configurable: true });
  expect(await openDatabase().alone(work)).toBe(7);
  expect(request).toHaveBeenCalledTimes(1);
});
