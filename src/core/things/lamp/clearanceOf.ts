import type { Metres } from '../../units/quantities';
import type { Lamp } from './Lamp';

/** Leaves keep this far from any lamp, however cool: room for air to move, and for a day's growth. */
export const ROOM_FOR_AIR: Metres = 0.02; // our choice

/** How near leaves may come to a lamp from any side: for its heat, and never without room for air. */
export const clearanceOf = ({ heatClearance }: Pick<Lamp, 'heatClearance'>): Metres => Math.max(ROOM_FOR_AIR, heatClearance);
