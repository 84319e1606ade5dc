import type { Source } from '../../units/Source';
import type { Metres } from '../../units/quantities';

/** A tray, pot, bin or block; lengths of the outside, and of the inside where plants stand. */
export interface Container {
  readonly id: string;
  readonly name: string;
  readonly kind: string;
  readonly length: Metres;
  readonly width: Metres;
  readonly height: Metres;
  readonly insideLength: Metres;
  readonly insideWidth: Metres;
  readonly plants: number | null;
  readonly columns: number | null;
  readonly rows: number | null;
  /** From the middle of one cell to the next; null where plants stand freely or alone. */
  readonly pitch: Metres | null;
  /** Of mix in one cell, or in all of it where there are none. */
  readonly volume_L: number;
  /** As many as stand in a standard flat; null where that is not said of its kind. */
  readonly perFlat: number | null;
  readonly typicalUse: string;
  readonly sources: readonly Source[];
}
