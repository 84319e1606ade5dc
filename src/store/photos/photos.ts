import localforage from 'localforage';
import { fail, ok, type Result } from '../../core/units/result';
import { NAME } from '../house/house';
import { newId } from '../names/newId';

/** A photo as it is kept: made smaller, without what the camera wrote into it. */
export interface Photo {
  readonly id: string;
  readonly whole: Blob;
  /** For strips and lists. */
  readonly thumb: Blob;
  readonly width: number;
  readonly height: number;
  /** ISO, when it was put here. */
  readonly kept: string;
}

/** The photos of this browser: blobs beside the document, named by its entries. No picture leaves the device. */
export interface Photos {
  /** Makes a picture smaller and keeps it. Refused by name: no picture (by its content), too many bytes or pixels, or none that can be drawn. */
  add(file: Blob): Promise<Result<Photo>>;
  /** Keeps one that comes out of an archive, under its name. */
  put(photo: Photo): Promise<void>;
  get(id: string): Promise<Photo | null>;
  ids(): Promise<readonly string[]>;
  drop(ids: readonly string[]): Promise<void>;
}

/** Larger files are not read at all. */
export const MOST_PHOTO_BYTES = 40_000_000;
const LONGEST_SIDE = 1600;
const THUMB_SIDE = 240;
const QUALITY = 0.82;
export function openPhotos(house = NAME): Photos {
  const wholes = localforage.createInstance({ name: `${house}-photos`, storeName: 'photos' });
  return {
    async add(file) {
      if (file.size > MOST_PHOTO_BYTES) return fail({ code: 'photo/too-large', at: 'photo', expected: String(MOST_PHOTO_BYTES / 1e6) });
      // What knows pictures by their bytes comes with the first of them.
      const { photoProblem } = await import('./photoProblem');
      const problem = photoProblem(new Uint8Array(await file.arrayBuffer()));
      if (problem) return fail({ at: 'photo', ...problem });
      let bitmap: ImageBitmap;
      try {
        bitmap = await createImageBitmap(file);
      } catch {
        return fail({ code: 'photo/damaged', at: 'photo' });
      }
      const [width, height] = within(bitmap.width, bitmap.height, LONGEST_SIDE);
      const [whole, thumb] = await Promise.all([drawn(bitmap, LONGEST_SIDE), drawn(bitmap, THUMB_SIDE)]);
      bitmap.close();
      const photo: Photo = { id: newId(), whole, thumb, width, height, kept: new Date().toISOString() };
      await wholes.setItem(photo.id, photo);
      return ok(photo);
    },
    put: async (photo) => void (await wholes.setItem(photo.id, photo)),
    get: (id) => wholes.getItem<Photo>(id),
    ids: () => wholes.keys(),
    drop: async (ids) => void (await Promise.all(ids.map((id) => wholes.removeItem(id)))),
  };
}

/** A size that fits, never larger than it was. */
function within(width: number, height: number, side: number): [number, number] {
  const by = Math.min(1, side / Math.max(width, height));
  return [Math.max(1, Math.round(width * by)), Math.max(1, Math.round(height * by))];
}

async function drawn(bitmap: ImageBitmap, side: number): Promise<Blob> {
  const [width, height] = within(bitmap.width, bitmap.height, side);
  const canvas = new OffscreenCanvas(width, height);
  canvas.getContext('2d')!.drawImage(bitmap, 0, 0, width, height);
  return canvas.convertToBlob({ type: 'image/jpeg', quality: QUALITY });
}
