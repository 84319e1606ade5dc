import { addFitting } from '../../site/stand/change';
import type { Change } from '../../site/stand/change';
import type { Tier } from '../../site/stand/Site';
import { LAMP_HEADROOM } from '../../site/stand/Enclosure';
import type { Lamp } from '../../things/lamp/Lamp';
import type { Metres } from '../../units/quantities';

/** Places across the depth that are tried for another lamp. */
const PLACES = 19;

/** Across the depth the place that is farthest from the lamps that hang there. */
function freest({ depth, fittings }: Pick<Tier, 'depth' | 'fittings'>): Metres {
  const room = (y: Metres) => Math.min(Math.min(y, depth - y) * 2, ...fittings.map((f) => Math.abs(f.y - y)));
  const places = Array.from({ length: PLACES }, (_, i) => (depth * (i + 1)) / (PLACES + 1));
  return places.reduce((a, b) => (room(b) > room(a) + 1e-9 ? b : a));
}

/** Hangs one more lamp over a tier: along its width, in the widest gap, as high as those that are there or just below its ceiling. */
export const hangOneMore =
  (tierId: string, lamp: Lamp, id: string): Change =>
  (site) => {
    const tier = site.stands.flatMap((s) => s.tiers).find((t) => t.id === tierId);
    if (!tier) return site;
    const face = tier.fittings[0]?.face ?? Math.max(0.1, tier.enclosure.height - LAMP_HEADROOM - 0.05);
    return addFitting(tierId, lamp, { x: tier.width / 2, y: freest(tier), face }, id)(site);
  };
