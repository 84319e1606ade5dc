import type { LightMap, Rect } from '../../light/field/Grid';
import type { Ppfd } from '../../units/quantities';
import { spreadOf, type LightSpread } from './LightSpread';

/**
 * The spread of a map's cells whose centres lie within any of the rectangles.
 * @throws RangeError when none does
 */
export function spreadOfMap({ area, columns, rows, ppfd }: LightMap, rects: readonly Rect[]): LightSpread {
  const values: Ppfd[] = [];
  for (let row = 0; row < rows; row++) {
    const y = area.y0 + ((row + 0.5) * (area.y1 - area.y0)) / rows;
    for (let column = 0; column < columns; column++) {
      const x = area.x0 + ((column + 0.5) * (area.x1 - area.x0)) / columns;
      if (rects.some((r) => x >= r.x0 && x <= r.x1 && y >= r.y0 && y <= r.y1)) values.push(ppfd[row * columns + column]!);
    }
  }
  return spreadOf(values);
}
