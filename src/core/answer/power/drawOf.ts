import type { Watts } from '../../units/quantities';
import type { BenchTier } from '../stand/benchStand';

/** What the lamps of a tier draw as they are set: as measured where that is known, and as far as they are dimmed. */
export const drawOf = (tier: Pick<BenchTier, 'lamps'>): Watts => tier.lamps.reduce((sum, l) => sum + l.real.power, 0);
