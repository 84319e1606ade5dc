import type { Metres, Radians } from '../../units/quantities';

/** A point of the line behind which nothing of the sky is seen; azimuth from the window's facing, positive to the right looking out. */
export interface HorizonPoint {
  readonly azimuth: Radians;
  readonly elevation: Radians;
}

/**
 * The hole in the wall through which a place sees the sky, seen from that place: across from left to right looking out, up from the
 * height of the place.
 */
export interface Aperture {
  /** From the place to the glass, > 0. */
  readonly depth: Metres;
  readonly left: Metres;
  readonly right: Metres;
  /** Edges of the glass over the place; the lower one may lie below it. */
  readonly bottom: Metres;
  readonly top: Metres;
  /** Thickness of the wall outside the glass: its edges hide the sky from the side. */
  readonly reveal: Metres;
  /** Level edges that hide what is steeper: of a roof over the window, of the shelf over the plants. From the place: how far, how high. */
  readonly lintels: readonly { readonly away: Metres; readonly over: Metres }[];
  /** From left to right; the line runs straight between them and level beyond the outermost. Empty: flat. */
  readonly horizon: readonly HorizonPoint[];
}

/** How high what stands outside reaches in a direction; 0 on a flat horizon. */
export function horizonAt(horizon: readonly HorizonPoint[], azimuth: Radians): Radians {
  const first = horizon[0];
  if (!first) return 0;
  if (azimuth <= first.azimuth) return first.elevation;
  for (let i = 1; i < horizon.length; i++) {
    const [a, b] = [horizon[i - 1]!, horizon[i]!];
    if (azimuth > b.azimuth) continue;
    // Two points above each other are a wall.
    const span = b.azimuth - a.azimuth;
    return span <= 0 ? Math.max(a.elevation, b.elevation) : a.elevation + ((b.elevation - a.elevation) * (azimuth - a.azimuth)) / span;
  }
  return horizon.at(-1)!.elevation;
}

/** The directions through the glass, from left to right. */
export function widthSeen({ depth, left, right, reveal }: Aperture): { from: Radians; to: Radians } {
  const outer = depth + reveal;
  return {
    from: Math.max(Math.atan2(left, depth), Math.atan2(left, outer)),
    to: Math.min(Math.atan2(right, depth), Math.atan2(right, outer)),
  };
}

/** From how low to how high one sees out in a direction; nothing where `to` is not above `from`. */
export function heightSeen({ depth, bottom, top, reveal, lintels }: Aperture, azimuth: Radians): { from: Radians; to: Radians } {
  const k = Math.cos(azimuth);
  const outer = depth + reveal;
  const from = Math.max(Math.atan2(bottom * k, depth), Math.atan2(bottom * k, outer));
  let to = Math.min(Math.atan2(top * k, depth), Math.atan2(top * k, outer));
  for (const { away, over } of lintels) to = Math.min(to, Math.atan2(over * k, away));
  return { from, to };
}

/** Whether the sun's ray comes in at the place. @param azimuth from the window's facing, −π … π */
export function sunComesIn(aperture: Aperture, azimuth: Radians, elevation: Radians): boolean {
  if (!(elevation > 0) || Math.abs(azimuth) >= Math.PI / 2) return false;
  const { depth, left, right, bottom, top, reveal, lintels, horizon } = aperture;
  const outer = depth + reveal;
  // Per metre straight out, how far the ray goes aside and up.
  const aside = Math.tan(azimuth);
  if (Math.min(depth * aside, outer * aside) < left || Math.max(depth * aside, outer * aside) > right) return false;
  const up = Math.tan(elevation) / Math.cos(azimuth);
  if (depth * up < bottom || outer * up > top) return false;
  for (const { away, over } of lintels) if (away * up > over) return false;
  return elevation > horizonAt(horizon, azimuth);
}
