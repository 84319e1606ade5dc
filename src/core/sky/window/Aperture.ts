import type { Metres, Radians, Share } from '../../units/quantities';

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
  /** What stands between the place and the glass, or beside the way; left out: nothing. */
  readonly beside?: readonly Beside[];
}

/**
 * An upright block before a place, its foot no higher than the place: across from `left` to `right` looking out, from `near` to `far` towards
 * the glass, and how far it reaches above the place.
 */
export interface Beside {
  readonly left: Metres;
  readonly right: Metres;
  readonly near: Metres;
  readonly far: Metres;
  readonly over: Metres;
  /** Of the light that crosses it, this share comes through. */
  readonly transmittance: Share;
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

/**
 * How steeply one sees out straight ahead, by the tangents of the lowest and the highest ray, blocks beside the way left out: in a
 * direction aside both are less by its cosine.
 */
export interface Steepness {
  readonly low: number;
  readonly high: number;
}

export function steepnessOf({ depth, bottom, top, reveal, lintels }: Aperture): Steepness {
  const outer = depth + reveal;
  let high = Math.min(top / depth, top / outer);
  for (const { away, over } of lintels) high = Math.min(high, over / away);
  return { low: Math.max(bottom / depth, bottom / outer), high };
}

/** From how low one sees out in a direction within the width that is seen. */
export function lowestSeen({ beside = [] }: Aperture, { low }: Steepness, azimuth: Radians): Radians {
  let from = Math.atan(low * Math.cos(azimuth));
  for (const block of beside) from = Math.max(from, hiddenUpTo(block, azimuth));
  return from;
}

/** Up to how high; nothing is seen where that is not above the lowest. */
export const highestSeen = ({ high }: Steepness, azimuth: Radians): Radians => Math.atan(high * Math.cos(azimuth));

/** Up to which height a block hides what is behind it; below the horizon where the direction passes it by. @param azimuth from the facing */
export function hiddenUpTo({ left, right, near, far, over }: Beside, azimuth: Radians): Radians {
  if (over <= 0) return -Math.PI / 2;
  const [aside, out] = [Math.sin(azimuth), Math.cos(azimuth)];
  // Along the level direction, from where to where it is over the block.
  let from = 0, to = Infinity; // prettier-ignore
  for (const [low, high, d] of [
    [left, right, aside],
    [near, far, out],
  ] as const) {
    // prettier-ignore
    if (Math.abs(d) < 1e-12) {
      if (low >= 0 || high <= 0) return -Math.PI / 2;
      continue;
    }
    from = Math.max(from, Math.min(low / d, high / d));
    to = Math.min(to, Math.max(low / d, high / d));
  }
  return from < to ? Math.atan2(over, from) : -Math.PI / 2;
}

/** The same place with what blocks hide of it in full, and with only those that let nothing through; `through`: what the others do let through. */
export function besideApart(aperture: Aperture): { all: Aperture; solid: Aperture; through: Share } | null {
  const { beside = [] } = aperture;
  const leafy = beside.find((b) => b.transmittance > 0);
  if (!leafy) return null;
  const opaque = (blocks: readonly Beside[]): Aperture => ({ ...aperture, beside: blocks.map((b) => ({ ...b, transmittance: 0 })) });
  return { all: opaque(beside), solid: opaque(beside.filter((b) => b.transmittance === 0)), through: leafy.transmittance };
}

/** How much of the sun's ray comes to the place, 0–1: less where leaves are in its way. @param azimuth from the window's facing, −π … π */
export function sunSeen(aperture: Aperture, azimuth: Radians, elevation: Radians): Share {
  if (!(elevation > 0) || Math.abs(azimuth) >= Math.PI / 2) return 0;
  const { depth, left, right, bottom, top, reveal, lintels, horizon, beside = [] } = aperture;
  const outer = depth + reveal;
  // Per metre straight out, how far the ray goes aside and up.
  const aside = Math.tan(azimuth);
  if (Math.min(depth * aside, outer * aside) < left || Math.max(depth * aside, outer * aside) > right) return 0;
  const up = Math.tan(elevation) / Math.cos(azimuth);
  if (depth * up < bottom || outer * up > top) return 0;
  for (const { away, over } of lintels) if (away * up > over) return 0;
  if (elevation <= horizonAt(horizon, azimuth)) return 0;
  let share: Share = 1;
  for (const block of beside) if (elevation <= hiddenUpTo(block, azimuth)) share = Math.min(share, block.transmittance);
  return share;
}

/** Whether any of the sun's ray comes in at the place. */
export const sunComesIn = (aperture: Aperture, azimuth: Radians, elevation: Radians): boolean => sunSeen(aperture, azimuth, elevation) > 0;
