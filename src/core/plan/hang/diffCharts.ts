import type { Day } from '../../units/day';
import type { VisitJobs } from '../../site/hang/KeptChart';

/** A day on which something else is to be done than was said before. */
export interface VisitChange {
  readonly day: Day;
  /** Null: nothing was, or is, to be done on that day. */
  readonly was: VisitJobs | null;
  readonly now: VisitJobs | null;
}

/** Holds two charts against each other from a day on: the days on which they differ, in order. */
export function diffCharts(was: readonly VisitJobs[], now: readonly VisitJobs[], from: Day): VisitChange[] {
  const days = [...new Set([...was, ...now].map((v) => v.day))].filter((d) => d >= from).sort((a, b) => a - b);
  return days.flatMap((day): VisitChange[] => {
    const [a, b] = [was, now].map((visits) => visits.find((v) => v.day === day) ?? null);
    return a && b && signOf(a!) === signOf(b!) ? [] : [{ day, was: a!, now: b! }];
  });
}

/** What is done on a visit, whatever the order in which it is written. */
function signOf({ lamps, dims, risers, hours }: VisitJobs): string {
  return [
    ...lamps.map((j) => `lamp ${j.fittingId} ${j.steps}`),
    ...dims.map((j) => `dim ${j.fittingId} ${j.to}`),
    ...risers.map((j) => `riser ${j.trayId} ${j.from} ${j.to}`),
    ...hours.map((j) => `hours ${j.timerId} ${j.on_min} ${j.lit_min}`),
  ]
    .sort()
    .join('|');
}
