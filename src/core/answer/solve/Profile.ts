import type { Emitter } from '../../light/emitters/Emitter';
import { lightFieldOf } from '../../light/scene/LightField';
import { createCache } from '../../light/scene/Cache';
import type { Room } from '../../light/room/Room';
import type { Rect } from '../../light/field/Grid';
import { lightOf } from '../../light/ppfdAtPoint';
import { spreadOf, type LightSpread } from '../../judge/dli/LightSpread';
import { nineSpotsOf } from '../../site/stand/nineSpots';
import type { Metres, Ppfd } from '../../units/quantities';

/** The light on the plants at one distance from the lamps. */
export interface AtDistance extends LightSpread {
  readonly distance: Metres;
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
  /** The sides of the tier, and the height of the leaf tops in it (as `face`); null in the open. */
  readonly around: { readonly room: Room; readonly face: Metres } | null;
}

/** Ratio of neighbouring distances: 3 %, finer than any hand hangs a lamp. */
const STEP = 1.03;
/** Distances at which the light from the sides is worked out; between them its share of the whole changes slowly. */
const WITH_SIDES = 14;
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
export function profileOf({ emitters, plantAreas, nearest, farthest, around }: ProfileQuestion): Profile {
  if (!(nearest > 0 && farthest > nearest)) throw new RangeError(`distances must rise from above 0, got ${nearest} to ${farthest}`);
  const lights = emitters.map(lightOf);
  // Of a single tray the nine spots come last.
  const spots = plantAreas.length === 1 ? nineSpotsOf(plantAreas[0]!) : [];
  const points = plantAreas.flatMap(pointsIn);
  const middle = [0, 1].map((axis) => plantAreas.reduce((s, r) => s + (axis ? r.y0 + r.y1 : r.x0 + r.x1) / 2, 0) / plantAreas.length);
  const at = (x: Metres, y: Metres, d: Metres) => lights.reduce((sum, light) => sum + light(x, y, -d), 0);
  const count = Math.ceil(Math.log(farthest / nearest) / Math.log(STEP));
  const places: readonly Place[] = [...points, [middle[0]!, middle[1]!], ...spots];
  const gains = around ? gainsOf(emitters, places, at, nearest, farthest, around) : null;
  return Array.from({ length: count + 1 }, (_, i): AtDistance => {
    const distance = nearest * (farthest / nearest) ** (i / count);
    const gain = (k: number) => (gains ? gains(i / count, k) : 1);
    const light = ([x, y]: Place, k: number) => at(x, y, distance) * gain(k);
    const centre = light(places[points.length]!, points.length);
    const nine = spots.map((spot, k) => light(spot, points.length + 1 + k));
    return { distance, ...spreadOf(points.map(light)), centre, ...(nine.length > 0 && { nine }) };
  });
}

type Place = readonly [Metres, Metres];

/** Whole light over straight light at each place: worked out at a few distances, between them by straight lines. */
function gainsOf(
  emitters: readonly Emitter[],
  places: readonly Place[],
  straight: (x: Metres, y: Metres, d: Metres) => Ppfd,
  nearest: Metres,
  farthest: Metres,
  { room, face: canopy }: NonNullable<ProfileQuestion['around']>,
): (t: number, place: number) => number {
  const cache = createCache();
  const rows = Array.from({ length: WITH_SIDES + 1 }, (_, i) => {
    const distance = nearest * (farthest / nearest) ** (i / WITH_SIDES);
    const hung = emitters.map((e) => ({ ...e, z: e.z + canopy + distance }));
    const field = lightFieldOf({ lamps: [{ id: 'lamps', emitters: hung }], rooms: [room], obstructions: [] }, cache);
    return places.map(([x, y]) => {
      const bare = straight(x, y, distance);
      return bare > 0 ? field.ppfdAt(x, y, canopy) / bare : 1;
    });
  });
  return (t, place) => {
    const at = Math.min(WITH_SIDES - 1, Math.floor(t * WITH_SIDES));
    const part = t * WITH_SIDES - at;
    return rows[at]![place]! * (1 - part) + rows[at + 1]![place]! * part;
  };
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
    parts: a.parts.map((part, k) => between(part, b.parts[k]!)),
    ...(a.nine && b.nine && { nine: a.nine.map((spot, k) => between(spot, b.nine![k]!)) }),
  };
}
