import { parse, type ParseError } from 'jsonc-parser';
import { fail, type Result } from '../../core/result';
import type { Site } from '../../core/stand/Site';
import { readSite } from '../saved/readSite';

/** The largest file that is read: two hundred set-ups with all their readings fit a hundred times over. */
export const MAX_BYTES = 5_000_000;
/** A site is eight deep; deeper is not ours, and may be meant to exhaust the reader. */
const MAX_DEPTH = 16;

/** Reads the text of a file as a site, or says every reason why it can't be. Nothing is stored here. */
export function readSiteText(text: string): Result<Site> {
  if (text.length > MAX_BYTES) return fail({ code: 'file/too-large', at: '', found: text.length, expected: String(MAX_BYTES) });
  const deep = depthOf(text);
  if (deep > MAX_DEPTH) return fail({ code: 'file/too-deep', at: '', found: deep, expected: String(MAX_DEPTH) });
  let data: unknown;
  try {
    data = JSON.parse(text.replace(/^\uFEFF/, ''));
  } catch (error) {
    return fail({ code: 'file/not-json', at: placeOf(text), found: error instanceof Error ? error.message : String(error) });
  }
  // What the page itself keeps has one thing more: which set-up was on the screen.
  if (typeof data === 'object' && data !== null && 'activeId' in data) delete data.activeId;
  return readSite(data);
}

/** How deep brackets are nested outside strings; counted before parsing, so that a bomb is never built. */
function depthOf(text: string): number {
  let depth = 0, deepest = 0, inString = false; // prettier-ignore
  for (let i = 0; i < text.length; i++) {
    const c = text.charCodeAt(i);
    if (inString) {
      if (c === 92) i++;
      else if (c === 34) inString = false;
    } else if (c === 34) inString = true;
    else if (c === 123 || c === 91) deepest = Math.max(deepest, ++depth);
    else if (c === 125 || c === 93) depth--;
  }
  return deepest;
}

/** The line at which the text stops being JSON; engines seldom say it themselves. */
function placeOf(text: string): string {
  const errors: ParseError[] = [];
  parse(text, errors, { allowTrailingComma: false, disallowComments: true });
  const at = errors[0]?.offset;
  return at === undefined || at >= text.trimEnd().length - 1 ? 'the end' : `line ${text.slice(0, at).split('\n').length}`;
}
