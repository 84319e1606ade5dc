import type { Crop } from './Crop';

/** Leaves of cabbages and peppers keep the marks of a hand. Source: Latimer 1998, HortTechnology 8:529–534; growers' consensus. */
const MARKED = /^(Brassica|Capsicum)\b/;

/** Whether stems get stronger when their tops are brushed, and leaves come to no harm by it. */
export const mayBrush = (crop: Pick<Crop, 'airMovementBenefit' | 'latin'>): boolean => crop.airMovementBenefit && !MARKED.test(crop.latin);
