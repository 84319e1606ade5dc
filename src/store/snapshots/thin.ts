/** When a snapshot was taken, and the room that it takes. */
export interface SnapshotWeight {
  readonly id: string;
  readonly taken_ms: number;
  readonly bytes: number;
}

const HOUR = 3_600_000;
const DAY = 24 * HOUR;
/** One for each hour of the last day, one for each day of two weeks, one for each week before that. */
const STEPS = [
  { younger_ms: DAY, each_ms: HOUR },
  { younger_ms: 14 * DAY, each_ms: DAY },
  { younger_ms: Infinity, each_ms: 7 * DAY },
] as const;
/** So many stay whatever their size. */
const ALWAYS = 2;

/**
 * Which snapshots may go: all but the newest of each hour, day or week, by age, and the oldest beyond a budget.
 *
 * @param budget  bytes altogether; the two newest stay in any case
 */
export function toDrop(snapshots: readonly SnapshotWeight[], now_ms: number, budget: number): string[] {
  const newestFirst = [...snapshots].sort((a, b) => b.taken_ms - a.taken_ms);
  const taken = new Set<string>();
  let bytes = 0;
  return newestFirst.flatMap(({ id, taken_ms, bytes: own }, i) => {
    const { each_ms } = STEPS.find((s) => now_ms - taken_ms < s.younger_ms)!;
    const slot = `${each_ms} ${Math.floor(taken_ms / each_ms)}`;
    const isFirst = !taken.has(slot);
    taken.add(slot);
    if (i >= ALWAYS && (!isFirst || bytes + own > budget)) return [id];
    bytes += own;
    return [];
  });
}
