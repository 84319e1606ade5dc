import type { LightMap } from '@/core/light/field/Grid';

/** The light of the cell of a map that holds a place; beyond its rim of the nearest one. */
export function valueAt(map: LightMap, x: number, y: number): number {
  const { area, columns, rows, ppfd } = map;
  const column = Math.min(columns - 1, Math.max(0, Math.floor(((x - area.x0) / (area.x1 - area.x0)) * columns)));
  const row = Math.min(rows - 1, Math.max(0, Math.floor(((y - area.y0) / (area.y1 - area.y0)) * rows)));
  return ppfd[row * columns + column]!;
}
