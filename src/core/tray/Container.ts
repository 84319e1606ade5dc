import type { Source } from '../library/Source';
import type { Metres } from '../quantities';

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
  readonly typicalUse: string;
  readonly sources: readonly Source[];
}
