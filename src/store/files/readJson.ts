import { parse, type ParseError } from 'jsonc-parser';
import { fail, ok, type Result } from '../../core/result';

/** Reads JSON from outside: not deeper than it may be, and with the place where it breaks. */
export function readJson(text: string, maxDepth: number): Result<unknown> {
  const deep = depthOf(text);
  if (deep > maxDepth) return fail({ code: 'file/too-deep', at: '', found: deep, expected: String(maxDepth) });
  try {
    return ok(JSON.parse(text.replace(/^\uFEFF/, '')) as unknown);
  } catch (error) {
    return fail({ code: 'file/not-json', at: placeOf(text), found: error instanceof Error ? error.message : String(error) });
  }
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
