import type { FaceName } from '../../light/room/Room';
import type { Metres } from '../../units/quantities';

/** What is around a tier: what each face is made of, and its size where that is not simply what lamps and trays need. */
export interface Enclosure {
  /** Between the sides; null: as wide as lamps and trays need. */
  readonly width: Metres | null;
  readonly depth: Metres | null;
  /** From the floor to the shelf above, or to the upper edge of the sides. */
  readonly height: Metres;
  /** Ids of the material library. */
  readonly faces: Readonly<Record<FaceName, string>>;
}

export const CLEAR_HEIGHT: Metres = 0.45; // between the shelves of a common wire rack; growers' consensus

export const IN_THE_OPEN: Enclosure = {
  width: null,
  depth: null,
  height: CLEAR_HEIGHT,
  faces: { floor: 'open', ceiling: 'open', left: 'open', right: 'open', front: 'open', back: 'open' },
};

/** Room that a lamp and its hooks need under a shelf. */
export const LAMP_HEADROOM: Metres = 0.03; // our estimate

/** Whether a shelf or lid above keeps the lamp down. */
export const isRoofed = ({ faces }: Enclosure): boolean => faces.ceiling !== 'open';
