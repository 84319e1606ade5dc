import { directOnPatches, type PatchLight } from '../room/directOnPatches';
import { gatherWeights } from '../room/gather';
import { patchesOf, sends, type FacePatches, type Patches } from '../room/patches';
import { boxOf, type Box } from '../emitters/boxOf';
import type { Emitter, IrradianceAt } from '../emitters/Emitter';
import { emitterKey } from '../emitters/emitterKey';
import { irradianceOf } from '../emitters/irradianceOf';
import { mirrorImages, mirrorOf, mirrorsFollowed } from '../room/mirrorImages';
import { FACES, isInside, type Room } from '../room/Room';
import { fromOtherPatches, settle, type Settled } from '../room/solveRoom';
import type { Metres, Ppfd, Share } from '../../units/quantities';
import { isHidden, roomAbove, type Visibility } from './visibility';
import type { Cache } from './Cache';
import type { Scene } from './Scene';
import { commonShareOf } from './commonShare';
import { anyLight, asLine, HAIR, isOfAnotherRoom } from './straightLight';

/** A room of the scene with its light settled. */
export interface Solved {
  readonly room: Room;
  /** What its patches and their weights at a place go by, wherever it stands. */
  readonly shape: string;
  readonly patches: Patches;
  readonly settled: Settled;
  /** Straight from the lamps, and by way of mirrors, on each patch. */
  readonly direct: Float64Array;
  /** As much of it as a dull face would send back like what a face does send back evenly. */
  readonly dull: Float64Array;
  /** The part of it that came by way of mirrors; null where there are none. */
  readonly mirrored: Float64Array | null;
  /** What the ceiling sends back of the lamps' light, as light moved between its patches (`PatchLight`). */
  readonly moved: Float64Array;
  /** By what share the light found on its faces was off, at the worst lamp, before it was made whole. */
  readonly residual: Share;
}

/** How often the light that passes through shelves is carried to and fro between the rooms. */
const ROUNDS = 3;

/**
 * Settles every room of a scene, and carries what passes through shelves between them.
 *
 * @param accounted  whether the light on faces that send nothing back is worked out too: only the balance asks for it
 */
export function settleRooms(
  scene: Scene,
  visibility: Visibility,
  cache: Cache,
  waysKey: string,
  finer: number,
  accounted = false,
): Solved[] {
  const { rooms, obstructions, lamps } = scene;
  const between = commonShareOf(scene);
  const wholes = rooms.map((room) => {
    const things = obstructions.length > 0 ? JSON.stringify([room, obstructions]) : '';
    // Rooms of one size share their form factors, however much their faces send back.
    const size = `${room.width} ${room.depth} ${room.height} ${finer} ${FACES.filter((name) => sends(room.faces[name])).join()}`;
    const patches = shaded(
      patchesOf(room, finer, (make) => cache.get(`factors ${size}`, make)),
      room,
      obstructions,
      (make) => cache.get(`shaded factors ${size} ${things}`, make),
    );
    const direct = new Float64Array(patches.count);
    const mirrors = obstructions.length > 0 ? 0 : mirrorsFollowed(room);
    const mirrored = mirrors > 0 ? new Float64Array(patches.count) : null;
    const last = mirrors > 0 ? new Float64Array(patches.count) : null;
    const moved = new Float64Array(patches.count);
    let residual = 0;
    for (const { ppf, ...rest } of lamps.flatMap((lamp) => lamp.emitters)) {
      // Kept for one photon, so that the same lamp dimmed, aged or counted for other hours is not worked out again.
      const e = { ...rest, ppf: 1 };
      const home = obstructions.length === 0 && isInside(room, e.x, e.y, e.z);
      // In its own room a lamp gives the same to the patches whatever else there is, and wherever that room stands: kept as in a room at 0.
      const share = home ? 1 : between(boxOf(asLine(e)), justInside(room));
      if (share === 0) continue;
      const lamp = home ? { ...e, x: tidy(e.x - room.x), y: tidy(e.y - room.y), z: tidy(e.z - room.z) } : e;
      const at = home ? { ...room, x: 0, y: 0, z: 0 } : room;
      const faces = accounted ? patches.faces : patches.faces.filter((f) => f.reflectance > 0);
      const where = home ? `${room.width} ${room.depth} ${room.height}` : `${waysKey} ${room.x} ${room.y} ${room.z}`;
      const own = cache.get(`patchlight ${where} ${faces.map((f) => f.name).join()} ${finer} ${emitterKey(lamp)}`, () => {
        const falls = share === null ? anyLight(lamp, room, scene, visibility) : dimmed(irradianceOf(asLine(lamp)), share);
        const light = directOnPatches({ ...patches, faces }, at, lamp, falls, !home && isOfAnotherRoom(lamp, room, scene));
        return whole(light, patches, lamp, home && faces.length === patches.faces.length);
      });
      residual = Math.max(residual, own.residual);
      const { ceiling } = room.faces;
      const back = ppf * (ceiling.reflectance - (mirrors > 0 ? mirrorOf(ceiling) : 0));
      for (let i = 0; i < direct.length; i++) {
        direct[i]! += ppf * own.mean[i]!;
        moved[i]! += back * own.moved[i]!;
      }
      if (!mirrored || !last) continue;
      const by = cache.get(`mirrorlight ${waysKey} ${JSON.stringify(room)} ${finer} ${emitterKey(e)}`, () =>
        byMirrors(patches, room, e, mirrors),
      );
      for (let i = 0; i < direct.length; i++) {
        direct[i]! += ppf * by.all[i]!;
        mirrored[i]! += ppf * by.all[i]!;
        last[i]! += ppf * by.last[i]!;
      }
    }
    const dull = last ? dullOf(patches, direct, last) : direct;
    const shape = JSON.stringify([room.width, room.depth, room.height, finer, patches.faces.map(sends), things]);
    return { room, shape, patches, direct, dull, mirrored, moved, residual };
  });
  let solved: Solved[] = wholes.map((w) => ({
    ...w,
    settled: cache.next<Settled>(`settled ${JSON.stringify(w.room)} ${w.shape}`, (last) => settle(w.patches, w.dull, undefined, last)),
  }));
  const coupled = rooms.some((r) => roomAbove(r, rooms));
  for (let round = 0; coupled && round < ROUNDS; round++) {
    const arriving = new Map(solved.map((s) => [s, arrivingAtShelves(s)]));
    solved = solved.map((s) => {
      const entering = enteringOf(s, solved, arriving);
      return entering ? { ...s, settled: settle(s.patches, s.dull, entering, s.settled) } : s;
    });
  }
  return solved;
}

