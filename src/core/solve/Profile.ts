import type { Emitter } from '../light/emitters/Emitter';
import type { Rect } from '../light/field/Grid';
import { lightOf } from '../light/ppfdAtPoint';
import type { Metres, Ppfd } from '../quantities';

/** The light on the plants at one distance from the lamps. */
export interface AtDistance {
  readonly distance: Metres;
  readonly weakest: Ppfd;
  readonly mean: Ppfd;
  readonly strongest: Ppfd;
  /** Straight below the middle of the plants. */
  readonly centre: Ppfd;
}

/** The light on the plants at growing distances, the lamps all at one height. */
export type Profile = readonly AtDistance[];

export interface ProfileQuestion {
  /** The lamps as if their face hung at height 0 over the plane z = −distance. */
  readonly emitters: readonly Emitter[];
  readonly plantAreas: readonly Rect[];
  readonly nearest: Metres;
  readonly farthest: Metres;
}

/** Ratio of neighbouring distances: 3 %, finer than any hand hangs a lamp. */
const STEP = 1.03;
/** Greatest distance between the points that are asked on a tray, m. */
const PITCH = 0.03;

/**
 * Computes the light on the plants from the nearest to the farthest distance.
 *
 * Points stand at most 3 cm apart, the outer ones half a centimetre inside the rim, as the map's outer cells do.
 *
 * @param question  0 < nearest < farthest
 * @throws RangeError otherwise
 */
export function profileOf({ emitters, plantAreas, nearest, farthest }: ProfileQuestion): Profile {
  if (!(nearest > 0 && farthest > nearest)) throw new RangeError(`distances must rise from above 0, got ${nearest} to ${farthest}`);
  const lights = emitters.map(lightOf);
  const points = plantAreas.flatMap(pointsIn);
  const middle = [0, 1].map((axis) => plantAreas.reduce((s, r) => s + (axis ? r.y0 + r.y1 : r.x0 + r.x1) / 2, 0) / plantAreas.length);
  const at = (x: Metres, y: Metres, d: Metres) => lights.reduce((sum, light) => sum + light(x, y, -d), 0);
  const count = Math.ceil(Math.log(farthest / nearest) / Math.log(STEP));
  return Array.from({ length: count + 1 }, (_, i): AtDistance => {
    const distance = nearest * (farthest / nearest) ** (i / count);
    let weakest = Infinity, strongest = 0, sum = 0; // prettier-ignore
    for (const [x, y] of points) {
      const value = at(x, y, distance);
      sum += value;
      if (value < weakest) weakest = value;
      if (value > strongest) strongest = value;
    }
    return { distance, weakest, strongest, mean: sum / points.length, centre: at(middle[0]!, middle[1]!, distance) };
  });
}

function pointsIn({ x0, x1, y0, y1 }: Rect): [Metres, Metres][] {
  const along = (from: Metres, to: Metres) => {
    const inset = Math.min(0.005, (to - from) / 4);
    const n = Math.max(3, Math.ceil((to - from - 2 * inset) / PITCH) + 1);
    return Array.from({ length: n }, (_, i) => from + inset + ((to - from - 2 * inset) * i) / (n - 1));
  };
  const ys = along(y0, y1);
  return along(x0, x1).flatMap((x) => ys.map((y): [Metres, Metres] => [x, y]));
}

/** The light at any distance within the profile, between its points by straight lines in the logarithms. */
export function atDistance(profile: Profile, distance: Metres): AtDistance {
  const last = profile.length - 1;
  let i = profile.findIndex((p) => p.distance >= distance);
  if (i < 0) i = last;
  const [a, b] = [profile[Math.max(0, i - 1)]!, profile[i]!];
  const t = b.distance > a.distance ? Math.min(1, Math.max(0, Math.log(distance / a.distance) / Math.log(b.distance / a.distance))) : 0;
  const between = (p: Ppfd, q: Ppfd) => (p > 0 && q > 0 ? p * (q / p) ** t : p + (q - p) * t);
  return {
    distance,
    weakest: between(a.weakest, b.weakest),
    mean: between(a.mean, b.mean),
    strongest: between(a.strongest, b.strongest),
    centre: between(a.centre, b.centre),
  };
}
