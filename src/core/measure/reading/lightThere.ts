import { emittersHung } from '../../site/stand/emittersHung';
import type { Lamp } from '../../things/lamp/Lamp';
import type { Room } from '../../light/room/Room';
import { emitterKey } from '../../light/emitters/emitterKey';
import { lightFieldOf, type LightField } from '../../light/scene/LightField';
import { NO_CACHE, type Cache } from '../../light/scene/Cache';
import { slantAt } from '../../light/scene/slantAt';
import type { Scene } from '../../light/scene/Scene';
import type { Metres, Ppfd, Share } from '../../units/quantities';
import { roomFrom } from '../../site/stand/roomOf';
import type { Around, LitLamp, Reading } from '../../site/reading/Reading';

/** Where a lamp is looked up: the person's own first, then the table. */
export type LampOf = (id: string) => Lamp | undefined;

/** A place of a tier, and what hung and stood around it. */
export type ReadingPlace = Pick<Reading, 'dx' | 'dy' | 'z' | 'lit' | 'around'>;

/** What the lit lamps give at one place. */
export interface LightThere {
  readonly ppfd: Ppfd;
  /** By kind of lamp, in the order of the lit ones. */
  readonly parts: readonly { readonly lamp: Lamp; readonly ppfd: Ppfd }[];
  /** Mean of (1 − cos θ) of what falls there. */
  readonly slant: Share;
}

/**
 * What the lamps that were lit give at the place of a reading, each as strong as `lampOf` says.
 *
 * @param found  reflectances that readings have found, by material of the sides; others are those of the table
 * @param cache  of one walk, whose readings share lamps and walls: their light is settled once
 */
export function lightThere(
  at: ReadingPlace,
  lampOf: LampOf,
  found: Readonly<Record<string, Share>> = {},
  cache: Cache = NO_CACHE,
): LightThere {
  const { width, depth } = at.around;
  const kinds = [...new Set(at.lit.map((l) => l.lampId))].map(lampOf).filter((l) => l !== undefined);
  const key = `${JSON.stringify(at.around)} ${JSON.stringify(found)}`;
  const [x, y] = [width / 2 + at.dx, depth / 2 + at.dy];
  const room = cache.get(`room ${key}`, () => ({ room: roomFrom(at.around, found) })).room;
  const z = Math.max(0, at.z);
  let slant = 0, ppfd = 0; // prettier-ignore
  const parts = kinds.map((lamp) => {
    const { field, scene } = fieldOf(
      lamp,
      z,
      at.lit.filter((l) => l.lampId === lamp.id),
      at.around,
      room,
      key,
      cache,
    );
    const there = field.ppfdAt(x, y, z);
    const reflected = there > 0 ? field.reflectedAt(x, y, z) / there : 0;
    slant += there * slantAt(scene, x, y, z, Math.min(1, reflected));
    ppfd += there;
    return { lamp, ppfd: there };
  });
  return { ppfd, parts, slant: ppfd > 0 ? slant / ppfd : 0 };
}

function fieldOf(
  lamp: Lamp,
  z: Metres,
  lit: readonly LitLamp[],
  { width, depth }: Around,
  room: Room | null,
  key: string,
  cache: Cache,
): { field: LightField; scene: Scene } {
  const emitters = lit.flatMap((l) => emittersHung(lamp, { ...l, x: width / 2 + l.dx, y: depth / 2 + l.dy }, z));
  // By all that shines, not by the lamp's name: a lamp of one's own may get another shape under the same.
  return cache.get(`field ${key} ${emitters.map(emitterKey).join('|')}`, () => {
    const scene = {
      lamps: [{ id: lamp.id, emitters }],
      rooms: room ? [room] : [],
      obstructions: [],
    };
    return { scene, field: lightFieldOf(scene, cache) };
  });
}
