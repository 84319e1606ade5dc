import type { LightMap, Rect } from '../../light/field/Grid';
import { cellsWithin } from '../../light/field/statsOver';
import type { Spots } from './Spots';
import type { Ppfd } from '../../units/quantities';
import { nineSpotsOf } from '../../site/stand/nineSpots';
import { evenSpread, spreadOf, type LightSpread } from './LightSpread';

/** Of maps that are still held, what was summed up: a hand on the hours changes no map. */
const known = new WeakMap<LightMap, Map<string, LightSpread | null>>();

/** The spread of a map's cells whose centres lie within any of the rectangles, of a single one with its nine spots; null where none does. */
function spreadWithin(map: LightMap, rects: readonly Rect[]): LightSpread | null {
  const ofMap = known.get(map) ?? new Map<string, LightSpread | null>();
  known.set(map, ofMap);
  const key = rects.map((r) => `${r.x0} ${r.x1} ${r.y0} ${r.y1}`).join();
  const before = ofMap.get(key);
  if (before !== undefined) return before;
  const values: Ppfd[] = [];
  cellsWithin(map, rects, (value) => values.push(value));
  const found = values.length > 0 ? { ...spreadOf(values), ...nineOfMap(map, rects) } : null;
  ofMap.set(key, found);
  return found;
}

/**
 * The spread of a map's cells whose centres lie within any of the rectangles; of a single one with its nine spots.
 * @throws RangeError when none does
 */
export function spreadOfMap(map: LightMap, rects: readonly Rect[]): LightSpread {
  const found = spreadWithin(map, rects);
  if (!found) throw new RangeError('no cell of the map lies within the rectangles');
  return found;
}

/** A map at the nine spots of a tray, by the nearest cell; of several rectangles nothing. */
export function nineOfMap({ area, columns, rows, ppfd }: LightMap, [rect, ...others]: readonly Rect[]): Pick<LightSpread, 'nine'> {
  if (!rect || others.length > 0) return {};
  const cell = (at: number, from: number, to: number, count: number) =>
    Math.min(count - 1, Math.max(0, Math.floor(((at - from) / (to - from)) * count)));
  return { nine: nineSpotsOf(rect).map(([x, y]) => ppfd[cell(y, area.y0, area.y1, rows) * columns + cell(x, area.x0, area.x1, columns)]!) };
}

/** The same with its spots as they were worked out along with the map; of a tray that has been moved off its map since, even. */
export function spreadWith(spots: Spots<Ppfd>, map: LightMap, rects: readonly Rect[]): LightSpread {
  return { ...(spreadWithin(map, rects) ?? evenSpread(spots.mean)), ...spots };
}
