import type { Problem, Result } from '../../core/units/result';
import type { Site } from '../../core/site/stand/Site';

/** What could be read of a broken file, and what had to be left out of it. */
export interface Salvaged {
  readonly site: Site;
  readonly leftOut: readonly Problem[];
}

/** So many rounds of leaving out, each of everything that is wrong by then. */
const MOST_ROUNDS = 30;

/**
 * Reads what is sound in a broken document: what is wrong is left out, the smallest thing of a list that holds it, or the single field;
 * then what referred to it, and so on until the rest can be read.
 *
 * @param file    the document as it was found
 * @param plain   a sound document, of which fields are taken that cannot be used
 * @param read    the reader, which names every problem by its place
 * @returns null when nothing is left
 */
export function salvage(file: unknown, plain: Readonly<Record<string, unknown>>, read: (file: unknown) => Result<Site>): Salvaged | null {
  if (typeof file !== 'object' || file === null || Array.isArray(file)) return null;
  let rest: unknown = { ...plain, ...file, format: plain.format };
  const leftOut: Problem[] = [];
  for (let round = 0; round < MOST_ROUNDS; round++) {
    const site = read(rest);
    if (site.ok) return site.value.stands.length > 0 ? { site: site.value, leftOut } : null;
    const before = rest;
    // From the back, so that the places of earlier ones still hold.
    const cuts = site.problems.map(cutFor).sort((a, b) => compare(b, a));
    const gone = new Set<string>();
    for (const cut of cuts) {
      if (cut.length === 0 || [...gone].some((g) => cut.join('/').startsWith(g))) continue;
      gone.add(cut.join('/'));
      rest = without(rest, cut, plain);
    }
    for (const problem of site.problems) if (!leftOut.some((p) => p.at === problem.at)) leftOut.push(problem);
    if (rest === before) return null;
  }
  return null;
}

type Name = string | number;

/** `stands[2].tiers[0].x_m` as its names. */
const namesOf = (at: string): Name[] => (at.match(/[^.[\]]+/g) ?? []).map((name) => (/^\d+$/.test(name) ? Number(name) : name));

/** Later places first where two are compared from the back. */
function compare(a: readonly Name[], b: readonly Name[]): number {
  for (let i = 0; i < Math.min(a.length, b.length); i++) {
    const [x, y] = [a[i]!, b[i]!];
    if (x !== y) return typeof x === 'number' && typeof y === 'number' ? x - y : String(x) < String(y) ? -1 : 1;
  }
  return a.length - b.length;
}

const OPTIONAL = new Set(['window', 'chart', 'calendar', 'daylight', 'overhang', 'blind', 'inside', 'season']);

/** What to leave out for a problem: a field that is not ours, else the smallest thing of a list around it, or the field of the document. */
function cutFor({ code, at }: Problem): readonly Name[] {
  const place = namesOf(at);
  if (code.endsWith('whitelistValidation')) return place;
  const last = place.findLastIndex((name) => typeof name === 'number');
  // A thing that may be missing goes by itself.
  const optional = place.findLastIndex((name) => OPTIONAL.has(String(name)));
  if (optional > last) return place.slice(0, optional + 1);
  return last >= 0 ? place.slice(0, last + 1) : place.slice(0, 1);
}

function without(thing: unknown, [name, ...rest]: readonly Name[], plain: Readonly<Record<string, unknown>>): unknown {
  if (name === undefined || typeof thing !== 'object' || thing === null) return thing;
  if (Array.isArray(thing)) {
    if (typeof name !== 'number' || name >= thing.length) return thing;
    return rest.length === 0
      ? thing.filter((_, i) => i !== name)
      : thing.map((t, i) => (i === name ? without(t, rest, {}) : (t as unknown)));
  }
  const fields = thing as Record<string, unknown>;
  if (rest.length > 0) return { ...fields, [name]: without(fields[name], rest, {}) };
  const others = Object.fromEntries(Object.entries(fields).filter(([key]) => key !== String(name)));
  return name in plain ? { ...others, [name]: plain[name] } : others;
}
