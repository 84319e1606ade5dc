import { lineAt } from './lineAt';
import { parse, type ParseError } from 'jsonc-parser';
import { fail, ok, type Result } from '../../core/units/result';

/**
 * Reads JSON from outside: not deeper than it may be, without lists in lists (none of our formats has any, and what checks the objects
 * of a list looks through them), and with the place where it breaks.
 */
export function readJson(text: string, maxDepth: number): Result<unknown> {
  const deep = depthOf(text);
  if (deep > maxDepth) return fail({ code: 'file/too-deep', at: '', found: deep, expected: String(maxDepth) });
  try {
    const value: unknown = JSON.parse(text.replace(/^\uFEFF/, ''));
    const at = listInList(value, '');
    return at === null ? ok(value) : fail({ code: 'file/list-in-list', at });
  } catch (error) {
    return fail({ code: 'file/not-json', at: placeOf(text), found: error instanceof Error ? error.message : String(error) });
  }
}

/** Where a list stands in a list; null: nowhere. */
export function listInList(value: unknown, at: string): string | null {
  if (typeof value !== 'object' || value === null) return null;
  const inList = Array.isArray(value);
  for (const [name, part] of Object.entries(value)) {
    if (typeof part !== 'object' || part === null) continue;
    const there = inList ? `${at}[${name}]` : at ? `${at}.${name}` : name;
    const found = inList && Array.isArray(part) ? there : listInList(part, there);
    if (found !== null) return found;
  }
  return null;
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
  return at === undefined || at >= text.trimEnd().length - 1 ? 'the end' : `line ${lineAt(text, at)}`;
}

/** The same document without the fields that are null: what is null is not said. */
export function withoutNulls(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(withoutNulls);
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(Object.entries(value).flatMap(([key, part]) => (part === null ? [] : [[key, withoutNulls(part)]])));
}
