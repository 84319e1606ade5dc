import same from 'fast-deep-equal';

/** Where two hands changed the same thing: the way to it by names and ids, and what each of them put there. */
export interface Clash {
  readonly path: readonly string[];
  readonly mine: unknown;
  readonly theirs: unknown;
}

type Plain = Readonly<Record<string, unknown>>;

const isPlain = (value: unknown): value is Plain => typeof value === 'object' && value !== null && !Array.isArray(value);

/**
 * What a thing of a list is called: by its id; ticks of jobs by their key, trays of a trial by the code on them, cautions that were seen to by
 * themselves and their stand, prices and spares by their lamp, trips by their days, what a tier was set to by it and its last day; words by themselves. Null: it has no name.
 */
export function nameInList(thing: unknown): string | null {
  if (typeof thing === 'string') return thing;
  if (!isPlain(thing)) return null;
  const { id, key, code, cautionId, standId, lampId, from, to, tierId, until } = thing;
  const isTrip = typeof from === 'number' && typeof to === 'number' && Object.keys(thing).length === 2;
  const seenTo = typeof cautionId === 'string' ? `${cautionId} ${String(standId)}` : undefined;
  const setting = typeof tierId === 'string' && typeof until === 'number' ? `${tierId} until ${until}` : undefined;
  const name = id ?? key ?? code ?? seenTo ?? setting ?? lampId ?? (isTrip ? `${from} to ${to}` : null);
  return typeof name === 'string' ? name : null;
}

/** Things of a list by their names; null where some have none, or the same. */
function byId(list: unknown): Map<string, unknown> | null {
  if (!Array.isArray(list)) return null;
  const found = new Map<string, unknown>();
  for (const thing of list as unknown[]) {
    const name = nameInList(thing);
    if (name === null || found.has(name)) return null;
    found.set(name, thing);
  }
  return found;
}

/**
 * Puts together what two hands made of the same document: what only one of them changed is as that one left it. Lists of things
 * with ids are put together thing by thing; everything else that both changed is a clash, and one of the two stands.
 *
 * What one took away and the other changed is not lost: it stays, as the other left it, unless theirs goes before mine.
 *
 * @param base    plain data from which both started
 * @param theirs  what the other hand made of it
 * @param stands  whose change stands where both changed the same
 * @returns puts their changes to what this hand made of it; parts that come out the same are the same objects, and what was put
 *          through once is not looked at again. `clashes` is told of each place that both changed
 */
export function mergeInto<T>(
  base: T,
  theirs: T,
  stands: 'mine' | 'theirs',
  clashes: (clash: Clash) => void = () => undefined,
): (mine: T) => T {
  const unchanged = new WeakMap<object, boolean>();
  // One object may stand in several places (an empty list, say): what came of it holds for the same three only.
  const put = new WeakMap<object, { readonly b: unknown; readonly t: unknown; readonly out: unknown }[]>();
  return (mine) => mergeAt(base, theirs, mine, []) as T;

  function isSame(b: unknown, t: unknown): boolean {
    if (typeof b !== 'object' || b === null) return same(b, t);
    const known = unchanged.get(b) ?? same(b, t);
    unchanged.set(b, known);
    return known;
  }

  function mergeAt(b: unknown, t: unknown, m: unknown, path: readonly string[]): unknown {
    if (t === m || isSame(b, t)) return m;
    const known = typeof m === 'object' && m !== null ? put.get(m)?.find((p) => p.b === b && p.t === t) : undefined;
    if (known) return known.out;
    const out = mergeNow(b, t, m, path);
    if (typeof m === 'object' && m !== null) put.set(m, [...(put.get(m) ?? []), { b, t, out }]);
    return out;
  }

  function mergeNow(b: unknown, t: unknown, m: unknown, path: readonly string[]): unknown {
    if (isPlain(t) && isPlain(m) && isPlain(b)) return mergeFields(b, t, m, path);
    const [lb, lt, lm] = [byId(b), byId(t), byId(m)];
    if (lb && lt && lm) return mergeLists(lb, lt, lm, m as readonly unknown[], path);
    if (same(t, m)) return m;
    if (same(b, m)) return t;
    clashes({ path, mine: m, theirs: t });
    return stands === 'mine' ? m : t;
  }

  function mergeFields(b: Plain, t: Plain, m: Plain, path: readonly string[]): Plain {
    let changed = false;
    const out: Record<string, unknown> = {};
    for (const key of new Set([...Object.keys(m), ...Object.keys(t)])) {
      const value = mergeAt(b[key], t[key], m[key], [...path, key]);
      changed ||= value !== m[key];
      if (value !== undefined) out[key] = value;
    }
    return changed ? out : m;
  }

  function mergeLists(
    b: ReadonlyMap<string, unknown>,
    t: ReadonlyMap<string, unknown>,
    m: ReadonlyMap<string, unknown>,
    list: readonly unknown[],
    path: readonly string[],
  ): readonly unknown[] {
    const kept = new Map<string, unknown>();
    for (const id of new Set([...t.keys(), ...m.keys()])) {
      const [was, their, my] = [b.get(id), t.get(id), m.get(id)];
      const at = [...path, id];
      if (their !== undefined && my !== undefined) kept.set(id, mergeAt(was, their, my, at));
      else if (my === undefined) {
        // Taken away here; it stays away unless it was changed there meanwhile.
        if (was === undefined || !same(was, their)) kept.set(id, their);
      } else if (was === undefined) kept.set(id, my);
      else if (stands === 'mine' && !same(was, my)) {
        clashes({ path: at, mine: my, theirs: undefined });
        kept.set(id, my);
      }
    }
    const common = [...b.keys()].filter((id) => t.has(id));
    const isInOldOrder = same(common, [...t.keys()].filter((id) => b.has(id))); // prettier-ignore
    const [first, second] = isInOldOrder ? [m, t] : [t, m];
    const order = [...first.keys()].filter((id) => kept.has(id));
    [...second.keys()].forEach((id, i, ids) => {
      if (!kept.has(id) || first.has(id)) return;
      const before = ids.slice(0, i).findLast((other) => order.includes(other));
      order.splice(before === undefined ? 0 : order.indexOf(before) + 1, 0, id);
    });
    const out = order.map((id) => kept.get(id));
    return out.length === list.length && out.every((thing, i) => thing === list[i]) ? list : out;
  }
}

/** The document with what stands at the end of a way put there; `undefined` takes a thing away. A way that leads nowhere changes nothing. */
export function putAt<T>(document: T, [name, ...rest]: readonly string[], value: unknown): T {
  if (name === undefined) return value as T;
  if (Array.isArray(document)) {
    const list = document as unknown[];
    const i = list.findIndex((thing) => nameInList(thing) === name);
    if (i < 0) return rest.length === 0 && value !== undefined ? ([...list, value] as T) : document;
    if (rest.length === 0 && value === undefined) return list.filter((_, k) => k !== i) as T;
    return list.map((thing, k) => (k === i ? putAt(thing, rest, value) : thing)) as T;
  }
  if (!isPlain(document)) return document;
  return { ...document, [name]: putAt(document[name], rest, value) };
}
