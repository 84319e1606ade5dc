import type { LightMap } from '../../light/field/Grid';
import type { Cache } from '../../light/scene/Cache';
import type { LightField } from '../../light/scene/LightField';
import type { Metres, Share } from '../../units/quantities';
import type { AskedTier, AskedTray } from './BenchQuestion';
import { neighbourShade } from './neighbourShade';
import { addCoarse, dimByCoarse, type Spill } from './spillOver';

/**
 * The light at the leaf tops of a tray: that of its tier, less what taller neighbours take, and that from other tiers; through its cover.
 *
 * @param own  the light of the tier's own lamps, in its own coordinates
 * @param spill  what comes from other tiers; null: nothing does
 * @param cell  side of the cells, m
 */
export function mapOnTray(
  asked: AskedTray,
  tier: AskedTier,
  own: LightField,
  spill: Spill | null,
  cell: Metres,
  cache: Cache,
): { readonly map: LightMap; readonly shadedShare: Share } {
  const { outline, canopy, through } = asked;
  const map = own.map(outline, canopy, cell);
  const shade = neighbourShade(asked, tier, own, cache);
  const shadedShare = shade ? dimByCoarse(shade, map) : 0;
  addSpill(spill, map);
  if (through < 1) for (let i = 0; i < map.ppfd.length; i++) map.ppfd[i]! *= through;
  return { map, shadedShare };
}

/** Adds what comes from other tiers to a level map of a tier. */
export function addSpill(spill: Spill | null, map: LightMap): void {
  if (spill) addCoarse(spill.level(map.z), map, [map.area.x0, map.area.y0], [map.area.x1, map.area.y1]);
}
