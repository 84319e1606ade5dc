import type { Ppfd, Share } from '../../units/quantities';
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

/**
 * Statistics over the cells of a map whose centres lie within any of the given rectangles.
 *
 * @param rects  at least one, overlapping the map
 * @throws RangeError when no cell lies within them
 */
export function statsOver(map: LightMap, rects: readonly Rect[]): AreaStats {
  const { area, columns, rows, ppfd } = map;
  const dx = (area.x1 - area.x0) / columns;
  const dy = (area.y1 - area.y0) / rows;
  const cx = rects.reduce((sum, r) => sum + (r.x0 + r.x1) / 2, 0) / rects.length;
  const cy = rects.reduce((sum, r) => sum + (r.y0 + r.y1) / 2, 0) / rects.length;
  let sum = 0, count = 0; // prettier-ignore
  let weakest: Spot | null = null, strongest: Spot | null = null, centre: Spot | null = null, nearest = Infinity; // prettier-ignore
  for (let row = 0; row < rows; row++) {
    const y = area.y0 + (row + 0.5) * dy;
    for (let column = 0; column < columns; column++) {
      const x = area.x0 + (column + 0.5) * dx;
      if (!rects.some((r) => x >= r.x0 && x <= r.x1 && y >= r.y0 && y <= r.y1)) continue;
      const value = ppfd[row * columns + column]!;
      sum += value;
      count++;
      if (!weakest || value < weakest.ppfd) weakest = { x, y, ppfd: value };
      if (!strongest || value > strongest.ppfd) strongest = { x, y, ppfd: value };
      const away = (x - cx) ** 2 + (y - cy) ** 2;
      if (away < nearest) {
        nearest = away;
        centre = { x, y, ppfd: value };
      }
    }
  }
  if (!weakest || !strongest || !centre) throw new RangeError('no cell of the map lies within the rectangles');
  const mean = sum / count;
  return {
    mean,
    weakest,
    strongest,
    centre,
    uniformityMinOverMean: mean > 0 ? weakest.ppfd / mean : 0,
    uniformityMinOverMax: strongest.ppfd > 0 ? weakest.ppfd / strongest.ppfd : 0,
  };
}

/** Share of the cells within the rectangles whose PPFD lies within [low, high]. */
export function shareWithin(map: LightMap, rects: readonly Rect[], low: Ppfd, high: Ppfd): Share {
  const { area, columns, rows, ppfd } = map;
  const dx = (area.x1 - area.x0) / columns;
  const dy = (area.y1 - area.y0) / rows;
  let inside = 0, count = 0; // prettier-ignore
  for (let i = 0; i < ppfd.length; i++) {
    const x = area.x0 + ((i % columns) + 0.5) * dx;
    const y = area.y0 + (Math.floor(i / columns) + 0.5) * dy;
    if (!rects.some((r) => x >= r.x0 && x <= r.x1 && y >= r.y0 && y <= r.y1)) continue;
    count++;
    if (ppfd[i]! >= low && ppfd[i]! <= high) inside++;
  }
  return count > 0 ? inside / count : 0;
}
