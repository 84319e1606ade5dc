'use client';
import { useMemo } from 'react';
import { tables } from '@/core/things/tables/libraryTables';
import { createCache, type Cache } from '@/core/light/scene/Cache';
import { lightThere, type LampOf, type LightThere, type ReadingPlace } from '@/core/measure/reading/lightThere';
import type { OtherTier } from '@/core/measure/reading/otherwiseOf';
import { litOf } from '@/core/site/reading/Reading';
import { leafTopsOf, type BenchStand, type BenchTier } from '@/core/answer/stand/benchStand';
import { lampsOf } from '@/core/answer/stand/comparedIn';
import { realLamps } from '@/core/answer/stand/knownOf';
import { aroundOf } from '@/core/site/stand/roomOf';
import { useSite } from '../shell/WorkspaceContext';

/** All that is needed to understand readings of a tier. */
export interface TierReadings {
  readonly stand: BenchStand;
  readonly tier: BenchTier;
  /** Lamps as on their boxes. */
  readonly lampOf: LampOf;
  /** What the plan gives at a place: lamps and sides as they are known to be. */
  plannedAt(place: ReadingPlace): LightThere;
  readonly others: readonly OtherTier[];
  /** Lamps and walls, settled: its readings share them. */
  readonly cache: Cache;
}

const NONE = {};

export function useTierReadings(stand: BenchStand, tier: BenchTier): TierReadings {
  const lamps = useSite((s) => s.site.lamps);
  return useMemo(() => {
    const lampOf = lampsOf({ lamps }, tables);
    const others = stand.tiers.filter((t) => t !== tier).map((t) => ({ lit: litOf(t.tier), around: aroundOf(t.tier, leafTopsOf(t)) }));
    const found = tier.known.fit?.sides?.reflectances ?? NONE;
    const realLampOf = realLamps(tier.known, lampOf);
    const cache = createCache();
    return { stand, tier, lampOf, plannedAt: (place) => lightThere(place, realLampOf, found, cache), others, cache };
  }, [stand, tier, lamps]);
}
