'use client';
import { useMemo } from 'react';
import { useStore } from 'zustand';
import { judgeTray, type JudgedTray } from '@/core/answer/bench/judgeTray';
import type { BenchStand, BenchTier } from '@/core/answer/stand/benchStand';
import type { TierLight } from '@/core/answer/bench/BenchQuestion';
import { sitePreview } from '@/store/bench/sitePreview';
import { standOnBench } from '@/store/bench/followBench';
import type { BenchLight, BenchLook } from '@/store/bench/benchStore';
import { useSite, useWorkspace } from '../shell/WorkspaceContext';

export const useBenchLook = (): BenchLook => useStore(useWorkspace().benchLooks);
export const useBenchLight = (): BenchLight => useStore(useWorkspace().benchLights);

/** The stand on the bench; null when there is none. */
export function useStand(): BenchStand | null {
  const site = useSite((s) => s.site);
  const { standId, day } = useBenchLook();
  const chart = useStore(useWorkspace().charts, (s) => s.chart);
  return useMemo(() => standOnBench({ site: sitePreview(site, chart, day) }, standId), [site, standId, chart, day]);
}

/** The light of one tier; null until there is any. */
export function useTierLight(tier: BenchTier): TierLight | null {
  return useStore(useWorkspace().benchLights, (s) => (s.status === 'ready' ? (s.answer.tiers[tier.tier.id] ?? null) : null));
}

/** The trays of a tier with their verdicts, as far as their light is known. */
export function judgedTrays(tier: BenchTier, light: TierLight | null): readonly JudgedTray[] {
  if (!light) return NONE;
  const known = judgedBefore.get(light);
  if (known?.tier === tier) return known.judged;
  const judged = tier.trays.flatMap((tray) => {
    const own = light.trays[tray.tray.id];
    return own ? [judgeTray(tier, tray, own)] : [];
  });
  judgedBefore.set(light, { tier, judged });
  return judged;
}

const NONE: readonly JudgedTray[] = [];
/** Several places of the screen say how the same trays fare: they are judged once. */
const judgedBefore = new WeakMap<TierLight, { tier: BenchTier; judged: readonly JudgedTray[] }>();

/**
 * The same of a tier on the bench, of those trays that still stand there: while a hand moves, what is said stays with the last light, and
 * with the tier as it was for it, until the next is there.
 */
export function useJudged(tier: BenchTier): readonly JudgedTray[] {
  const { id, trays } = tier.tier;
  const judged = useStore(useWorkspace().benchLights, (s) => {
    const lit = s.status === 'ready' ? s.of.tiers.find((t) => t.tier.id === id) : null;
    return lit && s.status === 'ready' ? judgedTrays(lit, s.answer.tiers[id] ?? null) : NONE;
  });
  return useMemo(() => judged.filter((j) => trays.some((y) => y.id === j.tray.tray.id)), [judged, trays]);
}
