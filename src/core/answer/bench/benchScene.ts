import type { Emitter } from '../../light/emitters/Emitter';
import type { Scene, SceneLamp } from '../../light/scene/Scene';
import type { AskedTier } from './BenchQuestion';

const moved = (e: Emitter, x: number, z: number): Emitter => ({ ...e, x: e.x + x, z: e.z + z });

/** The lamps and the room of one tier alone, in its own coordinates. */
export const sceneOfTier = (tier: Pick<AskedTier, 'lamps' | 'room'>): Scene => ({
  lamps: tier.lamps,
  rooms: tier.room ? [tier.room] : [],
  obstructions: [],
});

/**
 * The whole stand as one scene, in its own coordinates.
 *
 * @param hours  every lamp counts by its hours over these, so that the scene times these hours is the dose; null: as strong as
 *               they burn
 */
export function sceneOfTiers(tiers: readonly AskedTier[], hours: number | null): Scene {
  return {
    lamps: tiers.flatMap((tier) =>
      tier.lamps.map((lamp): SceneLamp => {
        const weight = hours === null ? 1 : tier.hours / hours;
        return { ...lamp, emitters: lamp.emitters.map((e) => moved({ ...e, ppf: e.ppf * weight }, tier.x, tier.z)) };
      }),
    ),
    rooms: tiers.flatMap(({ room, x, z }) => (room ? [{ ...room, x: room.x + x, z: room.z + z }] : [])),
    obstructions: [],
  };
}
