import type { Rect } from '../../light/field/Grid';
import type { Lamp } from '../../things/lamp/Lamp';
import type { Metres, Share } from '../../units/quantities';
import { faceSizeOf } from './footprint';
import type { Fitting } from './Site';

/** Points along and across a tray: the outer ones half a centimetre inside its rim, so that they count half. */
export const ALONG = 9;
export const ACROSS = 7;
const INSET: Metres = 0.005;

/** The points of a tray at which a quick look takes its light, and what each weighs in the mean; all weights together are one. */
export interface TrayPoints {
  readonly places: readonly (readonly [Metres, Metres])[];
  readonly weights: Float64Array;
}

/**
 * A grid over a tray, and the places under its lamps where it is strongest: those count for the strongest spot, and not for the
 * mean.
 *
 * @param lamps  that hang over the tier, in the tray's own coordinates
 */
export function trayPointsOf(area: Rect, lamps: readonly { readonly fitting: Fitting; readonly lamp: Lamp }[]): TrayPoints {
  const { x0, x1, y0, y1 } = area;
  const ys = alongSide(y0, y1, ACROSS);
  const grid = alongSide(x0, x1, ALONG).flatMap((x) => ys.map((y) => [x, y] as const));
  const within = (v: Metres, from: Metres, to: Metres) => Math.min(to - INSET, Math.max(from + INSET, v));
  const feet = lamps.flatMap(({ fitting, lamp }) => {
    const { length } = faceSizeOf(lamp);
    // The middle of a long lamp, and half way to its ends.
    return [-0.25, 0, 0.25].map((u) => {
      const [x, y] = [fitting.x + u * length * Math.cos(fitting.turn), fitting.y + u * length * Math.sin(fitting.turn)];
      return [within(x, x0, x1), within(y, y0, y1)] as const;
    });
  });
  return { places: [...grid, ...feet], weights: Float64Array.from([...GRID_WEIGHTS, ...feet.map(() => 0)]) };
}

/** Even places along a side, the outer ones inside the rim. */
export function alongSide(from: Metres, to: Metres, n: number): Metres[] {
  const inset = Math.min(INSET, (to - from) / 4);
  return Array.from({ length: n }, (_, i) => from + inset + ((to - from - 2 * inset) * i) / (n - 1));
}

const GRID_WEIGHTS: readonly Share[] = Array.from({ length: ALONG * ACROSS }, (_, k) => {
  const [i, j] = [Math.floor(k / ACROSS), k % ACROSS];
  const end = (n: number, last: number) => (n === 0 || n === last ? 0.5 : 1);
  return (end(i, ALONG - 1) * end(j, ACROSS - 1)) / ((ALONG - 1) * (ACROSS - 1));
});
