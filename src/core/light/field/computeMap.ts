import type { Metres } from '../../quantities';
import type { Emitter } from '../emitters/Emitter';
import { lightOf } from '../ppfdAtPoint';
import type { LightMap, Rect } from './Grid';

/**
 * The light on a level plane, as a map of PPFD at the centres of equal cells.
 *
 * @param area  x1 > x0, y1 > y0
 * @param z     height of the plane, m
 * @param cell  greatest side of a cell, m; > 0 (the cells are made to fit the area evenly)
 * @throws RangeError for an empty area, a cell ≤ 0 or a map of more than four million cells
 */
export function computeMap(emitters: readonly Emitter[], area: Rect, z: Metres, cell: Metres): LightMap {
  const width = area.x1 - area.x0;
  const depth = area.y1 - area.y0;
  if (!(width > 0 && depth > 0)) throw new RangeError(`area must have a width and a depth, got ${width} × ${depth} m`);
  if (!(cell > 0)) throw new RangeError(`cell must be > 0, got ${cell}`);
  // A whisker of tolerance, so that 1.2 m in 1 cm cells gives 120 columns and not 121.
  const columns = Math.max(1, Math.ceil(width / cell - 1e-9));
  const rows = Math.max(1, Math.ceil(depth / cell - 1e-9));
  if (columns * rows > 4e6) throw new RangeError(`a map holds at most 4000000 cells, got ${columns} × ${rows}`);
  const ppfd = new Float32Array(columns * rows);
  for (const emitter of emitters) {
    const light = lightOf(emitter);
    for (let row = 0; row < rows; row++) {
      const y = area.y0 + ((row + 0.5) * depth) / rows;
      for (let column = 0; column < columns; column++) {
        ppfd[row * columns + column]! += light(area.x0 + ((column + 0.5) * width) / columns, y, z);
      }
    }
  }
  return { area, z, columns, rows, ppfd };
}
