'use client';
import { useEffect, useState } from 'react';
import type { TierLight } from '@/core/answer/bench/BenchQuestion';
import { dimTimer, type DimmedTimer } from '@/core/plan/timer/dimTimer';
import type { StandTimer } from '@/core/plan/timer/servedBy';
import type { TimerRules } from '@/core/plan/timer/solveTimer';

/** A hand that drags the hours is waited for this long: all settings at all hours take some tenths of a second. */
const WAIT_MS = 250;

/** Settings of dimmers with which more trays of a timer are in range than with the best hours alone; null where there are none, or not yet. */
export function useDimmedTimer(timer: StandTimer, lights: Readonly<Record<string, TierLight>>, rules: TimerRules): DimmedTimer | null {
  const [known, setKnown] = useState<{ of: StandTimer; found: DimmedTimer | null } | null>(null);
  useEffect(() => {
    const later = setTimeout(() => setKnown({ of: timer, found: dimTimer(timer, lights, rules) }), WAIT_MS);
    return () => clearTimeout(later);
  }, [timer, lights, rules]);
  return known?.of === timer ? known.found : null;
}
