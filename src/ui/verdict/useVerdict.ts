'use client';
import { useMemo } from 'react';
import { judgeSetUp } from '@/core/answer/check/judgeSetUp';
import type { SetUp } from '@/core/answer/stand/setUp';
import type { Doubt } from '@/core/judge/uncertainty/Band';
import type { Verdict } from '@/core/judge/verdict/judge';
import type { AreaStats } from '@/core/light/field/statsOver';
import { useLight } from '../shell/WorkspaceContext';

export interface Judged {
  readonly verdict: Verdict;
  readonly stats: AreaStats;
  readonly doubts: readonly Doubt[];
  /** Of the light on the plants, how much comes by way of the sides. */
  readonly reflectedShare: number;
  /** Something newer is being worked out. */
  readonly stale: boolean;
}

/** The verdict on the set-up as it now stands, from the newest light; null until there is any. */
export function useVerdict(setUp: SetUp): Judged | null {
  const light = useLight();
  return useMemo(() => {
    if (light.status !== 'ready' || light.of.stand.id !== setUp.stand.id) return null;
    const { stats, reflectedShare } = light.answer;
    const stale = light.of.tier !== setUp.tier || light.of.lamp !== setUp.lamp || light.of.canopy !== setUp.canopy;
    return { stale, stats, reflectedShare, ...judgeSetUp(setUp, light.answer) };
  }, [light, setUp]);
}
