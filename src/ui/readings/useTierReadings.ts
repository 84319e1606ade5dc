'use client';
import { useMemo } from 'react';
import { tables } from '@/core/library/tables';
import type { LampOf } from '@/core/reading/lightThere';
import type { OtherTier } from '@/core/reading/otherwiseOf';
import { litOf } from '@/core/reading/Reading';
import { lampsOf, type BenchStand, type BenchTier } from '@/core/stand/benchStand';
import { realLamps } from '@/core/stand/knownOf';
import { aroundOf } from '@/core/stand/roomOf';
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
