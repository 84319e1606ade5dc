import type { Problem } from '@/core/units/result';
import { lampProblemWords } from './lampProblemWords';

/** What is wrong with a field of a lamp, right below it. */
export function LampProblem({ problem }: { problem: Problem | undefined }) {
  return problem ? (
    <p role="alert" className="text-sm text-copper">
      {lampProblemWords(problem)}
    </p>
  ) : null;
}
