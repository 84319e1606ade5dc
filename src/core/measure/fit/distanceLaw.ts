import type { Compared } from '../reading/calibrate';
import { distanceOf } from '../../site/reading/Reading';
import type { Metres, Ppfd } from '../../units/quantities';

/** How light falls off under one spot, by a person's own readings. */
export interface DistanceLaw {
  /** From the middle of the tier. */
  readonly dx: Metres;
  readonly dy: Metres;
  /** The nearest first. */
  readonly readings: readonly { readonly id: string; readonly distance: Metres; readonly ppfd: Ppfd; readonly leftOut: boolean }[];
  /** The exponent of their own law, light ∝ distance^−n, by least squares in logarithms: 2 would be the inverse square. */
  readonly exponent: number;
}

/** Readings this near to each other seen from above are of one spot. */
const ONE_SPOT: Metres = 0.03; // a sensor's width; our estimate
/** Heights nearer to each other than this are one. */
const ONE_HEIGHT: Metres = 0.015;

/** Spots with readings at three heights or more, the one with most first. */
export function distanceLaws(compared: readonly Compared[]): DistanceLaw[] {
  const spots: Compared[][] = [];
  for (const c of compared) {
    const spot = spots.find((s) => Math.hypot(s[0]!.reading.dx - c.reading.dx, s[0]!.reading.dy - c.reading.dy) <= ONE_SPOT);
    if (spot) spot.push(c);
    else spots.push([c]);
  }
  return spots
    .flatMap((spot): DistanceLaw[] => {
      const readings = spot
        .map((c) => ({ id: c.reading.id, distance: distanceOf(c.reading), ppfd: c.measured, leftOut: c.reading.leftOut }))
        .filter((r) => r.distance > 0 && r.ppfd > 0)
        .sort((a, b) => a.distance - b.distance);
      const used = readings.filter((r) => !r.leftOut);
      const heights = used.filter((r, i) => i === 0 || r.distance - used[i - 1]!.distance > ONE_HEIGHT);
      if (heights.length < 3) return [];
      return [{ dx: spot[0]!.reading.dx, dy: spot[0]!.reading.dy, readings, exponent: -slopeOf(used) }];
    })
    .sort((a, b) => b.readings.length - a.readings.length);
}

/** Slope of ln light against ln distance. */
function slopeOf(readings: readonly { readonly distance: Metres; readonly ppfd: Ppfd }[]): number {
  const x = readings.map((r) => Math.log(r.distance));
  const y = readings.map((r) => Math.log(r.ppfd));
  const mean = (v: readonly number[]) => v.reduce((a, b) => a + b, 0) / v.length;
  const [mx, my] = [mean(x), mean(y)];
  const over = x.reduce((s, v, i) => s + (v - mx) * (y[i]! - my), 0);
  return over / x.reduce((s, v) => s + (v - mx) ** 2, 0);
}
