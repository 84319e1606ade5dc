'use client';
import { useMemo } from 'react';
import { shareWithin } from '@/core/light/field/statsOver';
import { colourOf } from '@/core/lamp/colourOf';
import { lightBandOf } from '@/core/dose/lightBand';
import { plantAreaOf } from '@/core/stand/footprint';
import type { SetUp } from '@/core/stand/setUp';
import { doubtOfDistance } from '@/core/uncertainty/doubtOfDistance';
import { doubtOfSides } from '@/core/uncertainty/doubtOfSides';
import { doubtsOf } from '@/core/uncertainty/doubtsOfLamp';
import type { Doubt } from '@/core/uncertainty/Band';
import { judge, type Verdict } from '@/core/verdict/judge';
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
    const { map, stats, meanNearer, meanFarther, reflectedShare } = light.answer;
    const doubts = [
      ...doubtsOf(setUp.lamp, colourOf(setUp.lamp), setUp.calibration, setUp.tier.ageing),
      doubtOfDistance(meanNearer, stats.mean, meanFarther),
      ...(reflectedShare > 0 ? [doubtOfSides(setUp.tier.enclosure, reflectedShare, setUp.known.fit?.sides)] : []),
    ];
    const band = lightBandOf(setUp.stage, setUp.hours);
    const share = shareWithin(map, light.of.tier.trays.map(plantAreaOf), band.low, band.high);
    const stale = light.of.tier !== setUp.tier || light.of.lamp !== setUp.lamp || light.of.canopy !== setUp.canopy;
    return { stale, verdict: judge(stats, share, setUp.stage, setUp.hours, doubts), stats, doubts, reflectedShare };
  }, [light, setUp]);
}
