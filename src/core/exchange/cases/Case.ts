/** A question of a file of cases: what it gives, whatever that is. */
export type Case = Readonly<Record<string, unknown>>;

/** What is computed for a case, by field. */
export type CaseAnswer = Readonly<Record<string, unknown>>;

/** Says in an answer's place why there is none. */
export class CaseError extends Error {}

/** A number of a case. @throws Unreadable */
export function numberOf(given: Case, field: string, from = -Infinity, to = Infinity): number {
  const value = given[field];
  if (typeof value !== 'number' || !(value >= from && value <= to))
    throw new CaseError(`${field} must be a number${Number.isFinite(from) || Number.isFinite(to) ? ` from ${from} to ${to}` : ''}`);
  return value;
}

/** A word of a case, one of those that are known. @throws Unreadable */
export function wordOf<T extends string>(given: Case, field: string, known: readonly T[]): T {
  const value = given[field];
  if (!known.includes(value as T)) throw new CaseError(`${field} must be one of ${known.join(', ')}`);
  return value as T;
}

/** A moment of a case, ms since 1970 UTC. @throws Unreadable */
export function momentOf(given: Case, field: string): number {
  const value = given[field];
  const at = typeof value === 'string' && /^\d{4}-\d{2}-\d{2}/.test(value) ? Date.parse(value) : NaN;
  if (!Number.isFinite(at)) throw new CaseError(`${field} must be a date or a time such as 2027-03-28 or 2027-03-28T10:00:00Z`);
  return at;
}

/** Answers each case by itself: one that can't be read keeps none of the others waiting. */
export function answerAll(
  cases: Readonly<Record<string, unknown>>,
  answer: (given: Case, id: string) => CaseAnswer,
): Record<string, CaseAnswer> {
  return Object.fromEntries(
    Object.entries(cases).map(([id, given]) => {
      if (typeof given !== 'object' || given === null) return [id, { error: 'a case must be an object' }];
      try {
        const all = answer(given as Case, id);
        const { fields } = given as Case;
        const wanted = Array.isArray(fields) ? new Set(fields) : null;
        return [id, wanted ? Object.fromEntries(Object.entries(all).filter(([field]) => wanted.has(field))) : all];
      } catch (error) {
        if (!(error instanceof CaseError)) throw error;
        return [id, { error: error.message }];
      }
    }),
  );
}
