import type { Metres } from '../../units/quantities';
import type { Lamp } from './Lamp';

/** Height of a housing over its face: growers' consensus for bars, tubes in fittings and panels. */
const HOUSING: Metres = 0.05;

/** How far a lamp reaches up from its face: a bulb by its neck, others by their housing. */
export const bodyHeightOf = ({ shape, length }: Pick<Lamp, 'shape' | 'length'>): Metres =>
  shape === 'bulb-bare' || shape === 'bulb-reflector' ? Math.max(HOUSING, length) : HOUSING;
