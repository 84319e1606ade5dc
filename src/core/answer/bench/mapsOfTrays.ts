import type { LightMap } from '../../light/field/Grid';
import type { Cache } from '../../light/scene/Cache';
import type { Share } from '../../units/quantities';
import { lightFieldOf, type LightField } from '../../light/scene/LightField';
import type { BenchAnswer, BenchQuestion } from './BenchQuestion';
import { sceneOfTier, sceneOfTiers } from './benchScene';
import { mapOnTray } from './mapOnTray';
import { isSpiltInto, SPILL_PATCHES, spillInto } from './spillOver';

/** The light on each tray of some tiers, by the ids of tier and tray. */
export type TrayMaps = Readonly<Record<string, Readonly<Record<string, LightMap>>>>;

/**
 * The light on all trays of a stand, and nothing else: for the many days of a plan. What comes from other tiers is worked out with
 * fewer patches than in `answerBench`, in about two thirds of the time.
 *
 * @param cell  side of the cells, m; > 0
 * @returns PPFD at the leaf tops, µmol m⁻² s⁻¹; of lamps with other hours than the tier's by its dose
 * Error: within `MAPS_WITHIN` of `answerBench` (answerBench.test.ts).
 */
export function mapsOfTrays({ tiers, cell }: Pick<BenchQuestion, 'tiers' | 'cell'>, cache: Cache): TrayMaps {
  let whole: LightField | null = null;
  const wholeOf = () => (whole ??= lightFieldOf(sceneOfTiers(tiers, 1), cache, SPILL_PATCHES));
  return Object.fromEntries(
    tiers.map((tier) => {
      const scene = sceneOfTier(tier);
      const own = lightFieldOf(scene, cache);
      const spill = isSpiltInto(tier, tiers) ? spillInto(tier, lightFieldOf(scene, cache, SPILL_PATCHES), wholeOf, cache, false) : null;
      return [tier.id, Object.fromEntries(tier.trays.map((t) => [t.id, mapOnTray(t, tier, own, spill, cell, cache).map]))];
    }),
  );
}

/** By what share a map may be off what the bench says: a limit is held with as much to spare. */
export const MAPS_WITHIN: Share = 0.005;

/** The same out of an answer that is there already. */
export const mapsIn = ({ tiers }: BenchAnswer): TrayMaps =>
  Object.fromEntries(
    Object.entries(tiers).map(([id, { trays }]) => [id, Object.fromEntries(Object.entries(trays).map(([tray, { map }]) => [tray, map]))]),
  );
