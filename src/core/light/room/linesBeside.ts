import type { Metres } from '../../units/quantities';

/** Most pieces of one side. */
const MOST = 64;

/** A side of a face cut into pieces: whole patches, and smaller ones beside a place. Filled anew for each place, so that nothing is made. */
export class LinesBeside {
  /** Pieces, and where they begin and end. */
  count = 0;
  readonly at = new Float64Array(MOST + 1);
  /** For each piece the first of three neighbouring patches, and what each of them counts in the light of the piece. */
  readonly from = new Int32Array(MOST);
  readonly weight = new Float64Array(3 * MOST);

  /**
   * Cuts a side of equal patches for a place beside the face.
   *
   * @param patches along the side, 3 … 54
   * @param step   a patch's length
   * @param here   the place, along the side from its beginning
   * @param low    what lies before it does not count
   */
  cut(patches: number, step: Metres, here: Metres, low: Metres): void {
    const { at } = this;
    const place = here / step;
    let n = 0, patch = Math.floor(low / step), beside = 0; // prettier-ignore
    at[n++] = low / step;
    while (n <= MOST && at[n - 1]! < patches) {
      while (beside < BESIDE.length && place + BESIDE[beside]! <= at[n - 1]! + TINY) beside++;
      while (patch <= at[n - 1]! + TINY) patch++;
      at[n] = Math.min(patches, patch, beside < BESIDE.length ? place + BESIDE[beside]! : Infinity);
      n++;
    }
    this.count = n - 1;
    for (let k = 0; k < this.count; k++) {
      const own = Math.min(patches - 1, Math.floor((at[k]! + at[k + 1]!) / 2));
      const first = Math.min(patches - 3, Math.max(0, own - 1));
      this.from[k] = first;
      // The parabola's mean over the piece; s from the middle of the three patches.
      const a = at[k]! - first - 1.5, b = at[k + 1]! - first - 1.5; // prettier-ignore
      const s = (a + b) / 2, square = (a * a + a * b + b * b) / 3 - 1 / 12; // prettier-ignore
      this.weight[3 * k] = (square - s) / 2;
      this.weight[3 * k + 1] = 1 - square;
      this.weight[3 * k + 2] = (square + s) / 2;
    }
    for (let k = 0; k <= this.count; k++) at[k]! *= step;
  }
}

/** Where lines run beside the place, in patches from it: close together where it looks at the face aslant. */
const BESIDE = [-1 / 2, -1 / 8, 0, 1 / 8, 1 / 2];
const TINY = 1e-9;
