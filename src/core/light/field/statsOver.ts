import type { Metres, Ppfd, Share } from '../../units/quantities';
import type { LightMap, Rect, Spot } from './Grid';

/** What a grower asks of one tray: its mean, its weakest and its strongest spot, and how even it is. */
export interface AreaStats {
  readonly mean: Ppfd;
  readonly weakest: Spot;
  readonly strongest: Spot;
  readonly centre: Spot;
  readonly uniformityMinOverMean: Share;
  readonly uniformityMinOverMax: Share;
}

/** Visits the cells of a map whose centres lie within any of the rectangles, row by row. */
export function cellsWithin(
  { area, columns, rows, ppfd }: LightMap,
  rects: readonly Rect[],
  visit: (value: Ppfd, x: Metres, y: Metres) => void,
): void {
  const dx = (area.x1 - area.x0) / columns;
  const dy = (area.y1 - area.y0) / rows;
  for (let row = 0; row < rows; row++) {
    const y = area.y0 + (row + 0.5) * dy;
    const here = rects.filter((r) => y >= r.y0 && y <= r.y1);
    if (here.length === 0) continue;
    for (let column = 0; column < columns; column++) {
      const x = area.x0 + (column + 0.5) * dx;
      if (here.some((r) => x >= r.x0 && x <= r.x1)) visit(ppfd[row * columns + column]!, x, y);
    }
  }
}

/**
 * Statistics over the cells of a map whose centres lie within any of the given rectangles.
 *
 * @param rects  at least one, overlapping the map
 * @throws RangeError when no cell lies within them
 */
export function statsOver(map: LightMap, rects: readonly Rect[]): AreaStats {
  const cx = rects.reduce((sum, r) => sum + (r.x0 + r.x1) / 2, 0) / rects.length;
  const cy = rects.reduce((sum, r) => sum + (r.y0 + r.y1) / 2, 0) / rects.length;
  let sum = 0, count = 0; // prettier-ignore
  let weakest: Spot | null = null, strongest: Spot | null = null, centre: Spot | null = null, nearest = Infinity; // prettier-ignore
  cellsWithin(map, rects, (value, x, y) => {
    sum += value;
    count++;
    if (!weakest || value < weakest.ppfd) weakest = { x, y, ppfd: value };
    if (!strongest || value > strongest.ppfd) strongest = { x, y, ppfd: value };
    const away = (x - cx) ** 2 + (y - cy) ** 2;
    if (away < nearest) {
      nearest = away;
      centre = { x, y, ppfd: value };
    }
  });
  return statsFrom(weakest, strongest, centre, sum / count);
}

function statsFrom(weakest: Spot | null, strongest: Spot | null, centre: Spot | null, mean: Ppfd): AreaStats {
  if (!weakest || !strongest || !centre) throw new RangeError('no cell of the map lies within the rectangles');
  return {
    mean,
    weakest,
    strongest,
    centre,
    uniformityMinOverMean: mean > 0 ? weakest.ppfd / mean : 0,
    uniformityMinOverMax: strongest.ppfd > 0 ? weakest.ppfd / strongest.ppfd : 0,
  };
}

/** Share of the cells within the rectangles of which something is true. */
export function shareWhere(map: LightMap, rects: readonly Rect[], holds: (value: Ppfd, x: Metres, y: Metres) => boolean): Share {
  let inside = 0, count = 0; // prettier-ignore
  cellsWithin(map, rects, (value, x, y) => {
    count++;
    if (holds(value, x, y)) inside++;
  });
  return count > 0 ? inside / count : 0;
}

/** Share of the cells within the rectangles whose PPFD lies within [low, high]. */
export const shareWithin = (map: LightMap, rects: readonly Rect[], low: Ppfd, high: Ppfd): Share =>
  shareWhere(map, rects, (value) => value >= low && value <= high);
