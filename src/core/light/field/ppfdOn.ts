import type { Metres, Ppfd } from '../../units/quantities';
import type { LightMap } from './Grid';

/** The light on the cell of a map that a place lies in; beyond its rim that of the nearest. @param x, y  in the map's own coordinates, m */
export function ppfdOn({ area, columns, rows, ppfd }: LightMap, x: Metres, y: Metres): Ppfd {
  const cell = (v: Metres, from: Metres, to: Metres, n: number) => Math.min(n - 1, Math.max(0, Math.floor(((v - from) / (to - from)) * n)));
  return ppfd[cell(x, area.x0, area.x1, columns) + columns * cell(y, area.y0, area.y1, rows)]!;
}
