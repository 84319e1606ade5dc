import type { Metres } from '../../quantities';
import type { Emitter } from '../emitters/Emitter';
import { isLevel } from '../emitters/frameOf';
import { lightOf } from '../ppfdAtPoint';
import type { LightSlice } from './Grid';

/**
 * The light on level receivers over an upright rectangle, as one would see it from the front.
 *
 * @param from  x0 < x1, z0 < z1, at depth y; m
 * @param cell  greatest side of a cell, m; > 0
 * @throws RangeError for an empty rectangle, a cell ≤ 0 or more than four million cells
 */
export function computeSlice(
  emitters: readonly Emitter[],
  from: { x0: Metres; x1: Metres; z0: Metres; z1: Metres; y: Metres },
  cell: Metres,
): LightSlice {
  const { x0, x1, z0, z1, y } = from;
  if (!(x1 > x0 && z1 > z0)) throw new RangeError(`the slice must have a width and a height, got ${x1 - x0} × ${z1 - z0} m`);
  if (!(cell > 0)) throw new RangeError(`cell must be > 0, got ${cell}`);
  const columns = Math.max(1, Math.ceil((x1 - x0) / cell - 1e-9));
  const rows = Math.max(1, Math.ceil((z1 - z0) / cell - 1e-9));
  if (columns * rows > 4e6) throw new RangeError(`a slice holds at most 4000000 cells, got ${columns} × ${rows}`);
  const ppfd = new Float32Array(columns * rows);
  for (const emitter of emitters) {
    const light = lightOf(emitter);
    for (let row = 0; row < rows; row++) {
      const z = z0 + ((row + 0.5) * (z1 - z0)) / rows;
      if (z >= emitter.z && isLevel(emitter)) break;
      for (let column = 0; column < columns; column++) {
        ppfd[row * columns + column]! += light(x0 + ((column + 0.5) * (x1 - x0)) / columns, y, z);
      }
    }
  }
  return { x0, x1, z0, z1, y, columns, rows, ppfd };
}
