import type { BenchAnswer } from '../../answer/bench/BenchQuestion';
import type { Site } from '../../site/stand/Site';
import type { Scope } from './movesFor';

/** What advice is asked about; plain data, so that it can be asked of a worker. */
export interface AdviceQuestion {
  readonly site: Site;
  readonly standId: string;
  readonly scope: Scope;
  /** The light of the stand as it is. */
  readonly answer: BenchAnswer;
}
