import { isRoofed, LAMP_HEADROOM } from '../../site/stand/Enclosure';
import type { Metres } from '../../units/quantities';
import type { BenchTier } from './benchStand';

/** Whether something above keeps lamps and plants of a tier down: its own lid, or the next tier of the stand, whatever that is made of. */
export const isCovered = ({ tier, number }: Pick<BenchTier, 'tier' | 'number'>): boolean => isRoofed(tier.enclosure) || number > 1;

/** How high above its tier's floor the top of a lamp's face may be, m: with room for lamp and hooks below what is above; Infinity in the open. */
export const roofOf = (t: Pick<BenchTier, 'tier' | 'number'>): Metres =>
  isCovered(t) ? t.tier.enclosure.height - LAMP_HEADROOM : Infinity;

/** Lamps in the open shine from no higher than this over the floor. */
export const OPEN_HEIGHT: Metres = 1.2; // our choice: as far as a bench is worth lighting