/** Where the places on its faces are taken to be, so that a face does not hide itself (`anyLight`). */
const justInside = ({ x, y, z, width, depth, height }: Room): Box => ({
  low: [x + HAIR, y + HAIR, z + HAIR],
  high: [x + width - HAIR, y + depth - HAIR, z + height - HAIR],
});

const dimmed = (light: IrradianceAt, share: Share): IrradianceAt =>
  share === 1 ? light : (x, y, z, nx, ny, nz) => share * light(x, y, z, nx, ny, nz);

/** Tenths of a nanometre: where a lamp is in its room comes out the same wherever the room stands. */
const tidy = (v: Metres): Metres => Math.round(v * 1e10) / 1e10;

/** Light of a lamp that comes to the patches by way of mirrors, for one photon: all of it, and what has met as many as are followed. */
function byMirrors(patches: Patches, room: Room, emitter: Emitter, mirrors: number): { all: Float64Array; last: Float64Array } {
  const [all, last] = [new Float64Array(patches.count), new Float64Array(patches.count)];
  for (const image of isInside(room, emitter.x, emitter.y, emitter.z) ? mirrorImages(emitter, room) : []) {
    const { mean } = directOnPatches(patches, room, image.emitter, irradianceOf(asLine(image.emitter)));
    for (let i = 0; i < mean.length; i++) {
      all[i]! += image.share * mean[i]!;
      if (image.order === mirrors) last[i]! += image.share * mean[i]!;
    }
  }
  return { all, last };
}

/** The light on each patch as far as a dull face would send it back: mirrors pass theirs on by images, but for the last. */
function dullOf({ faces }: Patches, direct: Float64Array, last: Float64Array): Float64Array {
  const out = new Float64Array(direct);
  for (const f of faces) {
    const { specular = 0 } = f;
    for (let k = f.first; k < f.first + f.columns * f.rows; k++) out[k]! -= specular * (direct[k]! - last[k]!);
  }
  return out;
}

/** Light on floor and ceiling that has met a face of the room before: what goes through a shelf of it is taken as even. */
function arrivingAtShelves({ patches, settled, mirrored }: Solved): Float64Array {
  const shelves = patches.faces.filter((f) => f.name === 'floor' || f.name === 'ceiling');
  const arriving = fromOtherPatches(patches, settled, shelves);
  if (mirrored) for (const f of shelves) for (let k = f.first; k < f.first + f.columns * f.rows; k++) arriving[k]! += mirrored[k]!;
  return arriving;
}

/**
 * What a lamp sends out in a room without things in it all lands on its faces: takes out the last error of the sums over patches,
 * where the light on all of them is known.
 */
function whole(light: PatchLight, { area }: Patches, emitter: Emitter, known: boolean): PatchLight & { residual: Share } {
  if (!known) return { ...light, residual: 0 };
  const lands = light.mean.reduce((sum, v, i) => sum + v * area[i]!, 0);
  const off = emitter.ppf / lands;
  // A lamp that pokes out of the room does send some of its light elsewhere.
  if (Math.abs(off - 1) >= 0.03) return { ...light, residual: 0 };
  return { mean: light.mean.map((v) => v * off), moved: light.moved.map((v) => v * off), residual: Math.abs(off - 1) };
}

