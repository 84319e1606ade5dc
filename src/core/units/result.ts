/** The answer of a reader at the boundary: a value, or every problem found – never both, never an exception. */
export type Result<T, P = Problem> = { readonly ok: true; readonly value: T } | { readonly ok: false; readonly problems: readonly P[] };

/** One thing wrong with data from outside. Plain data: it survives a worker, a log and a translation. */
export interface Problem {
  /** Stable name, such as `length/no-number`; the words a person reads are chosen in `ui/`. */
  readonly code: string;
  /** Where in the input: a property path or a line, such as `lamps[2].length_m` or `line 14`. */
  readonly at: string;
  readonly found?: unknown;
  readonly expected?: string;
}

export const ok = <T>(value: T): Result<T, never> => ({ ok: true, value });
export const fail = <P>(...problems: readonly P[]): Result<never, P> => ({ ok: false, problems });
