'use client';
import { useMemo } from 'react';
import { lampBandOf } from '@/core/judge/dli/lightBand';
import { clearanceOf } from '@/core/things/lamp/clearanceOf';
import { solve, suitingDistances, type SolveTask, type Fixed, type Solution } from '@/core/answer/solve/solve';
import { solveDimmed, type DimmedSolution } from '@/core/answer/solve/solveDimmed';
import { dimmingsOf, type Dimming } from '@/core/site/ownLamps/dimmings';
import type { SetUp } from '@/core/answer/stand/setUp';
import { useProfile } from '../shell/WorkspaceContext';

/** What is asked of a set-up: the same for as long as nothing of it changes, wherever its lamp is dragged meanwhile. */
function useAsked({ stage, limits: { longestDay, strongest, dliMax }, day: { daylight }, lamp }: SetUp): SolveTask {
  const clearance = clearanceOf(lamp);
  return useMemo(
    () => ({ stage, limits: { longestDay, strongest, dliMax }, daylight, clearance }),
    [stage, longestDay, strongest, dliMax, daylight, clearance],
  );
}

/** The settings that suit the set-up's crop as its dimmers are set, with one thing held fast; null while the light is being computed. */
export function useSolution(setUp: SetUp, fixed: Fixed): Solution | null {
  const profile = useProfile();
  const asked = useAsked(setUp);
  return useMemo(() => (profile ? solve(profile, asked, fixed) : null), [profile, asked, fixed]);
}

/**
 * The same with the dimmers turned where nothing suits as they are set.
 */
export function useDimmedSolution(setUp: SetUp, fixed: Fixed): DimmedSolution | null {
  const profile = useProfile();
  const asked = useAsked(setUp);
  const dimmings = JSON.stringify(dimmingsOf(setUp.tier.fittings));
  return useMemo(
    () => (profile ? solveDimmed(profile, asked, fixed, JSON.parse(dimmings) as readonly Dimming[]) : null),
    [profile, asked, fixed, dimmings],
  );
}

/** The distances that suit at the hours as they are set. */
export function useSuitingDistances(setUp: SetUp): { from: number; to: number } | null {
  const profile = useProfile();
  const asked = useAsked(setUp);
  const { hours } = setUp;
  const band = lampBandOf(setUp.stage, setUp.day);
  const isPossible = hours > 0 && band.low <= band.high;
  return useMemo(() => (profile && isPossible ? suitingDistances(profile, asked, hours) : null), [profile, isPossible, asked, hours]);
}
