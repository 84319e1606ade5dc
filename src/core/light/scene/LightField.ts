import type { Metres, Ppf, Ppfd, Share } from '../../units/quantities';
import type { Emitter, LightAt } from '../emitters/Emitter';
import { boxOf } from '../emitters/boxOf';
import { emitterKey } from '../emitters/emitterKey';
import { heightsOf } from '../emitters/heightsOf';
import { lightOf } from '../ppfdAtPoint';
import type { LightMap, LightSlice, Rect } from '../field/Grid';
import { reflects, type Room } from '../room/Room';
import { balanceOf } from '../room/solveRoom';
import { mirroredLight } from './mirroredLight';
import { seenThrough, visibilityOf } from './visibility';
import { commonShareOf } from './commonShare';
import { nodesAlong, weightsBetween, type Nodes } from './planeNodes';
import { NO_CACHE, createCache, type Cache } from './Cache';
import type { Scene } from './Scene';
import { reflectedBy, settleRooms, weigh, type Solved } from './settleRooms';
import { isTakenOver, roomOfReceiver, withSharedShelves } from './sharedShelves';
import { isClear, levelLight, sharesRoom } from './straightLight';
import { askedOver, clearOver, extentOf, placesKey, type GridPlaces } from './straightOver';

/** The light of a scene, settled, to be asked anywhere. */
export interface LightField {
  /** PPFD on a level receiver that faces up. */
  ppfdAt(x: Metres, y: Metres, z: Metres): Ppfd;
  /**
   * Over the places of a level grid, less what comes straight from lamps of the room that a place is in: what is left is reflected, or
   * comes from elsewhere. `index = x + xs.length · y`. What a lamp gives there is worked out once, whatever its strength.
   */
  indirectOver(xs: Float64Array, ys: Float64Array, z: Metres): Float64Array;
  /** The part of it that comes by way of the faces of a room. */
  reflectedAt(x: Metres, y: Metres, z: Metres): Ppfd;
  /**
   * The same over some places, to be asked at one height after another: worked out at nodes along the height and carried over to those
   * between, as in a slice. For many heights of leaves under one place.
   */
  reflectedAlong(places: readonly (readonly [Metres, Metres])[]): (z: Metres) => Float64Array;
  /** Over equal cells of a level rectangle, at their centres. @throws RangeError for an empty one, a cell ≤ 0, or over four million cells */
  map(area: Rect, z: Metres, cell: Metres): LightMap;
  /** Over an upright rectangle at one depth, on level receivers. @throws RangeError likewise */
  slice(from: { x0: Metres; x1: Metres; z0: Metres; z1: Metres; y: Metres }, cell: Metres): LightSlice;
  /** Whether the light between the faces came to rest; false where they send nearly all of it back and some is still under way. */
  readonly converged: boolean;
  /**
   * Where the photons went: swallowed by faces and things, or out into the open; and by what share, at the worst lamp within a tier, the
   * sums over patches were off before they were made whole.
   */
  balance(): { readonly emitted: Ppf; readonly absorbed: Ppf; readonly left: Ppf; readonly residual: Share };
}

/**
 * Settles the light of a scene: straight light from every lamp by its real shape, and in each room the light that its
 * faces send to and fro; what a wire shelf lets through of that enters the room beyond as even light.
 *
 * @param cache  keeps what does not change between two frames: form factors, and each lamp's own light
 * @param finer   more patches for each side of a room; 1 is right within 1.7 % at any place (lightField.test.ts)
 */
