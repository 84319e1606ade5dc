'use client';
import { useMemo } from 'react';
import { tables } from '@/core/things/tables/libraryTables';
import type { LampOf } from '@/core/measure/reading/lightThere';
import type { OtherTier } from '@/core/measure/reading/otherwiseOf';
import { litOf } from '@/core/site/reading/Reading';
import { lampsOf, type BenchStand, type BenchTier } from '@/core/answer/stand/benchStand';
import { realLamps } from '@/core/answer/stand/knownOf';
import { aroundOf } from '@/core/site/stand/roomOf';
import { useSite } from '../shell/WorkspaceContext';

/** All that is needed to understand readings of a tier. */
export interface TierReadings {
  readonly stand: BenchStand;
  readonly tier: BenchTier;
  /** Lamps as on their boxes. */
  readonly lampOf: LampOf;
  /** Lamps as they are known to be. */
  readonly realLampOf: LampOf;
  /** Reflectances that readings have found. */
  readonly found: Readonly<Record<string, number>>;
  readonly others: readonly OtherTier[];
}

const NONE = {};

export function useTierReadings(stand: BenchStand, tier: BenchTier): TierReadings {
  const lamps = useSite((s) => s.site.lamps);
  return useMemo(() => {
    const lampOf = lampsOf({ lamps }, tables);
    const others = stand.tiers.filter((t) => t !== tier).map((t) => ({ lit: litOf(t.tier), around: aroundOf(t.tier) }));
    const found = tier.known.fit?.sides?.reflectances ?? NONE;
    return { stand, tier, lampOf, realLampOf: realLamps(tier.known, lampOf), found, others };
  }, [stand, tier, lamps]);
}
