import { imageSize } from 'image-size';
import { Unzip, UnzipInflate, UnzipPassThrough, Zip, ZipDeflate, ZipPassThrough, strFromU8, strToU8, type UnzipFile } from 'fflate';
import type { Site } from '../../core/site/stand/Site';
import { fail, ok, type Problem, type Result } from '../../core/units/result';
import { namedPhotos } from '../photos/namedPhotos';
import { photoProblem } from '../photos/photoProblem';
import { MOST_PHOTO_BYTES, type Photo, type Photos } from '../photos/photos';
import { exportSite } from './exportSite';
import { tablesCsv } from './tablesCsv';
import { MAX_BYTES, readSiteText } from './readSiteText';

/*
 * Everything in one file: a zip that any program opens. See docs/archive.md.
 *
 *     site.json               the site file, as it is exported by itself; first, so that nothing is kept before it is sound
 *     *.csv                   the same as tables: tiers, lamps hung, trays, batches, timers, readings, season, own lamps, prices,
 *                             clinic, trials, journal; for spreadsheets, not read back
 *     photos/<id>.jpg         each photo, and
 *     photos/<id>.thumb.jpg   the same, small
 */

const SITE = 'site.json';
const PHOTO = /^photos\/([A-Za-z0-9-]{1,80})(\.thumb)?\.jpg$/;
/** A photo as it is kept is smaller by far. */
const MOST_KEPT_BYTES = Math.min(MOST_PHOTO_BYTES, 8_000_000);
const MOST_FILES = 20_000;
/** Read and written in pieces, so that the page goes on in between. */
const PIECE = 1 << 20;

/** Lets the page draw. */
const breath = () => new Promise<void>((then) => setTimeout(then, 0));

const dated = new Date(2027, 0, 1); // the same content makes the same file

/** A file ready to be given away, and how many photos the browser could not read for it. */
export interface Packed {
  readonly file: Blob;
  readonly missing: number;
}

/** Writes a site and its photos. @param photos  null: without them @param told  how many photos of how many are in */
export async function writeArchive(
  site: Site,
  photos: Photos | null,
  told: (done: number, of: number) => void = () => {},
): Promise<Packed> {
  const zip = new Zip();
  let parts: BlobPart[] = [];
  let loose = 0;
  const done = new Promise<void>((resolve, reject) => {
    zip.ondata = (error, piece, isLast) => {
      if (error) return reject(error);
      parts.push(piece as Uint8Array<ArrayBuffer>);
      loose += piece.length;
      // Given to the browser as it grows: all at once would hold up the page at the end.
      if (loose > 16 * PIECE) [parts, loose] = [[new Blob(parts)], 0];
      if (isLast) resolve();
    };
  });
  const text = (name: string, content: string) => {
    const file = Object.assign(new ZipDeflate(name, { level: 6 }), { mtime: dated });
    zip.add(file);
    file.push(strToU8(content), true);
  };
  text(SITE, exportSite(site));
  await breath();
  for (const [name, table] of Object.entries(tablesCsv(site))) {
    text(name, table);
    await breath();
  }
  const ids = photos ? [...namedPhotos(site)] : [];
  let missing = 0;
  for (const [i, id] of ids.entries()) {
    const bytes = await bytesOf(photos!, id);
    if (!bytes) missing++;
    for (const [name, content] of Object.entries(bytes ?? {})) {
      const file = Object.assign(new ZipPassThrough(name), { mtime: dated });
      zip.add(file);
      file.push(content, true);
    }
    told(i + 1, ids.length);
  }
  zip.end();
  await done;
  return { file: new Blob(parts, { type: 'application/zip' }), missing };
}

/** A photo as files of the archive; read once more after a moment when the browser could not give it. Null: it is not to be had. */
async function bytesOf(photos: Photos, id: string): Promise<Record<string, Uint8Array> | null> {
  const read = async () => {
    const photo = await photos.get(id);
    if (!photo) return null;
    const [whole, thumb] = await Promise.all([photo.whole.arrayBuffer(), photo.thumb.arrayBuffer()]);
    return { [`photos/${id}.jpg`]: new Uint8Array(whole), [`photos/${id}.thumb.jpg`]: new Uint8Array(thumb) };
  };
  try {
    return await read();
  } catch {
    await new Promise((then) => setTimeout(then, 300));
    return read().catch(() => null);
  }
}

