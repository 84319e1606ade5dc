import { fail, type Result } from '../../core/units/result';
import type { Site } from '../../core/site/stand/Site';
import { readSite } from '../form/readSite';
import { readJson } from '../form/readJson';

/** The largest file that is read: 400 stands with tens of thousands of readings, a few hundred bytes each, and what is exported comes in again. */
export const MAX_BYTES = 50_000_000;
/** A site is eight deep; deeper is not ours, and may be meant to exhaust the reader. */
const MAX_DEPTH = 16;

/** Reads the text of a file as a site, or says every reason why it can't be. Nothing is stored here. */
export function readSiteText(text: string): Result<Site> {
  if (text.length > MAX_BYTES) return fail({ code: 'file/too-large', at: '', found: text.length, expected: String(MAX_BYTES) });
  const json = readJson(text, MAX_DEPTH);
  if (!json.ok) return json;
  const data = json.value;
  // What the page itself keeps has one thing more: which set-up was on the screen.
  if (typeof data === 'object' && data !== null && 'activeId' in data) delete data.activeId;
  return readSite(data);
}
