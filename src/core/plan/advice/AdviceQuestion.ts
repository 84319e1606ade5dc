import type { BenchAnswer } from '../../answer/bench/BenchQuestion';
import type { Site } from '../../site/stand/Site';
import type { Day } from '../../units/day';
import type { Scope } from './movesFor';

/** What advice is asked about; plain data, so that it can be asked of a worker. */
export interface AdviceQuestion {
  readonly site: Site;
  readonly standId: string;
  readonly scope: Scope;
  /** The light of the stand as it is. */
  readonly answer: BenchAnswer;
  /** The day that is shown, so that trays that are moved before a window get the daylight of their new place; left out: that of their tier. */
  readonly day?: Day;
}