/** What an archive holds: the site, sound, and how many of its photos were taken in. */
export interface Unpacked {
  readonly site: Site;
  readonly photos: number;
}

const refused = (code: string, at: string, more: Partial<Problem> = {}) => ({ ok: false as const, problems: [{ code, at, ...more }] });

/**
 * Reads an archive. The site is read first and whole; only then photos that it names are kept, each held against what a picture may
 * be. Photos that are here already stay as they are.
 *
 * @returns why not: no archive of ours, a site that is not sound, or anything that unrolls beyond its limit
 */
export async function readArchive(file: Blob, photos: Pick<Photos, 'ids' | 'put'>): Promise<Result<Unpacked>> {
  const had = new Set(await photos.ids());
  const halves = new Map<string, { whole?: Uint8Array; thumb?: Uint8Array }>();
  const waiting: Photo[] = [];
  let site: Result<Site> | null = null;
  let named: ReadonlySet<string> = new Set();
  let problem: Result<never> | null = null;
  let files = 0;
  const stop = (code: string, at: string, more: Partial<Problem> = {}) => void (problem ??= refused(code, at, more));

  /** Gathers one file of the zip, up to a limit: what says it is small may still unroll to anything. */
  const gather = (entry: UnzipFile, most: number, taken: (bytes: Uint8Array) => void) => {
    const pieces: Uint8Array[] = [];
    let size = 0;
    entry.ondata = (error, piece, isLast) => {
      if (problem) return;
      if (error) return stop('archive/damaged', entry.name);
      size += piece.length;
      if (size > most) {
        entry.terminate();
        return stop('file/too-large', entry.name, { found: size, expected: String(most) });
      }
      pieces.push(piece);
      if (!isLast) return;
      const all = new Uint8Array(size);
      let at = 0;
      for (const p of pieces) {
        all.set(p, at);
        at += p.length;
      }
      taken(all);
    };
    entry.start();
  };

  const unzip = new Unzip((entry) => {
    if (problem) return;
    if (++files > MOST_FILES) return stop('archive/too-many', entry.name, { expected: String(MOST_FILES) });
    if (entry.name === SITE && site === null)
      return gather(entry, MAX_BYTES, (bytes) => {
        site = readSiteText(strFromU8(bytes));
        if (!site.ok) problem = site;
        else named = namedPhotos(site.value);
      });
    const match = PHOTO.exec(entry.name);
    if (!match) return; // other files may lie in it; nothing is done with them
    if (site === null) return stop('archive/site-not-first', entry.name);
    const [, id, thumb] = match;
    if (!named.has(id!) || had.has(id!)) return;
    gather(entry, MOST_KEPT_BYTES, (bytes) => {
      const wrong = photoProblem(bytes);
      if (wrong) return stop(wrong.code, entry.name);
      const half = { ...halves.get(id!), [thumb ? 'thumb' : 'whole']: bytes };
      halves.set(id!, half);
      if (!half.whole || !half.thumb) return;
      halves.delete(id!);
      const blob = (b: Uint8Array) => new Blob([b as Uint8Array<ArrayBuffer>], { type: 'image/jpeg' });
      const { width, height } = imageSize(half.whole);
      waiting.push({ id: id!, whole: blob(half.whole), thumb: blob(half.thumb), width, height, kept: new Date().toISOString() });
    });
  });
  unzip.register(UnzipInflate);
  unzip.register(UnzipPassThrough);

  let kept = 0;
  for (let from = 0; from < file.size || from === 0; from += PIECE) {
    const isLast = from + PIECE >= file.size;
    const bytes = new Uint8Array(await file.slice(from, from + PIECE).arrayBuffer());
    try {
      unzip.push(bytes, isLast);
    } catch {
      stop('archive/damaged', SITE);
    }
    if (problem) return problem;
    for (const photo of waiting.splice(0)) {
      await photos.put(photo);
      kept++;
    }
    if (isLast) break;
  }
  const read = site as Result<Site> | null;
  if (!read) return fail({ code: 'archive/foreign', at: SITE });
  return read.ok ? ok({ site: read.value, photos: kept }) : read;
}
