/** A tray of one stand, or of two where both have it. */
export interface Pair<T> {
  readonly key: string;
  readonly tier: number;
  readonly a: T | undefined;
  readonly b: T | undefined;
}

/**
 * The trays of two stands held against each other: on each tier those of one name, in the order in which they were put there. What
 * has no counterpart stands alone: a fern on one sill is nothing that became a leek on a rack.
 */
export function sideBySide<T>(left: readonly (readonly T[])[], right: readonly (readonly T[])[], nameOf: (tray: T) => string): Pair<T>[] {
  return Array.from({ length: Math.max(left.length, right.length) }, (_, t) => {
    const others = [...(right[t] ?? [])];
    const pairs = (left[t] ?? []).map((a) => {
      const at = others.findIndex((b) => nameOf(b) === nameOf(a));
      return { a, b: at < 0 ? undefined : others.splice(at, 1)[0] };
    });
    return [...pairs, ...others.map((b) => ({ a: undefined, b }))].map((pair, i) => ({ key: `${t} ${i}`, tier: t + 1, ...pair }));
  }).flat();
}
