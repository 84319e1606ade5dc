'use client';
import type { TrialResult } from '@/core/plan/trial/resultOf';
import type { Trial } from '@/core/site/trial/Trial';
import { useWorkedOut } from '../parts/useWorkedOut';
import { useWorkspace } from '../shell/WorkspaceContext';

interface Shown {
  /** Null while it is worked out for the first time. */
  readonly result: TrialResult | 'failed' | null;
  /** It is of the trial before the last change, whose own is being worked out. */
  readonly isOld: boolean;
}

/** What a trial shows as it stands; while a change is worked out, the last result, marked as such. */
export function useTrialResult(trial: Trial): Shown {
  const { resultOfTrial } = useWorkspace();
  const told = useWorkedOut(trial, resultOfTrial);
  return { result: told && (told.answer ?? 'failed'), isOld: told !== null && told.of !== trial };
}
