import { gaussLegendre } from '../../units/gaussLegendre';
import type { Radians, Share } from '../../units/quantities';
import { besideApart, highestSeen, horizonAt, lowestSeen, steepnessOf, widthSeen, type Aperture, type Steepness } from './Aperture';

/** What a receiver sees through the glass, each as a share of what an open sky of that kind gives to level ground. */
export interface SeenSky {
  /** Of a sky that is equally bright everywhere. */
  readonly uniform: Share;
  /** Of an overcast sky, three times as bright overhead as at the horizon. */
  readonly overcast: Share;
  /** Of things outside that stand before the sky, were they as bright as a uniform sky. */
  readonly obstructions: Share;
  /** Of the ground below the horizon, likewise. */
  readonly ground: Share;
}

/** What a place sees: leaves that face up, and leaves that face the pane. */
export interface SkyView {
  readonly up: SeenSky;
  readonly facing: SeenSky;
}

const NODES = 6;
const LEAST_STRIPS = 6;
const OVERCAST_LEVEL = (7 * Math.PI) / 9; // of the luminance overhead; Moon & Spencer 1942

/**
 * What a place sees of sky, things and ground through a window: strips of direction from left to right, each worked out in closed form
 * from its lowest to its highest ray.
 *
 *     up:      ∫ sin γ cos γ dγ dα / π            facing:  ∫ cos²γ cos α dγ dα / π
 *
 * Error: below 10⁻⁶ against the closed view factors of rectangles, and below 0.2 % of an open sky beside blocks, see view.test.ts.
 */
export function viewOf(aperture: Aperture): SkyView {
  const apart = besideApart(aperture);
  if (!apart) return viewPast(aperture);
  const [hidden, clear] = [viewPast(apart.all), viewPast(apart.solid)];
  const mix = (a: SeenSky, b: SeenSky): SeenSky => ({
    uniform: a.uniform + apart.through * (b.uniform - a.uniform),
    overcast: a.overcast + apart.through * (b.overcast - a.overcast),
    obstructions: a.obstructions + apart.through * (b.obstructions - a.obstructions),
    ground: a.ground + apart.through * (b.ground - a.ground),
  });
  return { up: mix(hidden.up, clear.up), facing: mix(hidden.facing, clear.facing) };
}

/** The same where nothing before the place lets light through. */
function viewPast(aperture: Aperture): SkyView {
  const { from, to } = widthSeen(aperture);
  const up = { uniform: 0, overcast: 0, obstructions: 0, ground: 0 };
  const facing = { uniform: 0, overcast: 0, obstructions: 0, ground: 0 };
  const rule = gaussLegendre(NODES);
  const steepness = steepnessOf(aperture);
  for (const [a, b] of stripsOf(aperture, steepness, from, to))
    for (let i = 0; i < NODES; i++) {
      const azimuth = (a + b) / 2 + rule.at[i]! * (b - a);
      const width = rule.weight[i]! * (b - a);
      const [low, high] = [lowestSeen(aperture, steepness, azimuth), highestSeen(steepness, azimuth)];
      if (high <= low) continue;
      const level = Math.max(low, 0);
      const top = Math.max(high, 0);
      const edge = Math.min(Math.max(horizonAt(aperture.horizon, azimuth), level), top);
      const cos = Math.cos(azimuth);
      const [toTop, toEdge] = [upTo(top), upTo(edge)];
      up.uniform += (width * (toTop.level - toEdge.level)) / Math.PI;
      up.overcast += (width * (toTop.levelOvercast - toEdge.levelOvercast)) / OVERCAST_LEVEL;
      facing.uniform += (width * cos * (toTop.upright - toEdge.upright)) / Math.PI;
      facing.overcast += (width * cos * (toTop.uprightOvercast - toEdge.uprightOvercast)) / OVERCAST_LEVEL;
      if (edge > level) {
        const toLevel = upTo(level);
        up.obstructions += (width * (toEdge.level - toLevel.level)) / Math.PI;
        facing.obstructions += (width * cos * (toEdge.upright - toLevel.upright)) / Math.PI;
      }
      if (low < 0) facing.ground += (width * cos * (upTo(Math.min(high, 0)).upright - upTo(low).upright)) / Math.PI;
    }
  return { up, facing };
}

