import type { Metres } from '../../units/quantities';

/** Where reflected light is computed along one side of a plane, and how it is carried over to the cells between. */
export interface Nodes {
  readonly at: Float64Array;
}

/**
 * Places along one side at which reflected light, which changes slowly, is worked out: near the ends close together, for
 * there it changes most, then at the middles of the patches, where a patch's even light is nearest the truth.
 */
export function nodesAlong(from: Metres, to: Metres, patches: number): Nodes {
  const step = (to - from) / patches;
  const middles = Array.from({ length: patches }, (_, i) => from + (i + 0.5) * step);
  return { at: Float64Array.from([from, from + step / 8, ...middles, to - step / 8, to]) };
}

/**
 * For each wanted place, four nodes and their weights: cubic through the neighbours (Catmull–Rom with uneven spacing).
 * Places beyond the ends take the value at the end.
 */
export function weightsBetween({ at }: Nodes, wanted: Float64Array): { index: Int32Array; weight: Float64Array } {
  const last = at.length - 1;
  const index = new Int32Array(4 * wanted.length);
  const weight = new Float64Array(4 * wanted.length);
  let k = 0;
  for (let w = 0; w < wanted.length; w++) {
    const x = Math.min(at[last]!, Math.max(at[0]!, wanted[w]!));
    while (k < last - 1 && at[k + 1]! < x) k++;
    while (k > 0 && at[k]! > x) k--;
    const h = at[k + 1]! - at[k]!;
    const t = (x - at[k]!) / h;
    const [before, after] = [Math.max(0, k - 1), Math.min(last, k + 2)];
    const h00 = (1 + 2 * t) * (1 - t) ** 2, h10 = t * (1 - t) ** 2, h01 = t * t * (3 - 2 * t), h11 = t * t * (t - 1); // prettier-ignore
    // Slope at a node from its two neighbours; at an end from the one.
    const s0 = h / (at[k + 1]! - at[before]!);
    const s1 = h / (at[after]! - at[k]!);
    index.set([before, k, k + 1, after], 4 * w);
    weight.set([-h10 * s0, h00 - h11 * s1, h01 + h10 * s0, h11 * s1], 4 * w);
    if (before === k) {
      weight[4 * w + 1]! += weight[4 * w]!;
      weight[4 * w] = 0;
    }
    if (after === k + 1) {
      weight[4 * w + 2]! += weight[4 * w + 3]!;
      weight[4 * w + 3] = 0;
    }
  }
  return { index, weight };
}
