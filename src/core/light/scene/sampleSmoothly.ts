import type { Metres } from '../../units/quantities';

/** Between samples an eighth of the distance to the lamp apart, a cubic is right within 0.12 % (sampleSmoothly.test.ts). */
const SAMPLES_PER_DISTANCE = 8;

/** Places along one side at an even step, and how the wanted places follow from four of them each. */
interface Samples {
  readonly at: Float64Array;
  readonly index: Int32Array;
  readonly weight: Float64Array;
}

/**
 * Fills a grid with light that changes no faster than the lamp is far: sampled sparsely, with cubics through the samples.
 * A lamp a hand away needs one sample for four by four cells of a centimetre.
 *
 * @param light     at the places of the grid, and a little beyond its ends
 * @param distance  from the nearest part of the lamp to the plane of the grid, > 0
 * @param out       `index = x + xs.length · y`; added to
 */
export function sampleSmoothly(
  light: (x: Metres, y: Metres) => number,
  distance: Metres,
  xs: Float64Array,
  ys: Float64Array,
  out: Float32Array,
): void {
  const sx = samplesFor(xs, distance / SAMPLES_PER_DISTANCE);
  const sy = samplesFor(ys, distance / SAMPLES_PER_DISTANCE);
  const rows = new Float64Array(Math.max(4, sy.at.length) * xs.length);
  const row = new Float64Array(Math.max(4, sx.at.length));
  for (let j = 0; j < sy.at.length; j++) {
    for (let i = 0; i < sx.at.length; i++) row[i] = light(sx.at[i]!, sy.at[j]!);
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
  const at = Float64Array.from({ length: spans + 3 }, (_, k) => first + (k - 1) * even);
  const index = new Int32Array(n);
  const weight = new Float64Array(4 * n);
  for (let i = 0; i < n; i++) {
    const k = Math.min(spans - 1, Math.floor((wanted[i]! - first) / even));
    const t = (wanted[i]! - first) / even - k;
    index[i] = k;
    // Lagrange through −1, 0, 1, 2.
    weight[4 * i] = (-t * (t - 1) * (t - 2)) / 6;
    weight[4 * i + 1] = ((t + 1) * (t - 1) * (t - 2)) / 2;
    weight[4 * i + 2] = (-(t + 1) * t * (t - 2)) / 2;
    weight[4 * i + 3] = ((t + 1) * t * (t - 1)) / 6;
  }
  return { at, index, weight };
}