export function lightFieldOf(asked: Scene, cache: Cache = NO_CACHE, finer = 1): LightField {
  const scene = { ...asked, rooms: withSharedShelves(asked.rooms) };
  const { rooms, obstructions } = scene;
  const emitters = scene.lamps.flatMap((lamp) => lamp.emitters);
  const visibility = visibilityOf(scene);
  const between = commonShareOf(scene);
  const waysKey = JSON.stringify([rooms.map(seenThrough), obstructions]);
  const solved = rooms.some(reflects) ? settleRooms(scene, visibility, cache, waysKey, finer) : [];

  const straight: LightAt[] = []; // each made ready when a place is asked for the first time
  const straightOf = (i: number): LightAt => (straight[i] ??= levelLight(emitters[i]!, scene, visibility));
  const mirrored = new Map<Solved, LightAt | null>();
  function mirroredIn(s: Solved): LightAt | null {
    let light = mirrored.get(s);
    if (light === undefined) mirrored.set(s, (light = mirroredLight(emitters, s.room, scene)));
    return light;
  }
  const unhindered = cache.next<Cache>('unhindered', (last) => last ?? createCache());
  const scratch = new Map<Solved, Float32Array>();
  const roomAt = (x: Metres, y: Metres, z: Metres) => roomOfReceiver(solved, x, y, z);
  function reflectedAt(x: Metres, y: Metres, z: Metres): Ppfd {
    const s = roomAt(x, y, z);
    if (!s) return 0;
    const weights = scratch.get(s) ?? new Float32Array(s.patches.count);
    scratch.set(s, weights);
    weigh(s, obstructions, x, y, z, weights);
    return Math.max(0, reflectedBy(s, weights, z)) + (mirroredIn(s)?.(x, y, z) ?? 0);
  }

  /** The weights of the patches of a room at numbered places, each worked out when it is asked for first; kept for all rooms of its shape. */
  function weightsIn(s: Solved, places: string, count: number): (i: number, x: Metres, y: Metres, z: Metres) => Float32Array {
    const n = s.patches.count;
    // They are the largest of what is kept, and every height of leaves has its own: fewer of them, apart from the rest.
    const ofThem = cache.next<Cache>('weights', (last) => last ?? createCache(MOST_WEIGHTS));
    const kept = ofThem.get(`${s.shape} ${places} ${count}`, () => ({ all: new Float32Array(count * n), known: new Uint8Array(count) }));
    return (i, x, y, z) => {
      const row = kept.all.subarray(i * n, (i + 1) * n);
      if (!kept.known[i]) weigh(s, obstructions, x, y, z, row);
      kept.known[i] = 1;
      return row;
    };
  }

  function indirectOver(xs: Float64Array, ys: Float64Array, z: Metres): Float64Array {
    const out = new Float64Array(xs.length * ys.length);
    const [low, high] = [[xs[0]!, ys[0]!, z], [xs[xs.length - 1]!, ys[ys.length - 1]!, z]] as const; // prettier-ignore
    const places = Array.from(out, (_, i) => [xs[i % xs.length]!, ys[Math.floor(i / xs.length)]!] as const);
    const gridKey = `indirect ${low.join()} ${high.join()} ${out.length} ${waysKey}`;
    for (const { ppf, ...rest } of emitters) {
      const e = { ...rest, ppf: 1 };
      if (heightsOf(e).highest <= z || isClear(e, scene, low, high)) continue;
      const share = between(boxOf(e), { low, high });
      if (share === 0) continue;
      const own = cache.get(`${gridKey} ${emitterKey(e)}`, () => {
        const light = share === null ? levelLight(e, scene, visibility) : dimmed(lightOf(e), share);
        return Float64Array.from(places, ([x, y]) => (sharesRoom(e, scene, x, y, z) ? 0 : light(x, y, z)));
      });
      for (let i = 0; i < out.length; i++) out[i]! += ppf * own[i]!;
    }
    if (out.length > MANY_PLACES) addReflected(out, { xs, others: ys, plane: { z } });
    else addReflectedAt(out, places, z);
    return out.map((v) => Math.max(0, v));
  }

  /** Adds the reflected light at the places of a level grid, worked out at each of them. */
  function addReflectedAt(out: Float64Array, places: readonly (readonly [Metres, Metres])[], z: Metres) {
    const [low, high] = [places[0]!, places.at(-1)!];
    const roomOf = places.map(([x, y]) => roomAt(x, y, z));
    for (const s of new Set(roomOf)) {
      if (!s) continue;
      const weights = weightsIn(
        s,
        `grid ${[low, high].flatMap(([x, y]) => [within(s.room, 0, x), within(s.room, 1, y)]).join()} ${within(s.room, 2, z)}`,
        out.length,
      );
      const mirror = mirroredIn(s);
      for (const [i, [x, y]] of places.entries())
        if (roomOf[i] === s) out[i]! += Math.max(0, reflectedBy(s, weights(i, x, y, z), z)) + (mirror?.(x, y, z) ?? 0);
    }
  }

  function reflectedAlong(places: readonly (readonly [Metres, Metres])[]): (z: Metres) => Float64Array {
    const nodesOf = new Map<Solved, { nodes: Nodes; at: (node: number, place: number) => Ppfd }>();
    function along(s: Solved) {
      const nodes = nodesAlong(s.room.z, s.room.z + s.room.height, s.patches.faces.find((f) => f.name === 'left')!.rows);
      const count = nodes.at.length * places.length;
      const weights = weightsIn(s, `along ${places.map(([x, y]) => `${within(s.room, 0, x)} ${within(s.room, 1, y)}`).join()}`, count);
      const mirror = mirroredIn(s);
      const known = new Float64Array(count).fill(NaN);
      const at = (node: number, place: number): Ppfd => {
        const n = node * places.length + place;
        const [x, y] = places[place]!;
        const z = nodes.at[node]!;
        if (Number.isNaN(known[n]!)) known[n] = reflectedBy(s, weights(n, x, y, z), z) + (mirror?.(x, y, z) ?? 0);
        return known[n]!;
      };
      nodesOf.set(s, { nodes, at });
      return { nodes, at };
    }
    return (z) => {
      const between = new Map<Solved, ReturnType<typeof weightsBetween>>();
      return Float64Array.from(places, ([x, y], i) => {
        const s = roomAt(x, y, z);
        if (!s) return 0;
        const { nodes, at } = nodesOf.get(s) ?? along(s);
        let w = between.get(s);
        if (!w) between.set(s, (w = weightsBetween(nodes, Float64Array.of(z))));
        let sum = 0;
        for (let k = 0; k < 4; k++) if (w.weight[k] !== 0) sum += w.weight[k]! * at(w.index[k]!, i);
        return Math.max(0, sum);
      });
    };
  }

  /** Adds the reflected light to a grid of which one side runs along x; the other along y (a map) or z (a slice). */
  function addReflected(out: Float32Array | Float64Array, { xs, others, plane }: GridPlaces) {
    for (const s of solved) {
      const { room, patches } = s;
      const isMap = 'z' in plane;
      const fixed = isMap ? plane.z : plane.y;
      const [low, high] = isMap ? [room.z, room.z + room.height] : [room.y, room.y + room.depth];
      if (fixed < low - 1e-9 || fixed > high + 1e-9) continue;
      if (fixed > high - 1e-9 && isTakenOver(high, isMap ? 'z' : 'y', room, rooms)) continue;
      const [o0, o1] = isMap ? [room.y, room.y + room.depth] : [room.z, room.z + room.height];
      const floor = patches.faces.find((f) => f.name === 'floor')!;
      const left = patches.faces.find((f) => f.name === 'left')!;
      const nx = nodesAlong(room.x, room.x + room.width, floor.columns);
      const no = nodesAlong(o0, o1, isMap ? floor.rows : left.rows);
      const inX = rangeWithin(xs, room.x, room.x + room.width, isTakenOver(room.x + room.width, 'x', room, rooms));
      const inO = rangeWithin(others, o0, o1, isTakenOver(o1, isMap ? 'y' : 'z', room, rooms));
      const wx = weightsBetween(nx, xs);
      const wo = weightsBetween(no, others);
      const weights = weightsIn(s, `${isMap ? 'z' : 'y'} ${within(room, isMap ? 2 : 1, fixed)}`, nx.at.length * no.at.length);
      const mirror = mirroredIn(s);
      const atNodes = new Float64Array(nx.at.length * no.at.length);
      const [usedX, usedO] = [usedOf(wx.index, inX), usedOf(wo.index, inO)];
      for (const j of usedO)
        for (const i of usedX) {
          const [x, y, z] = isMap ? [nx.at[i]!, no.at[j]!, fixed] : [nx.at[i]!, fixed, no.at[j]!];
          const n = i + nx.at.length * j;
          atNodes[n] = reflectedBy(s, weights(n, x, y, z), z) + (mirror?.(x, y, z) ?? 0);
        }
      const along = new Float64Array(no.at.length * xs.length);
      for (let j = 0; j < no.at.length; j++)
        for (let c = inX.from; c < inX.to; c++) {
          let sum = 0;
          for (let k = 0; k < 4; k++) sum += wx.weight[4 * c + k]! * atNodes[wx.index[4 * c + k]! + nx.at.length * j]!;
          along[j * xs.length + c] = sum;
        }
      for (let r = inO.from; r < inO.to; r++)
        for (let c = inX.from; c < inX.to; c++) {
          let sum = 0;
          for (let k = 0; k < 4; k++) sum += wo.weight[4 * r + k]! * along[wo.index[4 * r + k]! * xs.length + c]!;
          out[r * xs.length + c]! += Math.max(0, sum);
        }
    }
  }

  /** Where something may stand in the way of some of the places only. */
  const besideThings = (e: Emitter, places: GridPlaces): Float32Array =>
    cache.get(`${placesKey(places)} ${waysKey} ${emitterKey(e)}`, () =>
      askedOver(levelLight(e, scene, visibility), heightsOf(e).highest, places),
    );

  function grid(places: GridPlaces): Float32Array {
    const out = new Float32Array(places.xs.length * places.others.length);
    const extent = extentOf(places);
    for (const { ppf, ...rest } of emitters) {
      // Of one photon: the same however strong it is, and above zero even for the hole of a ring, which is light taken away.
      const e = { ...rest, ppf: 1 };
      const share = isClear(e, scene, extent.low, extent.high) ? 1 : between(boxOf(e), extent);
      if (share === 0) continue;
      const own = share === null ? besideThings(e, places) : clearOver(e, places, unhindered);
      const strength = ppf * (share ?? 1);
      for (let i = 0; i < out.length; i++) out[i]! += strength * own[i]!;
    }
    for (let i = 0; i < out.length; i++) out[i] = Math.max(0, out[i]!);
    addReflected(out, places);
    return out;
  }

  return {
    converged: solved.every((s) => s.settled.converged),
    ppfdAt(x, y, z) {
      // A ring is a disc less its hole: only the sum is light.
      let sum = reflectedAt(x, y, z);
      for (let i = 0; i < emitters.length; i++) sum += straightOf(i)(x, y, z);
      return Math.max(0, sum);
    },
    indirectOver,
    reflectedAt,
    reflectedAlong,
    map(area, z, cell) {
      const [columns, rows] = cellsOf(area.x1 - area.x0, area.y1 - area.y0, cell);
      const places = { xs: centres(area.x0, area.x1, columns), others: centres(area.y0, area.y1, rows), plane: { z } };
      return { area, z, columns, rows, ppfd: grid(places) };
    },
    slice({ x0, x1, z0, z1, y }, cell) {
      const [columns, rows] = cellsOf(x1 - x0, z1 - z0, cell);
      const places = { xs: centres(x0, x1, columns), others: centres(z0, z1, rows), plane: { y } };
      return { x0, x1, z0, z1, y, columns, rows, ppfd: grid(places) };
    },
    balance() {
      const emitted = emitters.reduce((sum, e) => sum + e.ppf, 0);
      let absorbed = 0, residual = 0; // prettier-ignore
      for (const s of settleRooms(scene, visibility, cache, waysKey, finer, true)) {
        absorbed += balanceOf(s.patches, s.settled, s.direct).absorbed;
        residual = Math.max(residual, s.residual);
      }
      return { emitted, absorbed, left: Math.max(0, emitted - absorbed), residual };
    },
  };
}

