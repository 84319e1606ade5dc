'use client';
import { useDeferredValue, useMemo } from 'react';
import { judgeSetUp } from '@/core/answer/check/judgeSetUp';
import type { SetUp } from '@/core/answer/stand/setUp';
import type { Uncertainty } from '@/core/judge/uncertainty/Band';
import type { Verdict } from '@/core/judge/verdict/judge';
import type { LightState } from '@/store/light/lightStore';
import type { AreaStats } from '@/core/light/field/statsOver';
import { useLight } from '../shell/WorkspaceContext';

export interface Judged {
  readonly verdict: Verdict;
  readonly stats: AreaStats;
  readonly uncertainties: readonly Uncertainty[];
  /** Of the light on the plants, how much comes by way of the sides. */
  readonly reflectedShare: number;
  /** Something newer is being worked out. */
  readonly stale: boolean;
}

/** The verdict on the set-up as it now stands, from the newest light; null until there is any. */
export function useVerdict(setUp: SetUp): Judged | null {
  const light = useLight();
  return useMemo(() => judgedOf(light, setUp), [light, setUp]);
}

/** The same for what stands below: while a hand drags it follows when there is time. */
export function useCalmVerdict(setUp: SetUp): Judged | null {
  const light = useDeferredValue(useLight());
  return useMemo(() => judgedOf(light, setUp), [light, setUp]);
}

/** The verdict that was worked out last: several parts of a page ask for the same one. */
let last: { readonly light: LightState; readonly setUp: SetUp; readonly judged: Judged | null } | null = null;

function judgedOf(light: LightState, setUp: SetUp): Judged | null {
  if (last?.light === light && last.setUp === setUp) return last.judged;
  const judged = workOut(light, setUp);
  last = { light, setUp, judged };
  return judged;
}

function workOut(light: LightState, setUp: SetUp): Judged | null {
  if (light.status !== 'ready' || light.of.stand.id !== setUp.stand.id) return null;
  const { stats, reflectedShare } = light.answer;
  const stale = light.of.tier !== setUp.tier || light.of.lamp !== setUp.lamp || light.of.canopy !== setUp.canopy;
  return { stale, stats, reflectedShare, ...judgeSetUp(setUp, light.answer) };
}
