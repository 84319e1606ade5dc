import type { Emitter, IrradianceAt, LightAt } from '../emitters/Emitter';
import { irradianceOf } from '../emitters/irradianceOf';
import { lightOf } from '../ppfdAtPoint';
import { isInside, type Room } from '../room/Room';
import { cutUp } from './cutUp';
import type { Visibility } from './visibility';
import type { Scene } from './Scene';
import type { Metres } from '../../units/quantities';
import { visibleShareOf, type VisibleShare } from './visibleShare';

/** Whether nothing can stand between an emitter and any place of a box: the light there is smooth. */
export function isClear(emitter: Emitter, scene: Scene, low: readonly number[], high: readonly number[]): boolean {
  if (scene.obstructions.length > 0) return false;
  if (scene.rooms.length === 0) return true;
  const home = scene.rooms.find((r) => isInside(r, emitter.x, emitter.y, emitter.z));
  return !!home && isInside(home, low[0]!, low[1]!, low[2]!) && isInside(home, high[0]!, high[1]!, high[2]!);
}

/** Longest side of a part of a lamp that things may hide, m: near them light differs over a part. */
const BESIDE_THINGS = 0.045;

/** Longest side of a part of a lamp of another room, m. */
const THROUGH_SHELVES = 0.25;

/** The parts of a lamp of which each is seen or hidden by itself. */
export const partsOf = (emitter: Emitter, { obstructions }: Pick<Scene, 'obstructions'>, home?: Room): readonly Emitter[] =>
  cutUp(emitter, obstructions.length > 0 ? BESIDE_THINGS : home ? THROUGH_SHELVES : undefined);

/** The room that an emitter hangs in, where nothing else can stand in its way within it. */
const homeOf = ({ x, y, z }: Emitter, { rooms, obstructions }: Pick<Scene, 'rooms' | 'obstructions'>): Room | undefined =>
  obstructions.length > 0 ? undefined : rooms.find((r) => isInside(r, x, y, z));

/** Whether nothing stands between an emitter and a place, since one room holds both. */
export const sharesRoom = (
  e: Emitter,
  { rooms, obstructions }: Pick<Scene, 'rooms' | 'obstructions'>,
  x: Metres,
  y: Metres,
  z: Metres,
): boolean => obstructions.length === 0 && rooms.some((r) => isInside(r, e.x, e.y, e.z) && isInside(r, x, y, z));

/**
 * Straight light of one emitter on level receivers, as far as it gets through: that of the whole, less what is hidden of it part by part.
 *
 * Error: below 1 % of the unshaded light where the thing in the way is a centimetre or more from emitter and receiver
 * (shadows.test.ts, against emitters of ten thousand points).
 */
export function levelLight(emitter: Emitter, scene: Scene, visibility: Visibility): LightAt {
  if (scene.rooms.length === 0 && scene.obstructions.length === 0) return lightOf(emitter);
  const home = homeOf(emitter, scene);
  const clear = lightOf(emitter);
  // Most are asked within their own room only, where nothing is in the way.
  let made: { readonly parts: readonly { readonly light: LightAt; readonly seen: VisibleShare }[]; readonly shares: Float64Array } | null =
    null;
  const make = () => {
    const parts = partsOf(emitter, scene, home).map((part) => ({ light: lightOf(part), seen: visibleShareOf(part, visibility) }));
    return { parts, shares: new Float64Array(parts.length) };
  };
  return (x, y, z) => {
    if (home && isInside(home, x, y, z)) return clear(x, y, z);
    const { parts, shares } = (made ??= make());
    let isAlike = true;
    for (let i = 0; i < parts.length; i++) {
      shares[i] = parts[i]!.seen(x, y, z);
      isAlike &&= shares[i] === shares[0];
    }
    const whole = shares[0] === 0 && isAlike ? 0 : clear(x, y, z);
    if (isAlike) return shares[0]! * whole;
    let seen = 0, all = 0; // prettier-ignore
    for (let i = 0; i < parts.length; i++) {
      const light = parts[i]!.light(x, y, z);
      seen += shares[i]! * light;
      all += light;
    }
    // The hole of a ring is light below zero.
    return all !== 0 ? (whole * seen) / all : 0;
  };
}

/** For the mean over a patch a tube may be a line: its thickness moves light about by less than a patch. */
export const asLine = (e: Emitter): Emitter => (e.kind === 'tube' ? { ...e, diameter: 0 } : e);

/** Whether a lamp hangs in another tier, with nothing but shelves and sides between. A lamp over an open box is of none. */
export const isOfAnotherRoom = ({ x, y, z }: Emitter, room: Room, { rooms, obstructions }: Scene): boolean =>
  obstructions.length === 0 && !isInside(room, x, y, z) && rooms.some((other) => other !== room && isInside(other, x, y, z));

/** Places on a face are taken to be as far inside the room, so that the face does not count as being in the way. */
export const HAIR: Metres = 1e-5;

/** The same on receivers of any direction on the faces of a room. */
export function anyLight(emitter: Emitter, room: Room, scene: Scene, visibility: Visibility): IrradianceAt {
  if (scene.obstructions.length === 0 && isInside(room, emitter.x, emitter.y, emitter.z)) return irradianceOf(asLine(emitter));
  // What comes into another room is reflected there once more before it counts: larger parts do.
  const longest = isOfAnotherRoom(emitter, room, scene) ? THROUGH_SHELVES : undefined;
  const parts = cutUp(asLine(emitter), longest).map((part) => ({ part, light: irradianceOf(part) }));
  return (x, y, z, nx, ny, nz) => {
    let sum = 0;
    for (const { part, light } of parts) {
      const share = visibility(part.x, part.y, part.z, x + HAIR * nx, y + HAIR * ny, z + HAIR * nz);
      if (share > 0) sum += share * light(x, y, z, nx, ny, nz);
    }
    return sum;
  };
}
