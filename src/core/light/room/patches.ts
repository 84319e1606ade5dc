import type { Metres, Share } from '../../units/quantities';
import { FACES, type FaceName, type Room } from './Room';
import { parallelCorner, squareCorner } from './exchange';

/** A face cut into equal patches; places from the room's own corner. */
export interface FacePatches {
  readonly name: FaceName;
  /** Index of its first patch among all of the room; `index = first + i + columns · j`. */
  readonly first: number;
  /** Axis across the face (0 x, 1 y, 2 z) and where it stands on that axis. */
  readonly axis: 0 | 1 | 2;
  readonly at: Metres;
  /** Axes in the face, patches along each, and a patch's sides. */
  readonly i: 0 | 1 | 2;
  readonly j: 0 | 1 | 2;
  readonly columns: number;
  readonly rows: number;
  readonly di: Metres;
  readonly dj: Metres;
  /** Into the room. */
  readonly normal: readonly [number, number, number];
  readonly reflectance: Share;
  readonly transmittance: Share;
  readonly specular?: Share;
}

export interface Patches {
  readonly faces: readonly FacePatches[];
  readonly count: number;
  readonly area: Float64Array;
  /** What each sends back of the light on it. */
  readonly reflectance: Float64Array;
  /** Row by row, the share of what patch i sees that is patch j, for those j that send light; 0 for all others: `count × count`. */
  readonly formFactors: Float32Array;
  /** Patches that send light into the room. */
  readonly senders: Int32Array;
}

/** A patch is about this large, and a room has at least eight and at most eighteen along each side. */
const SIDE: Metres = 0.1;
const FEWEST = 8;
const MOST = 18;

/**
 * Cuts the six faces of a room into patches with one spacing along each axis, and works out all form factors exactly.
 * Since the spacing is even, a factor depends only on how far two patches are apart: some thousand closed forms for a
 * hundred thousand pairs.
 *
 * @param factors  may hand out the form factors of an earlier room of the same size, of which the same faces send light, instead of making them
 * @param finer  multiplies the number of patches along each side; 1 is right within 1 % (lightField.test.ts)
 * Error: none in the factors; patches take their light as even, which is what `finer` mends.
 */
export function patchesOf(room: Room, finer = 1, factors: (make: () => Float32Array) => Float32Array = (make) => make()): Patches {
  const size = [room.width, room.depth, room.height] as const;
  const counts = size.map((s) => Math.max(2, Math.round(finer * Math.min(MOST, Math.max(FEWEST, Math.round(s / SIDE))))));
  const step = size.map((s, axis) => s / counts[axis]!);
  let count = 0;
  const faces = FACES.map((name): FacePatches => {
    const axis = name === 'floor' || name === 'ceiling' ? 2 : name === 'left' || name === 'right' ? 0 : 1;
    const far = name === 'ceiling' || name === 'right' || name === 'back';
    const [i, j] = axis === 2 ? ([0, 1] as const) : axis === 0 ? ([1, 2] as const) : ([0, 2] as const);
    const normal: [number, number, number] = [0, 0, 0];
    normal[axis] = far ? -1 : 1;
    const face: FacePatches = {
      name,
      first: count,
      axis,
      at: far ? size[axis] : 0,
      i,
      j,
      columns: counts[i]!,
      rows: counts[j]!,
      di: step[i]!,
      dj: step[j]!,
      normal,
      ...room.faces[name],
    };
    count += face.columns * face.rows;
    return face;
  });
  const area = new Float64Array(count);
  for (const f of faces) area.fill(f.di * f.dj, f.first, f.first + f.columns * f.rows);
  const formFactors = factors(() => {
    const made = new Float32Array(count * count);
    for (const b of faces.filter(sends)) for (const a of faces) if (a !== b) fill(made, count, a, b);
    return made;
  });
  const reflectance = new Float64Array(count);
  for (const f of faces)
    for (let j = 0; j < f.rows; j++)
      reflectance.fill(f.reflectance * shareOfRow(f, j, room.low), f.first + f.columns * j, f.first + f.columns * (j + 1));
  const senders = Int32Array.from(faces.filter(sends).flatMap((f) => Array.from({ length: f.columns * f.rows }, (_, k) => f.first + k)));
  return { faces, count, area, reflectance, formFactors, senders };
}

/** What the patches of a row send back, as a share of what their face does: less as far as they are below the height of what crowds the floor. */
function shareOfRow({ axis, dj }: FacePatches, j: number, low: Room['low']): Share {
  if (!low || axis === 2) return 1;
  const below = Math.min(1, Math.max(0, low.height / dj - j));
  return 1 - below * (1 - low.share);
}

