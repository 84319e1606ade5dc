import type { Day } from '../../units/day';

export const JOB_STATES = ['done', 'later', 'not-needed'] as const;
export type JobState = (typeof JOB_STATES)[number];

/** What a person said of a job. */
export interface JobMark {
  /** What the job is, the same as long as it is the same job. */
  readonly key: string;
  /** When it was said. */
  readonly day: Day;
  readonly state: JobState;
  /** Of `later`: the day on which it comes up again. */
  readonly until: Day | null;
}

/** As many marks are kept. */
export const MOST_MARKS = 600;
/** Marks of longer ago don't matter any more, days. */
const KEPT_DAYS = 60;

/** Says what has become of a job; marks of long ago fall away. */
export const withMark = (marks: readonly JobMark[], mark: JobMark): readonly JobMark[] =>
  [...marks.filter((m) => m.key !== mark.key && m.day > mark.day - KEPT_DAYS), mark].slice(-MOST_MARKS);

/** What counts of a job on a day: put off until another day it is open again then. */
export function jobStateOf(marks: readonly JobMark[], key: string, day: Day): JobState | null {
  const mark = marks.find((m) => m.key === key);
  if (!mark) return null;
  return mark.state === 'later' && mark.until !== null && mark.until <= day ? null : mark.state;
}