/** Even light that comes through the shelves above and below: what falls there of reflected light, times the shelf's share. */
function enteringOf(s: Solved, all: readonly Solved[], arriving: ReadonlyMap<Solved, Float64Array>): Float64Array | null {
  const rooms = all.map((o) => o.room);
  const above = roomAbove(s.room, rooms);
  const below = all.find((o) => roomAbove(o.room, rooms) === s.room);
  const out = new Float64Array(s.patches.count);
  let any = false;
  const carry = (from: Solved, fromFace: FacePatches, toFace: FacePatches, share: number) => {
    if (share === 0) return;
    any = true;
    const light = arriving.get(from)!;
    for (let j = 0; j < toFace.rows; j++)
      for (let i = 0; i < toFace.columns; i++) {
        const a = Math.floor((s.room.x + (i + 0.5) * toFace.di - from.room.x) / fromFace.di);
        const b = Math.floor((s.room.y + (j + 0.5) * toFace.dj - from.room.y) / fromFace.dj);
        if (a < 0 || b < 0 || a >= fromFace.columns || b >= fromFace.rows) continue;
        const k = fromFace.first + a + fromFace.columns * b;
        out[toFace.first + i + toFace.columns * j] = share * light[k]!;
      }
  };
  const face = (o: Solved, name: 'floor' | 'ceiling') => o.patches.faces.find((f) => f.name === name)!;
  const upper = above && all.find((o) => o.room === above);
  if (upper) carry(upper, face(upper, 'floor'), face(s, 'ceiling'), upper.room.faces.floor.transmittance);
  if (below) carry(below, face(below, 'ceiling'), face(s, 'floor'), s.room.faces.floor.transmittance);
  return any ? out : null;
}

/** Patches below the ceiling from and beyond which light moved between its patches is as good as where it is; nearer the patch is cut up. */
const FAR = [1, 2] as const;

/**
 * The reflected light on a level receiver at a height.
 *
 * @param weights  of `weigh` there
 */
export function reflectedBy(s: Solved, weights: Float32Array, z: Metres): Ppfd {
  const { sent } = s.settled;
  let sum = 0;
  for (const f of s.patches.faces) {
    if (f.name === 'floor' || !sends(f)) continue; // a receiver that faces up sees none of it
    const to = f.first + f.columns * f.rows;
    for (let k = f.first; k < to; k++) sum += weights[k]! * sent[k]!;
  }
  const c = s.patches.faces.find((f) => f.name === 'ceiling')!;
  const away = (s.room.z + s.room.height - z) / Math.max(c.di, c.dj);
  const share = Math.min(1, Math.max(0, (away - FAR[0]) / (FAR[1] - FAR[0])));
  if (share === 0) return sum;
  let moved = 0;
  for (let k = c.first; k < c.first + c.columns * c.rows; k++) moved += weights[k]! * s.moved[k]!;
  return sum + share * moved;
}

/** How much each patch counts on a level receiver at a place, things in the way taken into account. */
export function weigh(s: Solved, obstructions: Scene['obstructions'], x: Metres, y: Metres, z: Metres, out: Float32Array): void {
  gatherWeights(s.patches, s.room, x, y, z, out);
  if (obstructions.length === 0) return;
  for (const f of s.patches.faces)
    for (let k = 0; k < f.columns * f.rows; k++) {
      if (out[f.first + k]! === 0) continue;
      const p = middleOf(f, s.room, k);
      if (obstructions.some((t) => isHidden(t, p[0]!, p[1]!, p[2]!, x, y, z + 1e-5))) out[f.first + k] = 0;
    }
}

/** Things between two patches keep their light apart. @param kept  may hand out what an earlier one made */
function shaded(
  patches: Patches,
  room: Room,
  obstructions: Scene['obstructions'],
  kept: (make: () => Float32Array) => Float32Array,
): Patches {
  if (obstructions.length === 0) return patches;
  const { count, faces } = patches;
  const formFactors = kept(() => {
    const left = new Float32Array(patches.formFactors);
    const middles = faces.flatMap((f) => Array.from({ length: f.columns * f.rows }, (_, k) => middleOf(f, room, k)));
    for (let i = 0; i < count; i++)
      for (let j = i + 1; j < count; j++) {
        const [a, b] = [middles[i]!, middles[j]!];
        if (obstructions.some((t) => isHidden(t, a[0]!, a[1]!, a[2]!, b[0]!, b[1]!, b[2]!))) {
          left[i * count + j] = 0;
          left[j * count + i] = 0;
        }
      }
    return left;
  });
  return { ...patches, formFactors };
}

function middleOf(f: FacePatches, room: Room, k: number): number[] {
  const p = [room.x, room.y, room.z];
  p[f.axis]! += f.at;
  p[f.i]! += ((k % f.columns) + 0.5) * f.di;
  p[f.j]! += (Math.floor(k / f.columns) + 0.5) * f.dj;
  return p;
}
