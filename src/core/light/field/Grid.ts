import type { Metres, Ppfd } from '../../units/quantities';

/** A rectangle in the plane of a map: x along the width, y along the depth, in metres. */
export interface Rect {
  readonly x0: Metres;
  readonly x1: Metres;
  readonly y0: Metres;
  readonly y1: Metres;
}

/** PPFD on equal cells of a level rectangle, taken at the cells' centres; `index = column + columns · row`, rows from y0 on. */
export interface LightMap {
  readonly area: Rect;
  /** Height of the receiving plane above the tier's floor. */
  readonly z: Metres;
  readonly columns: number;
  readonly rows: number;
  readonly ppfd: Float32Array;
}

/** PPFD on level receivers spread over an upright rectangle at one depth; rows from the bottom up. */
export interface LightSlice {
  readonly x0: Metres;
  readonly x1: Metres;
  readonly z0: Metres;
  readonly z1: Metres;
  readonly y: Metres;
  readonly columns: number;
  readonly rows: number;
  readonly ppfd: Float32Array;
}

/** The light at one spot. */
export interface Spot {
  readonly x: Metres;
  readonly y: Metres;
  readonly ppfd: Ppfd;
}
