'use client';
import { useEffect, useState } from 'react';
import type { TrialResult } from '@/core/plan/trial/resultOf';
import type { Trial } from '@/core/site/trial/Trial';
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
  const [shown, setShown] = useState<{ of: Trial; result: TrialResult | 'failed' } | null>(null);
  useEffect(() => {
    let gone = false;
    resultOfTrial(trial).then(
      (result) => !gone && setShown({ of: trial, result }),
      () => !gone && setShown({ of: trial, result: 'failed' }),
    );
    return () => {
      gone = true;
    };
  }, [resultOfTrial, trial]);
  return { result: shown?.result ?? null, isOld: shown !== null && shown.of !== trial };
}
