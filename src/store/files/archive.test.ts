/** @jest-environment jsdom */
import '../../../test/indexedDb';
import 'reflect-metadata';
import { strToU8, zipSync } from 'fflate';
import { Blob as NodeBlob } from 'node:buffer';
import { logIt } from '../../core/site/growth/changeGrowth';
import { dayFrom } from '../../core/units/day';
import type { Photo, Photos } from '../photos/photos';
import { demoSite } from '../site/demoSite';
import { readArchive, writeArchive } from './archive';
import { exportSite } from './exportSite';

// jsdom's own Blob gives its bytes to nobody.
Object.assign(globalThis, { Blob: NodeBlob });

const word = (n: number) => [(n >>> 24) & 255, (n >>> 16) & 255, (n >>> 8) & 255, n & 255];
const text = (s: string) => [...s].map((c) => c.charCodeAt(0));
const picture = (width: number, height: number) =>
  Uint8Array.from([0x89, ...text('PNG'), 13, 10, 26, 10, ...word(13), ...text('IHDR'), ...word(width), ...word(height), 8, 6, 0, 0, 0]);

function memory(): Photos & { readonly all: Map<string, Photo> } {
  const all = new Map<string, Photo>();
  return {
    all,
    add: () => Promise.reject(new Error('not asked for')),
    put: (p) => Promise.resolve(void all.set(p.id, p)),
    get: (id) => Promise.resolve(all.get(id) ?? null),
    ids: () => Promise.resolve([...all.keys()]),
    drop: () => Promise.resolve(),
  };
}
const day = dayFrom(2027, 2, 9);
const base = demoSite('en-GB', null);
const site = ['a1', 'a2'].reduce(
  (s, photoId) => logIt(s.batches[0]!.id, { id: photoId, day, what: 'photo', height: null, stage: null, photoId })(s),
  base,
);
const kept = (id: string, width: number): Photo => ({
  id,
  whole: new Blob([picture(width, 600)]),
  thumb: new Blob([picture(8, 6)]),
  width,
  height: 600,
  kept: '2027-02-09T10:00:00Z',
});
const codeOf = async (file: Uint8Array, photos = memory()) => {
  const read = await readArchive(new Blob([file as Uint8Array<ArrayBuffer>]), photos);
  return read.ok ? null : read.problems[0]!.code;
};

test('everything goes out into one file and comes in again, photos and all; what is here already stays', async () => {
  const from = memory();
  await from.put(kept('a1', 800));
  await from.put(kept('a2', 640));
  await from.put(kept('of-nobody', 9));
  const told: number[] = [];
  const { file, missing } = await writeArchive(site, from, (done) => told.push(done));
  expect(missing).toBe(0);
  expect(told).toEqual([1, 2]);
  const to = memory();
  await to.put(kept('a2', 1));
  const read = await readArchive(file, to);
  if (!read.ok) throw new Error(JSON.stringify(read.problems));
  expect(read.value.site).toEqual(site);
  expect(read.value.photos).toBe(1);
  expect([...to.all].map(([id, p]) => [id, p.width])).toEqual([['a2', 1], ['a1', 800]]); // prettier-ignore
});

test('a photo that cannot be read is tried again, then left out and counted: the rest goes out', async () => {
  const from = memory();
  await from.put(kept('a1', 800));
  await from.put(kept('a2', 640));
  let failures = 1;
  const shaky = {
    ...from,
    get: (id: string) => (id === 'a1' && failures-- > 0 ? Promise.reject(new Error('not readable')) : from.get(id)),
  };
  expect((await writeArchive(site, shaky)).missing).toBe(0);
  failures = 2;
  const { file, missing } = await writeArchive(site, shaky);
  expect(missing).toBe(1);
  const to = memory();
  expect((await readArchive(file, to)).ok).toBe(true);
  expect([...to.all.keys()]).toEqual(['a2']);
});

test('what is no archive of ours, or is cut short, is refused by name', async () => {
  expect(await codeOf(strToU8('no zip at all'))).toBe('archive/foreign');
  expect(await codeOf(zipSync({ 'other.txt': strToU8('x') }))).toBe('archive/foreign');
  expect(await codeOf(zipSync({ 'site.json': strToU8('{') }))).toBe('file/not-json');
  const whole = zipSync({ 'site.json': strToU8(exportSite(site)) });
  expect(await codeOf(whole.slice(0, 2000))).not.toBeNull();
});

test('nothing is kept before the site is sound, and only what it names and what is a picture', async () => {
  const photo = picture(10, 10);
  const first = memory();
  expect(await codeOf(zipSync({ 'photos/a1.jpg': photo, 'site.json': strToU8(exportSite(site)) }), first)).toBe('archive/site-not-first');
  expect(first.all.size).toBe(0);
  const hostile = memory();
  const files = { 'site.json': strToU8(exportSite(site)), 'photos/a1.jpg': strToU8('<script>'), 'photos/a1.thumb.jpg': photo };
  expect(await codeOf(zipSync(files), hostile)).toBe('photo/no-picture');
  expect(hostile.all.size).toBe(0);
  const other = memory();
  const unnamed = { 'site.json': strToU8(exportSite(site)), 'photos/zz.jpg': photo, 'photos/zz.thumb.jpg': photo, '../evil.jpg': photo };
  expect(await codeOf(zipSync(unnamed), other)).toBeNull();
  expect(other.all.size).toBe(0);
});

test('a file that unrolls beyond its limit is stopped on the way', async () => {
  const bomb = zipSync({ 'site.json': new Uint8Array(60_000_000) }, { level: 9 });
  expect(bomb.length).toBeLessThan(200_000);
  expect(await codeOf(bomb)).toBe('file/too-large');
  const pictures = { 'site.json': strToU8(exportSite(site)), 'photos/a1.jpg': new Uint8Array(9_000_000) };
  expect(await codeOf(zipSync(pictures, { level: 9 }))).toBe('file/too-large');
});
