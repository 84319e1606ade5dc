import type { Metres } from '../../units/quantities';

/** Between samples an eighth of the distance to the lamp apart, a cubic is right within 0.12 % (sampleSmoothly.test.ts). */
const SAMPLES_PER_DISTANCE = 8;

/** Places along one side at an even step, and how the wanted places follow from four of them each. */
interface Samples {
  readonly at: Float64Array;
  /** Of light that is the same on both sides of a middle: the first place, in steps from there. */
  readonly first?: number;
  readonly index: Int32Array;
  readonly weight: Float64Array;
}

/**
 * Light that is the same on both sides of a middle, and for all lamps of one kind as high above the grid: what has been worked out of
 * one quarter serves the others.
 */
export interface Folded {
  readonly x: Metres;
  /** Null where the grid runs along x alone. */
  readonly y: Metres | null;
  /** By steps from the middle, `known[along y][along x]`; filled in as it is asked for. For one height of one kind of lamp. */
  readonly known: (number | undefined)[][];
}

/**
 * Fills a grid with light that changes no faster than the lamp is far: sampled sparsely, with cubics through the samples.
 * A lamp a hand away needs one sample for four by four cells of a centimetre.
 *
 * @param light     at the places of the grid, and a little beyond its ends
 * @param distance  from the nearest part of the lamp to the plane of the grid, > 0
 * @param out       `index = x + xs.length · y`; added to
 * @param folded    where the light is the same on both sides
 */
export function sampleSmoothly(
  light: (x: Metres, y: Metres) => number,
  distance: Metres,
  xs: Float64Array,
  ys: Float64Array,
  out: Float32Array,
  folded?: Folded,
): void {
  const step = distance / SAMPLES_PER_DISTANCE;
  const folds = folded && isWorthFolding(xs, step) && (folded.y === null || isWorthFolding(ys, step)) ? folded : null;
  const sx = folds ? samplesFrom(folds.x, xs, step) : samplesFor(xs, step);
  const sy = folds && folds.y !== null ? samplesFrom(folds.y, ys, step) : samplesFor(ys, step);
  const rows = new Float64Array(Math.max(4, sy.at.length) * xs.length);
  const row = new Float64Array(Math.max(4, sx.at.length));
  for (let j = 0; j < sy.at.length; j++) {
    if (folds) {
      const known = (folds.known[Math.abs((sy.first ?? 0) + j)] ??= []);
      for (let i = 0; i < sx.at.length; i++) row[i] = known[Math.abs(sx.first! + i)] ??= light(sx.at[i]!, sy.at[j]!);
    } else for (let i = 0; i < sx.at.length; i++) row[i] = light(sx.at[i]!, sy.at[j]!);
    for (let c = 0; c < xs.length; c++) {
      const k = 4 * c;
      rows[j * xs.length + c] =
        sx.weight[k]! * row[sx.index[c]!]! +
        sx.weight[k + 1]! * row[sx.index[c]! + 1]! +
        sx.weight[k + 2]! * row[sx.index[c]! + 2]! +
        sx.weight[k + 3]! * row[sx.index[c]! + 3]!;
    }
  }
  const w = xs.length;
  for (let r = 0; r < ys.length; r++) {
    const from = sy.index[r]! * w;
    const [w0, w1, w2, w3] = [sy.weight[4 * r]!, sy.weight[4 * r + 1]!, sy.weight[4 * r + 2]!, sy.weight[4 * r + 3]!];
    for (let c = 0; c < w; c++) {
      const at = from + c;
      out[r * w + c]! += Math.max(0, w0 * rows[at]! + w1 * rows[at + w]! + w2 * rows[at + 2 * w]! + w3 * rows[at + 3 * w]!);
    }
  }
}

/** The rows of a slice ask for the same few spacings of the same places again and again. */
const known = new WeakMap<Float64Array, Map<number, Samples>>();

/** Samples so far apart, or at the wanted places themselves where those are not closer. */
function samplesFor(wanted: Float64Array, step: Metres): Samples {
  const n = wanted.length;
  const cell = n > 1 ? wanted[1]! - wanted[0]! : Infinity;
  const spans = !(step > 1.5 * cell) || n < 6 ? 0 : Math.ceil((wanted[n - 1]! - wanted[0]!) / step - 1e-9);
  const ofThese = known.get(wanted) ?? new Map<number, Samples>();
  known.set(wanted, ofThese);
  const before = ofThese.get(spans);
  if (before) return before;
  const made = samplesAt(wanted, spans);
  ofThese.set(spans, made);
  return made;
}

/** Samples at whole steps from a middle are worth it where half of them are fewer than the wanted places, with something to spare. */
const isWorthFolding = (wanted: Float64Array, step: Metres): boolean => wanted.length >= 6 && step > 0.6 * (wanted[1]! - wanted[0]!);

/** Samples at whole steps from a middle, which need not lie among the wanted places. */
function samplesFrom(middle: Metres, wanted: Float64Array, step: Metres): Samples {
  const n = wanted.length;
  const first = Math.floor((wanted[0]! - middle) / step) - 1;
  const last = Math.floor((wanted[n - 1]! - middle) / step) + 2;
  const at = new Float64Array(last - first + 1);
  for (let k = 0; k < at.length; k++) at[k] = middle + (first + k) * step;
  const index = new Int32Array(n);
  const weight = new Float64Array(4 * n);
  for (let i = 0; i < n; i++) {
    const along = (wanted[i]! - middle) / step;
    const k = Math.floor(along);
    index[i] = k - 1 - first;
    cubic(along - k, weight, 4 * i);
  }
  return { at, first, index, weight };
}

/** Lagrange through −1, 0, 1, 2: the weights of four samples for a place t of the way from the second to the third. */
function cubic(t: number, weight: Float64Array, from: number): void {
  weight[from] = (-t * (t - 1) * (t - 2)) / 6;
  weight[from + 1] = ((t + 1) * (t - 1) * (t - 2)) / 2;
  weight[from + 2] = (-(t + 1) * t * (t - 2)) / 2;
  weight[from + 3] = ((t + 1) * t * (t - 1)) / 6;
}

/** @param spans  steps between the samples; 0: at the wanted places themselves */
function samplesAt(wanted: Float64Array, spans: number): Samples {
  const n = wanted.length;
  if (spans === 0) {
    // One weight of 1; the index is moved so that four samples always follow it.
    const weight = new Float64Array(4 * n);
    const index = Int32Array.from({ length: n }, (_, i) => Math.max(0, Math.min(i, Math.max(4, n) - 4)));
    for (let i = 0; i < n; i++) weight[4 * i + i - index[i]!] = 1;
    return { at: wanted, index, weight };
  }
  const first = wanted[0]!;
  const even = (wanted[n - 1]! - first) / spans;
  const at = new Float64Array(spans + 3);
  for (let k = 0; k < at.length; k++) at[k] = first + (k - 1) * even;
  const index = new Int32Array(n);
  const weight = new Float64Array(4 * n);
  for (let i = 0; i < n; i++) {
    const k = Math.min(spans - 1, Math.floor((wanted[i]! - first) / even));
    index[i] = k;
    cubic((wanted[i]! - first) / even - k, weight, 4 * i);
  }
  return { at, index, weight };
}