/** Whether a face sends light into the room: what it reflects, or even light from the tier next door. */
export const sends = (f: Pick<FacePatches, 'reflectance' | 'transmittance'>): boolean =>
  f.reflectance > 0 || (f.transmittance > 0 && f.transmittance < 1);

function fill(out: Float32Array, count: number, a: FacePatches, b: FacePatches): void {
  if (a.axis === b.axis) return fillParallel(out, count, a, b);
  // The axis along both faces, the one that only a has (towards b), and the one that only b has (towards a).
  const along = ([0, 1, 2] as const).find((k) => k !== a.axis && k !== b.axis)!;
  const n = a.i === along ? a.columns : a.rows;
  const dAlong = a.i === along ? a.di : a.dj;
  const [na, da] = a.i === along ? [a.rows, a.dj] : [a.columns, a.di];
  const [nb, db] = b.i === along ? [b.rows, b.dj] : [b.columns, b.di];
  const g = new Float64Array((n + 1) * (na + 1) * (nb + 1));
  const at = (k: number, p: number, q: number) => (k * (na + 1) + p) * (nb + 1) + q;
  for (let k = 0; k <= n; k++)
    for (let p = 0; p <= na; p++) for (let q = 0; q <= nb; q++) g[at(k, p, q)] = squareCorner(k * dAlong, p * da, q * db);
  const patchArea = a.di * a.dj;
  const table = new Float64Array(n * na * nb);
  const abs = (k: number) => (k < 0 ? -k : k);
  for (let k = 0; k < n; k++)
    for (let p = 0; p < na; p++)
      for (let q = 0; q < nb; q++) {
        // Second difference along, first differences away from the common edge.
        const second = (pp: number, qq: number) => 2 * g[at(k, pp, qq)]! - g[at(abs(k - 1), pp, qq)]! - g[at(k + 1, pp, qq)]!;
        table[(k * na + p) * nb + q] =
          (second(p + 1, q + 1) - second(p, q + 1) - second(p + 1, q) + second(p, q)) / (2 * Math.PI * patchArea);
      }
  const farA = b.at > 0; // a's patches are counted from its low end: distance from b's plane
  const farB = a.at > 0;
  for (let ai = 0; ai < a.columns; ai++)
    for (let aj = 0; aj < a.rows; aj++) {
      const row = (a.first + ai + a.columns * aj) * count;
      const ka = a.i === along ? ai : aj;
      const pa = a.i === along ? aj : ai;
      const p = farA ? na - 1 - pa : pa;
      // In the order in which they lie: b's columns run along the common edge, or away from it.
      for (let bj = 0; bj < b.rows; bj++) {
        const to = row + b.first + b.columns * bj;
        if (b.i === along) {
          const q = farB ? nb - 1 - bj : bj;
          for (let bi = 0; bi < b.columns; bi++) out[to + bi] = table[(abs(ka - bi) * na + p) * nb + q]!;
        } else {
          const from = (abs(ka - bj) * na + p) * nb;
          if (farB) for (let bi = 0; bi < nb; bi++) out[to + bi] = table[from + nb - 1 - bi]!;
          else for (let bi = 0; bi < nb; bi++) out[to + bi] = table[from + bi]!;
        }
      }
    }
}

function fillParallel(out: Float32Array, count: number, a: FacePatches, b: FacePatches): void {
  const c = Math.abs(a.at - b.at);
  const { columns, rows, di, dj } = a;
  const g = new Float64Array((columns + 1) * (rows + 1));
  for (let i = 0; i <= columns; i++) for (let j = 0; j <= rows; j++) g[i * (rows + 1) + j] = parallelCorner(i * di, j * dj, c);
  const at = (i: number, j: number) => g[Math.abs(i) * (rows + 1) + Math.abs(j)]!;
  const across = (i: number, j: number) => 2 * at(i, j) - at(i - 1, j) - at(i + 1, j);
  const table = new Float64Array(columns * rows);
  for (let i = 0; i < columns; i++)
    for (let j = 0; j < rows; j++) table[i * rows + j] = (2 * across(i, j) - across(i, j - 1) - across(i, j + 1)) / (2 * Math.PI * di * dj);
  for (let ai = 0; ai < columns; ai++)
    for (let aj = 0; aj < rows; aj++) {
      const row = (a.first + ai + columns * aj) * count;
      for (let bj = 0; bj < rows; bj++) {
        const [to, away] = [row + b.first + columns * bj, Math.abs(aj - bj)];
        for (let bi = 0; bi < columns; bi++) out[to + bi] = table[Math.abs(ai - bi) * rows + away]!;
      }
    }
}