const dimmed =
  (light: LightAt, share: Share): LightAt =>
  (x, y, z) =>
    share * light(x, y, z);

/** From so many places of a level grid on, reflected light is carried over from the nodes of its plane, which are fewer. */
const MANY_PLACES = 100;

/** Weights of so many planes: a rack asks for some 70; each is 0.2 to 0.5 MB. */
const MOST_WEIGHTS = 128;

const centres = (from: Metres, to: Metres, n: number) => Float64Array.from({ length: n }, (_, i) => from + ((i + 0.5) * (to - from)) / n);

/** A place within its room on one axis, to a tenth of a micrometre. */
const within = (room: Room, axis: number, at: Metres): string => (at - [room.x, room.y, room.z][axis]!).toFixed(7);

/** The nodes that some of the wanted places go by. */
const usedOf = (index: Int32Array, { from, to }: { from: number; to: number }) => new Set(index.subarray(4 * from, 4 * to));

/** The places of a grid within a room; the last plane left out where it is the next room's. */
function rangeWithin(values: Float64Array, low: Metres, high: Metres, takenOver: boolean): { from: number; to: number } {
  let from = 0, to = values.length; // prettier-ignore
  while (from < to && values[from]! < low) from++;
  while (to > from && (takenOver ? values[to - 1]! > high - 1e-9 : values[to - 1]! > high)) to--;
  return { from, to };
}

function cellsOf(width: Metres, other: Metres, cell: Metres): [number, number] {
  if (!(width > 0 && other > 0)) throw new RangeError(`the area must have a width and a depth, got ${width} × ${other} m`);
  if (!(cell > 0)) throw new RangeError(`cell must be > 0, got ${cell}`);
  const cells: [number, number] = [Math.max(1, Math.ceil(width / cell - 1e-9)), Math.max(1, Math.ceil(other / cell - 1e-9))];
  if (cells[0] * cells[1] > 4e6) throw new RangeError(`a map holds at most 4000000 cells, got ${cells[0]} × ${cells[1]}`);
  return cells;
}
