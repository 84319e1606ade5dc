import type { Rect } from '../light/field/Grid';
import type { Metres } from '../quantities';

/** Points along and across a tray: the outer ones half a centimetre inside its rim, so that they count half. */
const ALONG = 9;
const ACROSS = 7;

/** What each point of a tray weighs in its mean, in the order of `pointsOf`; together one. */
export const POINT_WEIGHTS = Float64Array.from({ length: ALONG * ACROSS }, (_, k) => {
  const [i, j] = [Math.floor(k / ACROSS), k % ACROSS];
  const end = (n: number, last: number) => (n === 0 || n === last ? 0.5 : 1);
  return (end(i, ALONG - 1) * end(j, ACROSS - 1)) / ((ALONG - 1) * (ACROSS - 1));
});

/** The mean over a tray of what was taken at its points. */
export const meanOfPoints = (values: Float64Array): number => values.reduce((sum, v, k) => sum + v * POINT_WEIGHTS[k]!, 0);

/** The points of a tray at which a quick look takes its light. */
export function pointsOf({ x0, x1, y0, y1 }: Rect): (readonly [Metres, Metres])[] {
  const along = (from: Metres, to: Metres, n: number) => {
    const inset = Math.min(0.005, (to - from) / 4);
    return Array.from({ length: n }, (_, i) => from + inset + ((to - from - 2 * inset) * i) / (n - 1));
  };
  const ys = along(y0, y1, ACROSS);
  return along(x0, x1, ALONG).flatMap((x) => ys.map((y) => [x, y] as const));
}
