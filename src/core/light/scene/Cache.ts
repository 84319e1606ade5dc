/** Keeps what was computed last under a key, the oldest going first: what makes the next frame of a drag quick. */
export interface Cache {
  get<T>(key: string, compute: () => T): T;
  /** Computes anew from what was computed under the key the last time. */
  next<T>(key: string, compute: (last: T | undefined) => T): T;
}

export function createCache(most = 256): Cache {
  const kept = new Map<string, unknown>();
  return {
    get<T>(key: string, compute: () => T): T {
      const known = kept.get(key);
      if (known !== undefined) {
        kept.delete(key);
        kept.set(key, known);
        return known as T;
      }
      const value = compute();
      kept.set(key, value);
      if (kept.size > most) kept.delete(kept.keys().next().value!);
      return value;
    },
    next<T>(key: string, compute: (last: T | undefined) => T): T {
      const value = compute(kept.get(key) as T | undefined);
      kept.delete(key);
      kept.set(key, value);
      return value;
    },
  };
}

/** Computes everything anew: for what is asked once. */
export const NO_CACHE: Cache = { get: (_, compute) => compute(), next: (_, compute) => compute(undefined) };
