/** @jest-environment jsdom */
import '../../../test/indexedDb';
import { photoProblem } from './photoProblem';
import { openPhotos, type Photo } from './photos';

const bytes = (...list: number[]) => Uint8Array.from(list);
const text = (s: string) => [...s].map((c) => c.charCodeAt(0));
const word = (n: number) => [(n >>> 24) & 255, (n >>> 16) & 255, (n >>> 8) & 255, n & 255];
const png = (width: number, height: number) =>
  bytes(0x89, ...text('PNG'), 13, 10, 26, 10, ...word(13), ...text('IHDR'), ...word(width), ...word(height), 8, 6, 0, 0, 0);

test('pictures are known by their content, not by their name', () => {
  expect(photoProblem(png(800, 600))).toBeNull();
  expect(photoProblem(bytes(...text('<svg xmlns="http://www.w3.org/2000/svg" width="1" height="1"/>')))).toMatchObject({
    code: 'photo/no-picture',
  });
  expect(photoProblem(bytes(...text('GIF89a'), 1, 0, 1, 0))).toMatchObject({ code: 'photo/no-picture' });
  expect(photoProblem(bytes(...text('hello, this is no picture at all')))).toMatchObject({ code: 'photo/no-picture' });
  expect(photoProblem(bytes())).toMatchObject({ code: 'photo/no-picture' });
});

test('a picture that would unroll beyond all memory is refused before it is drawn', () => {
  expect(photoProblem(png(60_000, 60_000))).toEqual({ code: 'photo/too-many-pixels', found: '60000 × 60000' });
});

test('what is kept is there again by its name, and gone when it is dropped', async () => {
  const photos = openPhotos();
  const blob = new Blob(['x'], { type: 'image/jpeg' });
  const photo: Photo = { id: 'p1', whole: blob, thumb: blob, width: 3, height: 2, kept: '2027-03-10T10:00:00.000Z' };
  await photos.put(photo);
  expect((await photos.get('p1'))?.width).toBe(3);
  expect(await photos.ids()).toEqual(['p1']);
  await photos.drop(['p1']);
  expect(await photos.get('p1')).toBeNull();
});

test('a file that is far too large, or no picture, is refused by name', async () => {
  const photos = openPhotos();
  const huge = { size: 41_000_000 } as Blob;
  expect(await photos.add(huge)).toMatchObject({ ok: false, problems: [{ code: 'photo/too-large' }] });
  const none = { size: 4, arrayBuffer: () => Promise.resolve(bytes(...text('nope')).buffer) } as unknown as Blob;
  expect(await photos.add(none)).toMatchObject({ ok: false, problems: [{ code: 'photo/no-picture' }] });
});
