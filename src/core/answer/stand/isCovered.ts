import { isRoofed } from '../../site/stand/Enclosure';
import type { BenchTier } from './benchStand';

/** Whether something above keeps lamps and plants of a tier down: its own lid, or the next tier of the stand, whatever that is made of. */
export const isCovered = ({ tier, number }: Pick<BenchTier, 'tier' | 'number'>): boolean => isRoofed(tier.enclosure) || number > 1;
