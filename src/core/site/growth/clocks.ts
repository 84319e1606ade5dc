import type { Day } from '../../units/day';

/** How many had come up by a day, all told. */
export interface CountedUp {
  readonly day: Day;
  readonly count: number;
}

export const CLOCKS = ['sown', 'firstEmergence', 'halfEmerged', 'underLight', 'pottedOn'] as const;
export type ClockName = (typeof CLOCKS)[number];

/** When each clock of a batch began; null: it has not yet. */
export type Clocks = Readonly<Record<ClockName, Day | null>>;

/** The first day on which half were up, of what was sown or of all that ever came up; null: never. */
export function halfUp(counts: readonly CountedUp[], of: number): Day | null {
  return [...counts].sort((a, b) => a.day - b.day).find((c) => c.count > 0 && 2 * c.count >= of)?.day ?? null;
}

/** Days since each clock began; null before. */
export const dayNumbers = (clocks: Clocks, day: Day): Record<ClockName, number | null> =>
  Object.fromEntries(CLOCKS.map((c) => [c, clocks[c] === null || day < clocks[c] ? null : day - clocks[c]])) as Record<
    ClockName,
    number | null
  >;

/** The hours of a schedule on a day of the plug’s clock; null before it begins. */
export function hoursOnDay(program: readonly { readonly fromDay: number; readonly hours: number }[], number: number | null): number | null {
  return number === null ? null : (program.findLast((s) => number >= s.fromDay)?.hours ?? null);
}
