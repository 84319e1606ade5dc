import type { Rect } from '../../light/field/Grid';
import type { Metres, Share } from '../../units/quantities';
import { ACROSS, ALONG, alongSide } from './trayPoints';

/**
 * Nine spots of a tray that keep their places, from left to right and within each from front to back: its corners, the middles of its
 * sides, and its own middle. There light that comes from one side is told apart from light that comes from above.
 */
export const nineSpotsOf = ({ x0, x1, y0, y1 }: Rect): readonly (readonly [Metres, Metres])[] => {
  const ys = alongSide(y0, y1, 3);
  return alongSide(x0, x1, 3).flatMap((x) => ys.map((y) => [x, y] as const));
};

/** The nine spots among the points of a tray (`trayPointsOf`). */
export const NINE_AMONG_POINTS: readonly number[] = [0, (ALONG - 1) / 2, ALONG - 1].flatMap((i) =>
  [0, (ACROSS - 1) / 2, ACROSS - 1].map((j) => i * ACROSS + j),
);

/** What each spot weighs in the mean of a tray: Simpson's rule both ways. */
export const NINE_WEIGHTS: readonly Share[] = [1, 4, 1].flatMap((a) => [1, 4, 1].map((b) => (a * b) / 36));

/** A value at one place of a tray by straight lines between its nine spots. @param u from its left, @param v from its front, 0 … 1 */
export function betweenNine(nine: readonly number[], u: Share, v: Share): number {
  const [i, a] = u < 0.5 ? [0, 2 * Math.max(0, u)] : [1, 2 * Math.min(1, u) - 1];
  const [j, b] = v < 0.5 ? [0, 2 * Math.max(0, v)] : [1, 2 * Math.min(1, v) - 1];
  const at = (k: number) => nine[3 * k + j]! * (1 - b) + nine[3 * k + j + 1]! * b;
  return at(i) * (1 - a) + at(i + 1) * a;
}

/** Cells along each side: two for each eighth of a tray. */
const CELLS = 4;
/** Of each cell the four spots around it, and how much each of them counts. */
const AROUND: readonly { readonly spot: number; readonly share: Share }[] = Array.from({ length: CELLS ** 2 }, (_, cell) =>
  Array.from({ length: 9 }, (__, spot) => {
    const alone = Array.from({ length: 9 }, (___, i) => (i === spot ? 1 : 0));
    return { spot, share: betweenNine(alone, ((cell % CELLS) + 0.5) / CELLS, (Math.floor(cell / CELLS) + 0.5) / CELLS) };
  }).filter(({ share }) => share > 0),
).flat();
const SPOTS = Int32Array.from(AROUND, ({ spot }) => spot);
const SHARES = Float64Array.from(AROUND, ({ share }) => share);

/** So many equal cells all over a tray. */
export const CELLS_OF_TRAY = CELLS ** 2;

/** Values in the middle of equal cells all over a tray, from those at its nine spots; the least first. @param cells written to: charts ask a million times */
export function overTray(nine: readonly number[], cells: Float64Array): void {
  for (let k = 0; k < CELLS_OF_TRAY; k++) {
    let value = 0;
    for (let n = 4 * k; n < 4 * k + 4; n++) value += nine[SPOTS[n]!]! * SHARES[n]!;
    // Put where it belongs among those before it.
    let i = k;
    for (; i > 0 && cells[i - 1]! > value; i--) cells[i] = cells[i - 1]!;
    cells[i] = value;
  }
}
