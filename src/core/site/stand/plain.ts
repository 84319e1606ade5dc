import type { Metres } from '../../units/quantities';
import type { Container } from '../../things/container/Container';
import type { Tray } from './Site';

/** Thickness of a shelf, wire with its rim or board. */
export const SHELF: Metres = 0.03; // growers' consensus

/** Height of an upturned tray, the riser that everybody has. */
const RISER: Metres = 0.06; // a common seed tray; growers' consensus

/** A tray that stands on the floor of its tier. */
export const ON_THE_FLOOR: Pick<Tray, 'risers' | 'riserHeight' | 'coverId' | 'label'> = {
  risers: 0,
  riserHeight: RISER,
  coverId: null,
  label: '',
};

/** The sizes that a tray takes from its container. */
export function sizesOf(c: Container): Pick<Tray, 'containerId' | 'length' | 'width' | 'height' | 'insideLength' | 'insideWidth'> {
  return {
    containerId: c.id,
    length: c.length,
    width: c.width,
    height: c.height,
    insideLength: c.insideLength,
    insideWidth: c.insideWidth,
  };
}
