import { lampOf, tierAlone } from '../../answer/stand/benchStand';
import type { Cache } from '../../light/scene/Cache';
import { LAMP_HEADROOM } from '../../site/stand/Enclosure';
import { faceSizeOf } from '../../site/stand/footprint';
import { CORD } from '../../site/stand/Hanger';
import type { Fitting, Site, Tier } from '../../site/stand/Site';
import type { Tables } from '../../things/tables/Tables';
import { carryOf, type TierCarry } from '../season/carryOf';

/** More of a kind are not hung over one tier. */
export const MOST_LAMPS = 8; // our choice

/** A lamp that is tried: its kind, or the very one that hangs there. */
export type TriedLamp = string | Fitting;

/**
 * What lamps give over the places of a tier, hung side by side over its whole depth; null where they are too wide for it. Its trays do
 * not count; what readings said counts as long as lamps are among them of which they said it.
 */
export function hungOver(site: Site, tier: Tier, lamps: readonly TriedLamp[], tables: Tables, cache: Cache): TierCarry | null {
  const width = lamps.reduce((sum, l) => sum + faceSizeOf(lampOf(site, typeof l === 'string' ? l : l.lampId, tables)).width, 0);
  if (width > tier.depth + 1e-9) return null;
  const face = Math.max(0.1, Math.min(1, tier.enclosure.height - LAMP_HEADROOM - 0.02));
  const fittings = lamps.map((l, i): Fitting => {
    const y = (tier.depth * (i + 0.5)) / lamps.length;
    if (typeof l !== 'string') return { ...l, y };
    return { id: `tried-${i}`, lampId: l, x: tier.width / 2, y, face, turn: 0, hanger: CORD };
  });
  const isOfItsOwn = lamps.some((l) => typeof l !== 'string');
  const bare = { ...tier, fittings, trays: [], ...(isOfItsOwn ? {} : { readings: [], fits: [] }) };
  return carryOf(tierAlone(site, bare, tables), cache);
}
