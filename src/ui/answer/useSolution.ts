'use client';
import { useMemo } from 'react';
import { lightBandOf } from '@/core/dose/lightBand';
import { suitingDistances, solve, type Fixed, type Solution } from '@/core/solve/solve';
import type { SetUp } from '@/core/stand/setUp';
import { useProfile } from '../shell/WorkspaceContext';

/** The settings that suit the set-up's crop, with one thing held fast; null while the light is being computed. */
export function useSolution(setUp: SetUp, fixed: Fixed): Solution | null {
  const profile = useProfile();
  return useMemo(
    () => (profile ? solve(profile, setUp.stage, setUp.lamp.heatClearance, fixed) : null),
    [profile, setUp.stage, setUp.lamp.heatClearance, fixed],
  );
}

/** The distances that suit at the hours as they are set. */
export function useSuitingDistances(setUp: SetUp): { from: number; to: number } | null {
  const profile = useProfile();
  return useMemo(() => {
    const band = lightBandOf(setUp.stage, setUp.hours);
    if (!profile || !(setUp.hours > 0) || band.low > band.high) return null;
    return suitingDistances(profile, setUp.stage, setUp.lamp.heatClearance, setUp.hours);
  }, [profile, setUp.stage, setUp.hours, setUp.lamp.heatClearance]);
}
