import { sceneOfTier } from '../../answer/bench/benchScene';
import type { AskedTier } from '../../answer/bench/BenchQuestion';
import { emitterKey } from '../../light/emitters/emitterKey';
import { lightOf } from '../../light/ppfdAtPoint';
import type { Cache } from '../../light/scene/Cache';
import { lightFieldOf, type LightField } from '../../light/scene/LightField';
import type { Scene } from '../../light/scene/Scene';
import { isClear } from '../../light/scene/straightLight';
import type { Metres } from '../../units/quantities';
import type { ChartMemory } from './ChartMemory';

export type Places = readonly (readonly [Metres, Metres])[];

/** The light of a tier's own lamps on some places at a height. */
export type OwnLight = (places: Places, z: Metres) => Float64Array;

/** Patches along each side of a room, as a share of the engine's own: moves no spot by more than 1 % (demo stands, white sides included). */
const COARSER = 0.7;

/**
 * The light of a tier's own lamps at heights that they may be lifted to. Straight from lamps that go up together it is the same at the same
 * distance, and worked out once; what faces send back is worked out at a few heights of leaves and carried over to those between.
 *
 * @param tier    as it is now
 * @param moves   of each lamp, whether it goes along
 * @param cache   what was computed for other tiers of the stand
 * @param memory  what charts before this one worked out
 * @returns  for a lift, m up from where the lamps hang, their light
 */
export function ownLightOf(
  { lamps, room }: AskedTier,
  moves: readonly boolean[],
  cache: Cache,
  memory: Pick<ChartMemory, 'rows'>,
): (lift: Metres) => OwnLight {
  const lights = (moving: boolean) => lamps.flatMap((lamp, k) => (moves[k] === moving ? lamp.emitters.map(lightOf) : []));
  const [moving, fixed] = [lights(true), lights(false)];
  const straights = new Map<string, Float64Array>();
  const sumOf = (of: typeof moving, name: string, places: Places, z: Metres): Float64Array => {
    const key = `${name} ${z} ${placesKey(places)}`;
    let sum = straights.get(key);
    if (!sum) straights.set(key, (sum = Float64Array.from(places, ([x, y]) => of.reduce((all, light) => all + light(x, y, z), 0))));
    return sum;
  };

  return (lift) => {
    const lifted = lamps.map((lamp, k) => (moves[k] ? { ...lamp, emitters: lamp.emitters.map((e) => ({ ...e, z: exact(e.z + lift) })) } : lamp)); // prettier-ignore
    const scene = sceneOfTier({ lamps: lifted, room });
    const here = sceneKey({ lamps: lifted, room });
    const along = new Map<Places, ReturnType<LightField['reflectedAlong']>>();
    let field: LightField | null = null;
    function workOut(places: Places, z: Metres): Float64Array {
      field ??= lightFieldOf(scene, cache, COARSER);
      if (!allClear(scene, places, z)) return Float64Array.from(places, ([x, y]) => field!.ppfdAt(x, y, z));
      const [a, b] = [sumOf(moving, 'moving', places, exact(z - lift)), sumOf(fixed, 'fixed', places, z)];
      let reflected = along.get(places);
      if (!reflected) along.set(places, (reflected = field.reflectedAlong(places)));
      return reflected(z).map((v, k) => Math.max(0, v + a[k]! + b[k]!));
    }
    return (places, z) => {
      const known = memory.rows.get(`${here} ${placesKey(places)}`, () => new Map<Metres, Float64Array>());
      let own = known.get(z);
      if (!own) known.set(z, (own = workOut(places, z)));
      return own;
    };
  };
}

/** Names the lamps of a tier as they hang, and its room: the same for the same light. */
export const sceneKey = ({ lamps, room }: Pick<AskedTier, 'lamps' | 'room'>): string =>
  `${lamps.flatMap((l) => l.emitters.map(emitterKey)).join('|')} ${JSON.stringify(room)}`;

/** Whether nothing can stand between any lamp and any of the places. */
function allClear(scene: Scene, places: Places, z: Metres): boolean {
  const [xs, ys] = [places.map(([x]) => x), places.map(([, y]) => y)];
  const [low, high] = [[Math.min(...xs), Math.min(...ys), z], [Math.max(...xs), Math.max(...ys), z]]; // prettier-ignore
  return scene.lamps.every((lamp) => lamp.emitters.every((e) => isClear(e, scene, low, high)));
}

const keys = new WeakMap<Places, string>();
function placesKey(places: Places): string {
  let key = keys.get(places);
  if (key === undefined) keys.set(places, (key = JSON.stringify(places)));
  return key;
}

/** Tenths of a micrometre: heights that are the same but for the last figures of a computer are one. */
export const exact = (v: Metres): Metres => Math.round(v * 1e7) / 1e7;
