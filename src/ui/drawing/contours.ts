import { contours } from 'd3-contour';
import type { LightMap } from '@/core/light/field/Grid';
import type { Ppfd } from '@/core/units/quantities';

/** One line of equal light over the map, in the map's own metres, with a place for its number. */
export interface Contour {
  readonly value: Ppfd;
  readonly rings: readonly (readonly (readonly [number, number])[])[];
  readonly label: readonly [number, number] | null;
}

/** The map in cells of twice the side, each the mean of four: a quarter of the work while a hand moves. A last odd row or column is left out, a small map as it is. */
export function coarser(map: LightMap): LightMap {
  const { area, columns: across, rows: deep, ppfd, z } = map;
  if (Math.min(across, deep) < 16) return map;
  const [columns, rows] = [Math.floor(across / 2), Math.floor(deep / 2)];
  const halved = new Float32Array(columns * rows);
  for (let row = 0; row < rows; row++)
    for (let column = 0; column < columns; column++) {
      const at = 2 * row * across + 2 * column;
      halved[row * columns + column] = (ppfd[at]! + ppfd[at + 1]! + ppfd[at + across]! + ppfd[at + across + 1]!) / 4;
    }
  const [dx, dy] = [(area.x1 - area.x0) / across, (area.y1 - area.y0) / deep];
  return { area: { ...area, x1: area.x0 + 2 * columns * dx, y1: area.y0 + 2 * rows * dy }, z, columns, rows, ppfd: halved };
}

/** Lines of equal light at the given values. The outer edge of the map is not a line. */
export function contoursOf(map: LightMap, values: readonly Ppfd[]): Contour[] {
  const { area, columns, rows, ppfd } = map;
  const dx = (area.x1 - area.x0) / columns;
  const dy = (area.y1 - area.y0) / rows;
  return contours()
    .size([columns, rows])
    .thresholds([...values])(Array.from(ppfd))
    .map((c) => {
      const rings: (readonly [number, number])[][] = [];
      for (const polygon of c.coordinates) {
        for (const ring of polygon) {
          let piece: (readonly [number, number])[] = [];
          for (const [px, py] of ring as [number, number][]) {
            const onRim = px <= 0 || py <= 0 || px >= columns || py >= rows;
            if (onRim) {
              if (piece.length > 2) rings.push(piece);
              piece = [];
            } else piece.push([area.x0 + px * dx, area.y0 + py * dy]);
          }
          if (piece.length > 2) rings.push(piece);
        }
      }
      const longest = rings.reduce<(readonly [number, number])[]>((best, r) => (r.length > best.length ? r : best), []);
      return { value: c.value, rings, label: longest.length > 12 ? rightmost(longest) : null };
    });
}

/** The number stands where the line is farthest to the right. */
function rightmost(line: readonly (readonly [number, number])[]): readonly [number, number] {
  return line.reduce((best, p) => (p[0] > best[0] ? p : best));
}

/** Round values between two ends, five or so. */
export function roundSteps(low: number, high: number, count = 5): number[] {
  if (!(high > low)) return [];
  const rough = (high - low) / count;
  const power = 10 ** Math.floor(Math.log10(rough));
  const step = [1, 2, 5, 10].map((m) => m * power).find((s) => s >= rough)!;
  const values = [];
  for (let v = Math.ceil(low / step) * step; v < high; v += step) values.push(Math.round(v * 1e6) / 1e6);
  return values;
}
