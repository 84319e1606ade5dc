import { withMark, type JobMark } from '../today/JobMark';
import type { Change } from './change';

/** Opens a job again; what doing it changed stays. */
export const unmarkJob =
  (key: string): Change =>
  (site) => ({ ...site, jobMarks: site.jobMarks.filter((m) => m.key !== key) });

/** Says what has become of jobs. */
export const markJobs =
  (...marks: readonly JobMark[]): Change =>
  (site) => ({ ...site, jobMarks: marks.reduce(withMark, site.jobMarks) });
