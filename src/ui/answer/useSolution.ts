'use client';
import { useMemo } from 'react';
import { lampBandOf } from '@/core/judge/dose/lightBand';
import { clearanceOf } from '@/core/things/lamp/clearanceOf';
import { solve, suitingDistances, type Asked, type Fixed, type Solution } from '@/core/answer/solve/solve';
import { solveDimmed, type DimmedSolution } from '@/core/answer/solve/solveDimmed';
import { dimmingsOf } from '@/core/site/ownLamps/dimmings';
import type { SetUp } from '@/core/answer/stand/setUp';
import { useProfile } from '../shell/WorkspaceContext';

const askedOf = ({ stage, limits, day, lamp }: SetUp): Asked => ({
  stage,
  limits,
  daylight: day.daylight,
  clearance: clearanceOf(lamp),
});

/** The settings that suit the set-up's crop as its dimmers are set, with one thing held fast; null while the light is being computed. */
export function useSolution(setUp: SetUp, fixed: Fixed): Solution | null {
  const profile = useProfile();
  return useMemo(() => (profile ? solve(profile, askedOf(setUp), fixed) : null), [profile, setUp, fixed]);
}

/** The same with the dimmers turned where nothing suits as they are set. */
export function useDimmedSolution(setUp: SetUp, fixed: Fixed): DimmedSolution | null {
  const profile = useProfile();
  return useMemo(
    () => (profile ? solveDimmed(profile, askedOf(setUp), fixed, dimmingsOf(setUp.tier.fittings)) : null),
    [profile, setUp, fixed],
  );
}

/** The distances that suit at the hours as they are set. */
export function useSuitingDistances(setUp: SetUp): { from: number; to: number } | null {
  const profile = useProfile();
  return useMemo(() => {
    const band = lampBandOf(setUp.stage, setUp.day);
    if (!profile || !(setUp.hours > 0) || band.low > band.high) return null;
    return suitingDistances(profile, askedOf(setUp), setUp.hours);
  }, [profile, setUp]);
}
