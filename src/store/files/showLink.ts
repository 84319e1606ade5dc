import { deflateSync, Inflate, strFromU8, strToU8 } from 'fflate';
import { radiansOf } from '../../core/sky/place/readCoordinate';
import type { Site } from '../../core/site/stand/Site';
import { fail, ok, type Result } from '../../core/units/result';
import { exportSite } from './exportSite';
import { readSiteText } from './readSiteText';

/** Browsers and messengers take addresses of such a length; longer ones are cut without a word. */
const LONGEST = 30_000;
/** What a link may unroll to. */
const MOST_BYTES = 2_000_000;

/** So many readings of a tier go with it: what the lamps were found to give rests on them. */
const MOST_READINGS_SHOWN = 30;

/** A place to a tenth of a degree: daylight is the same, the street is not told. */
const nearby = (angle: number): number => radiansOf(Math.round((angle * 1800) / Math.PI) / 10);

/** What is nobody else's business, or too much for an address. */
const toShow = (site: Site): Site => ({
  ...site,
  batches: site.batches.map((b) => ({ ...b, log: b.log.filter((l) => ['emerged', 'height', 'stage', 'true-leaves', 'potted-on'].includes(l.what)).slice(-20).map(({ id, day, what, height, stage }) => ({ id, day, what, height, stage })) })), // prettier-ignore
  stands: site.stands.map((s) => ({
    ...s,
    chart: null,
    calendar: null,
    tiers: s.tiers.map((t) => ({ ...t, readings: t.readings.slice(-MOST_READINGS_SHOWN) })),
  })),
  season: null,
  clinic: [],
  trials: [],
  earlier: [],
  safety: [],
  jobMarks: [],
  lampPrices: [],
  cropNotes: [],
  bands: [],
  spares: [],
  // As far as they are dimmed, faded or measured they belong to the light; the rest is the household's.
  ownLamps: site.ownLamps.map((own) => ({ ...own, name: '', bought: null, paid: null, noise: null, fault: '' })),
  meters: [],
  place: site.windows.length > 0 && site.place ? { latitude: nearby(site.place.latitude), longitude: nearby(site.place.longitude) } : null,
});

/**
 * A link to one stand. All of it is in the part of the address after `#`, which no browser sends to a server; the journal, readings,
 * prices and the rest of the household are left out.
 */
export function linkOf(site: Site, standId: string, origin: string): Result<string> {
  const text = JSON.stringify(JSON.parse(exportSite(toShow(site), [standId])));
  const packed = deflateSync(strToU8(text), { level: 9 });
  const link = `${origin}/show#1.${toBase64Url(packed)}`;
  return link.length <= LONGEST ? ok(link) : fail({ code: 'link/too-long', at: '', found: link.length, expected: String(LONGEST) });
}

/** Reads what a link holds, as suspiciously as a file. @param hash  with or without its `#` */
export function readLink(hash: string): Result<Site> {
  const match = /^#?1\.([A-Za-z0-9_-]+)$/.exec(hash);
  if (!match) return fail({ code: 'link/not-ours', at: '' });
  if (hash.length > LONGEST) return fail({ code: 'link/too-long', at: '', found: hash.length, expected: String(LONGEST) });
  let text: string;
  try {
    text = strFromU8(inflated(fromBase64Url(match[1]!)));
  } catch (error) {
    return fail({ code: error instanceof RangeError ? 'file/too-large' : 'link/damaged', at: '', expected: String(MOST_BYTES) });
  }
  return readSiteText(text);
}

/** @throws RangeError for what unrolls beyond the limit */
function inflated(packed: Uint8Array): Uint8Array {
  const pieces: Uint8Array[] = [];
  let size = 0;
  let isOver = false;
  const stream = new Inflate((piece, isLast) => {
    size += piece.length;
    if (size > MOST_BYTES) throw new RangeError('too large');
    pieces.push(piece);
    isOver = isLast;
  });
  stream.push(packed, true);
  if (!isOver) throw new Error('cut off');
  const all = new Uint8Array(size);
  let at = 0;
  for (const piece of pieces) {
    all.set(piece, at);
    at += piece.length;
  }
  return all;
}

const toBase64Url = (bytes: Uint8Array): string =>
  btoa(bytes.reduce((all, b) => all + String.fromCharCode(b), ''))
    .replace(/\+/g, '-')
    .replace(/\//g, '_')
    .replace(/=+$/, '');

const fromBase64Url = (text: string): Uint8Array =>
  Uint8Array.from(atob(text.replace(/-/g, '+').replace(/_/g, '/')), (c) => c.charCodeAt(0));