/** What lies between the horizon and a height, before the width of its strip: on level and on upright leaves, of an even and of an overcast sky. */
function upTo(γ: Radians) {
  const [sin, cos] = [Math.sin(γ), Math.cos(γ)];
  const level = (sin * sin) / 2;
  const upright = (γ + sin * cos) / 2;
  return {
    level,
    levelOvercast: (level + (2 / 3) * sin * sin * sin) / 3,
    upright,
    uprightOvercast: (upright - (2 / 3) * cos * cos * cos) / 3,
  };
}

/** Strips within which everything is smooth: cut where the horizon bends or crosses an edge of the opening, and fine enough. */
function stripsOf(aperture: Aperture, steepness: Steepness, from: Radians, to: Radians): [Radians, Radians][] {
  if (!(to > from)) return [];
  const corners = (aperture.beside ?? []).flatMap(({ left, right, near, far }) =>
    [left, right].flatMap((x) => [near, far].map((y) => Math.atan2(x, y))),
  );
  const cuts = [...aperture.horizon.map((p) => p.azimuth), ...corners].filter((a) => a > from && a < to);
  for (let i = 0; i <= LEAST_STRIPS; i++) cuts.push(from + ((to - from) * i) / LEAST_STRIPS);
  const straight = between(cuts);
  return between([...cuts, ...straight.flatMap(([a, b]) => crossings(aperture, steepness, a, b))]);
}

function between(cuts: Radians[]): [Radians, Radians][] {
  const sorted = [...cuts].sort((a, b) => a - b);
  return sorted
    .slice(1)
    .map((c, i) => [sorted[i]!, c] as [number, number])
    .filter(([a, b]) => b - a > 1e-12);
}

/**
 * Where the horizon, straight from `a` to `b`, crosses the upper or lower edge of the opening. An edge over the place arches (atan(c cos α)
 * is concave for c > 0), so over a straight line it lies nowhere in between where it does at both ends; one under it the horizon never meets.
 */
function crossings(aperture: Aperture, steepness: Steepness, a: Radians, b: Radians): Radians[] {
  const { horizon } = aperture;
  if (horizon.length === 0) return [];
  const edges = [(azimuth: Radians) => lowestSeen(aperture, steepness, azimuth), (azimuth: Radians) => highestSeen(steepness, azimuth)];
  return edges.flatMap((edge) => {
    const clear = (azimuth: Radians) => edge(azimuth) - horizonAt(horizon, azimuth);
    const [atA, atB] = [clear(a), clear(b)];
    if (atA >= 0 && atB >= 0) return [];
    if (atA * atB < 0) return [rootOf(clear, a, b)];
    // Both ends are below: where it is highest, it would have to rise over the lower end of the line.
    const highest = edge(Math.min(b, Math.max(a, 0)));
    if (highest <= Math.min(horizonAt(horizon, a), horizonAt(horizon, b))) return [];
    const summit = summitOf(clear, a, b);
    return [
      [a, summit],
      [summit, b],
    ].flatMap(([low, high]) => (clear(low!) * clear(high!) < 0 ? [rootOf(clear, low!, high!)] : []));
  });
}

/** The highest point of a function that arches between `a` and `b`, by thirds. */
function summitOf(arch: (x: number) => number, a: number, b: number): number {
  for (let i = 0; i < 60 && b - a > 1e-10; i++) {
    const third = (b - a) / 3;
    if (arch(a + third) < arch(b - third)) a += third;
    else b -= third;
  }
  return (a + b) / 2;
}

/**
 * Where a function that has other signs at `a` and `b` is zero, within 10⁻¹³: by secants that keep it between them, the end that stays
 * counting half each time that it does (the Illinois rule; Dowell & Jarratt 1971, BIT 11:168–174).
 */
function rootOf(f: (x: number) => number, a: number, b: number): number {
  let [atA, atB] = [f(a), f(b)];
  for (let i = 0; i < 60 && Math.abs(b - a) > 1e-13; i++) {
    const next = b - (atB * (b - a)) / (atB - atA);
    const at = f(next);
    if (at === 0) return next;
    if (at * atB < 0) [a, atA] = [b, atB];
    else atA /= 2;
    const moved = Math.abs(next - b);
    [b, atB] = [next, at];
    if (moved < 1e-13) break;
  }
  return b;
}
