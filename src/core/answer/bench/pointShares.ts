import { lightFieldOf } from '../../light/scene/LightField';
import { NO_CACHE, type Cache } from '../../light/scene/Cache';
import type { Metres, Ppfd } from '../../units/quantities';
import type { AskedTier } from './BenchQuestion';
import { sceneOfTier } from './benchScene';

/** What each lamp of a tier gives to one place of it, straight and by way of the sides. */
export function pointShares(
  tier: AskedTier,
  x: Metres,
  y: Metres,
  z: Metres,
  cache: Cache = NO_CACHE,
): readonly { readonly id: string; readonly ppfd: Ppfd }[] {
  return tier.lamps.map((lamp) => ({
    id: lamp.id,
    ppfd: lightFieldOf(sceneOfTier({ lamps: [lamp], room: tier.room }), cache).ppfdAt(x, y, z),
  }));
}
