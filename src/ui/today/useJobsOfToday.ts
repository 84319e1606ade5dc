import { useState } from 'react';
import type { Job } from '@/core/plan/today/Job';

export interface JobsOfToday {
  /** The open jobs, and those of today that are done: they stay in their place, crossed out, until one goes away. */
  readonly jobs: readonly Job[];
  /** Whether the open ones stand in the order of the walk. */
  readonly isInOrder: boolean;
  putInOrder(): void;
}

/**
 * The jobs of a day in an order that keeps still: what a thumb is about to press does not move away under it.
 *
 * @param open      in the order of the walk
 * @param isInView  whether a person is at work on them already: what is found from now on comes below them, before that where it belongs
 */
export function useJobsOfToday(open: readonly Job[], doneKeys: ReadonlySet<string>, isInView: boolean): JobsOfToday {
  // All that was ever seen keeps its place: what comes back by undo comes back there.
  const [seen, setSeen] = useState<readonly Job[]>([]);
  const current = new Map(open.map((j) => [j.key, j]));
  const places = new Set(seen.map((j) => j.key));
  const fresh = open.filter((j) => !places.has(j.key));
  const all = fresh.length === 0 ? seen : isInView ? [...seen, ...fresh] : merge(seen, fresh, open);
  if (all !== seen) setSeen(all);
  const jobs = all.filter((j) => current.has(j.key) || doneKeys.has(j.key)).map((j) => current.get(j.key) ?? j);
  const standing = jobs.filter((j) => !doneKeys.has(j.key));
  return {
    jobs,
    isInOrder: standing.every((j, i) => j.key === open[i]?.key),
    putInOrder: () => setSeen([...jobs.filter((j) => !current.has(j.key)), ...open]),
  };
}

/** New ones where they belong in the walk: before the first kept one that comes after them. */
function merge(kept: readonly Job[], fresh: readonly Job[], open: readonly Job[]): Job[] {
  const order = new Map(open.map((j, i) => [j.key, i]));
  const jobs = [...kept];
  for (const job of fresh) {
    const at = jobs.findIndex((j) => (order.get(j.key) ?? -1) > order.get(job.key)!);
    jobs.splice(at < 0 ? jobs.length : at, 0, job);
  }
  return jobs;
}
