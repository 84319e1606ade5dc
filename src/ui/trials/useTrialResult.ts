'use client';
import { useEffect, useState } from 'react';
import type { TrialResult } from '@/core/plan/trial/resultOf';
import type { Trial } from '@/core/site/trial/Trial';
import { useWorkspace } from '../shell/WorkspaceContext';

/** What a trial shows as it stands; null while that is worked out for the first time, the last result while a change is. */
export function useTrialResult(trial: Trial): TrialResult | 'failed' | null {
  const { resultOfTrial } = useWorkspace();
  const [result, setResult] = useState<TrialResult | 'failed' | null>(null);
  useEffect(() => {
    let gone = false;
    resultOfTrial(trial).then(
      (found) => !gone && setResult(found),
      () => !gone && setResult('failed'),
    );
    return () => {
      gone = true;
    };
  }, [resultOfTrial, trial]);
  return result;
}
